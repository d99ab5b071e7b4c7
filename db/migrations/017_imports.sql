-- How far something is that comes in, for whoever waits, on whichever copy of the server.

CREATE TABLE import_run (
  id CHAR(36) CHARACTER SET ascii NOT NULL,
  household_id INT UNSIGNED NOT NULL COMMENT 'whose page began it',
  what VARCHAR(120) NOT NULL COMMENT 'name of the file',
  state ENUM('running', 'done', 'stopped', 'failed', 'undone') NOT NULL,
  done INT UNSIGNED NOT NULL DEFAULT 0,
  total INT UNSIGNED NOT NULL,
  says VARCHAR(400) NOT NULL DEFAULT '',
  stop_asked BOOLEAN NOT NULL DEFAULT FALSE,
  made_household INT UNSIGNED NULL COMMENT 'the household that came in whole',
  commands JSON NULL COMMENT 'ids of what was told, to be undone',
  begun_at DATETIME(3) NOT NULL,
  beat_at DATETIME(3) NOT NULL COMMENT 'the copy that works on it was alive then',
  PRIMARY KEY (id),
  KEY import_of_household (household_id, begun_at),
  CONSTRAINT import_household FOREIGN KEY (household_id) REFERENCES household (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;
