-- Who may do what: members, the households they belong to, devices that stay signed in, invitations, attempts.
-- What a household's phone may choose an id for is unique in its household only, so that an id tells nothing of another one.

CREATE TABLE member (
  id CHAR(36) CHARACTER SET ascii NOT NULL,
  name VARCHAR(60) NOT NULL,
  secret VARCHAR(200) CHARACTER SET ascii COLLATE ascii_bin NULL COMMENT 'password by argon2id; NULL: gets back in by invitation only',
  made_at DATETIME(3) NOT NULL,
  PRIMARY KEY (id),
  UNIQUE KEY member_name (name)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE membership (
  household_id INT UNSIGNED NOT NULL,
  member_id CHAR(36) CHARACTER SET ascii NOT NULL,
  role ENUM('cook', 'household', 'guest', 'reader') NOT NULL,
  PRIMARY KEY (household_id, member_id),
  KEY membership_of_member (member_id),
  CONSTRAINT membership_household FOREIGN KEY (household_id) REFERENCES household (id) ON DELETE CASCADE,
  CONSTRAINT membership_member FOREIGN KEY (member_id) REFERENCES member (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE device (
  id CHAR(36) CHARACTER SET ascii NOT NULL,
  member_id CHAR(36) CHARACTER SET ascii NOT NULL,
  token_digest CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL COMMENT 'SHA-256 of the token in its cookie',
  name VARCHAR(80) NOT NULL COMMENT 'what it says of itself',
  made_at DATETIME(3) NOT NULL,
  seen_at DATETIME(3) NOT NULL,
  ends_at DATETIME(3) NOT NULL,
  PRIMARY KEY (id),
  UNIQUE KEY device_token (token_digest),
  KEY device_of_member (member_id),
  CONSTRAINT device_member FOREIGN KEY (member_id) REFERENCES member (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE invitation (
  code_digest CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL COMMENT 'SHA-256 of the code',
  household_id INT UNSIGNED NULL COMMENT 'NULL: the set-up code, for every household',
  role ENUM('cook', 'household', 'guest', 'reader') NOT NULL,
  made_by CHAR(36) CHARACTER SET ascii NULL,
  ends_at DATETIME(3) NOT NULL,
  PRIMARY KEY (code_digest),
  KEY invitation_of_household (household_id, ends_at),
  CONSTRAINT invitation_household FOREIGN KEY (household_id) REFERENCES household (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE attempt (
  `key` VARCHAR(255) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL,
  points INT NOT NULL DEFAULT 0,
  expire BIGINT UNSIGNED NULL,
  PRIMARY KEY (`key`),
  KEY attempt_over (expire)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

ALTER TABLE household
  ADD COLUMN guest_key CHAR(12) CHARACTER SET ascii COLLATE ascii_bin NOT NULL DEFAULT '' COMMENT 'lets who scans a label read that label';

ALTER TABLE lot
  DROP CONSTRAINT lot_command;

ALTER TABLE ledger_event
  DROP CONSTRAINT event_command;

ALTER TABLE command
  ADD COLUMN member_id CHAR(36) CHARACTER SET ascii NULL COMMENT 'who told it, where the server asks for keys',
  DROP PRIMARY KEY,
  ADD PRIMARY KEY (household_id, id);

ALTER TABLE lot
  ADD KEY lot_of_command (household_id, command_id),
  ADD CONSTRAINT lot_in_command FOREIGN KEY (household_id, command_id) REFERENCES command (household_id, id);

ALTER TABLE ledger_event
  DROP KEY event_of_command,
  ADD UNIQUE KEY event_of_command (household_id, command_id, seq),
  ADD CONSTRAINT event_in_command FOREIGN KEY (household_id, command_id) REFERENCES command (household_id, id);

ALTER TABLE appliance
  DROP PRIMARY KEY,
  ADD PRIMARY KEY (household_id, id);

ALTER TABLE compartment
  DROP PRIMARY KEY,
  ADD PRIMARY KEY (household_id, id);

ALTER TABLE zone
  DROP PRIMARY KEY,
  ADD PRIMARY KEY (household_id, id);

ALTER TABLE container
  DROP PRIMARY KEY,
  ADD PRIMARY KEY (household_id, id);

ALTER TABLE job
  DROP PRIMARY KEY,
  ADD PRIMARY KEY (household_id, id);

ALTER TABLE haul
  DROP PRIMARY KEY,
  ADD PRIMARY KEY (household_id, id);

ALTER TABLE haul_line
  DROP PRIMARY KEY,
  ADD PRIMARY KEY (household_id, id);
