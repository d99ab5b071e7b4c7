-- Second factors, proofs of who one is, calendar addresses by member, and what happened to keys, for cooks to read.

ALTER TABLE member
  ADD COLUMN totp_secret VARCHAR(64) CHARACTER SET ascii COLLATE ascii_bin NULL COMMENT 'second factor by RFC 6238, base 32; NULL: none',
  ADD COLUMN totp_step BIGINT UNSIGNED NULL COMMENT 'the last period whose code was used: each counts once';

CREATE TABLE recovery_code (
  member_id CHAR(36) CHARACTER SET ascii NOT NULL,
  code_digest CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL COMMENT 'SHA-256 of the code; gone when it was used',
  PRIMARY KEY (member_id, code_digest),
  CONSTRAINT recovery_code_member FOREIGN KEY (member_id) REFERENCES member (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

ALTER TABLE device
  ADD COLUMN proved_at DATETIME(3) NULL COMMENT 'when its member last gave her password here';

ALTER TABLE membership
  ADD COLUMN feed_key VARCHAR(64) CHARACTER SET ascii COLLATE ascii_bin NULL COMMENT 'her calendar address ends with it, and with her; NULL: none yet',
  ADD UNIQUE KEY membership_feed (feed_key);

CREATE TABLE security_event (
  id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT,
  household_id INT UNSIGNED NOT NULL,
  at DATETIME(3) NOT NULL,
  kind VARCHAR(20) CHARACTER SET ascii NOT NULL,
  member_name VARCHAR(60) NULL COMMENT 'who did it; NULL: nobody who is known',
  says VARCHAR(300) NOT NULL,
  PRIMARY KEY (id),
  KEY security_event_of_household (household_id, id),
  CONSTRAINT security_event_household FOREIGN KEY (household_id) REFERENCES household (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;
