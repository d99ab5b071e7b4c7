-- Heads-ups and their answers, what the household sets for itself, and what Today reads without opening packages.

ALTER TABLE household
  ADD COLUMN notify_at CHAR(5) CHARACTER SET ascii NOT NULL DEFAULT '08:00' COMMENT 'time of day of heads-ups, its own zone',
  ADD COLUMN lead_chilled SMALLINT UNSIGNED NOT NULL DEFAULT 4 COMMENT 'days ahead of its date',
  ADD COLUMN lead_frozen SMALLINT UNSIGNED NOT NULL DEFAULT 31,
  ADD COLUMN feed_key CHAR(43) CHARACTER SET ascii COLLATE ascii_bin NOT NULL DEFAULT '' COMMENT 'secret part of the calendar address';

ALTER TABLE package
  ADD COLUMN called VARCHAR(60) NOT NULL DEFAULT '' COMMENT 'as on the label',
  ADD COLUMN condemned BOOLEAN NOT NULL DEFAULT FALSE,
  ADD COLUMN near_on DATE NULL COMMENT 'first day it stands on Today',
  ADD COLUMN ask_on DATE NULL COMMENT 'first day it asks for an answer',
  ADD COLUMN answered BOOLEAN NOT NULL DEFAULT FALSE COMMENT 'its present clock has had an answer',
  ADD COLUMN passing_open BOOLEAN NOT NULL DEFAULT FALSE COMMENT 'unanswered: passes uncounted so far',
  ADD COLUMN litres DECIMAL(8, 2) NULL COMMENT 'room it takes up',
  ADD KEY package_asks (household_id, here, ask_on, first_out),
  ADD KEY package_near (household_id, here, near_on, first_out),
  ADD KEY package_answered (household_id, here, answered, ask_on, near_on, first_out),
  ADD KEY package_passing (household_id, here, passing_open, governing_date),
  ADD KEY package_litres (household_id, zone_id, here, litres),
  ADD KEY package_state (household_id, here, state, first_out),
  ADD KEY package_drawn (household_id, zone_id, here, first_out, id, code, version, called, amount, unit, state,
                         governing_date);

UPDATE package
  JOIN lot ON lot.id = package.lot_id
  JOIN command ON command.id = lot.command_id
   SET package.called = LEFT(JSON_VALUE(package.image, '$.called'), 60),
       package.condemned = JSON_VALUE(package.image, '$.condemned') IN ('1', 'true'),
       package.near_on = package.governing_date - INTERVAL IF(package.state = 'frozen', 31, 4) DAY,
       package.ask_on = package.governing_date - INTERVAL IF(package.state = 'frozen', 31, 4) DAY,
       package.passing_open = package.here,
       package.image = JSON_SET(package.image, '$.cameOn', DATE_FORMAT(command.at, '%Y-%m-%d'), '$.answer', NULL,
                                '$.unanswered', JSON_ARRAY(), '$.cap', NULL);

UPDATE ledger_event
  JOIN package ON package.id = ledger_event.package_id
   SET ledger_event.after_image = JSON_SET(ledger_event.after_image, '$.cameOn', JSON_VALUE(package.image, '$.cameOn'),
                                           '$.answer', NULL, '$.unanswered', JSON_ARRAY(), '$.cap', NULL),
       ledger_event.before_image = IF(ledger_event.before_image IS NULL, NULL,
                                      JSON_SET(ledger_event.before_image, '$.cameOn', JSON_VALUE(package.image, '$.cameOn'),
                                               '$.answer', NULL, '$.unanswered', JSON_ARRAY(), '$.cap', NULL));

ALTER TABLE ledger_event
  MODIFY COLUMN package_id CHAR(36) NULL,
  ADD COLUMN setting VARCHAR(20) NULL COMMENT 'what was set, when it was no package',
  ADD COLUMN subject VARCHAR(80) NULL,
  ADD CONSTRAINT event_of_one CHECK ((package_id IS NULL) <> (setting IS NULL));

ALTER TABLE command
  ADD COLUMN note VARCHAR(200) NOT NULL DEFAULT '' COMMENT 'what the door noticed, such as a clock set back';

CREATE TABLE zone_fill (
  household_id INT UNSIGNED NOT NULL,
  zone_id CHAR(36) NOT NULL,
  packages INT UNSIGNED NOT NULL,
  litres DECIMAL(10, 2) NOT NULL,
  PRIMARY KEY (household_id, zone_id),
  CONSTRAINT fill_of_zone FOREIGN KEY (household_id, zone_id) REFERENCES zone (household_id, id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE day_tally (
  household_id INT UNSIGNED NOT NULL,
  ask_on DATE NOT NULL,
  governing_date DATE NOT NULL,
  best_by DATE NOT NULL,
  zone_id CHAR(36) NOT NULL COMMENT 'empty: outside every zone',
  quality BOOLEAN NOT NULL,
  condemned BOOLEAN NOT NULL,
  frozen BOOLEAN NOT NULL,
  packages INT NOT NULL COMMENT 'how many in the store stand alike; kept in the transaction that changes them',
  PRIMARY KEY (household_id, ask_on, governing_date, best_by, zone_id, quality, condemned, frozen),
  KEY tally_by_date (household_id, governing_date, best_by, quality, condemned, frozen, zone_id, packages),
  KEY tally_empty (household_id, packages),
  CONSTRAINT tally_household FOREIGN KEY (household_id) REFERENCES household (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE passing (
  household_id INT UNSIGNED NOT NULL,
  package_id CHAR(36) NOT NULL,
  passed_on DATE NOT NULL COMMENT 'the governing date that went by with no answer',
  PRIMARY KEY (household_id, passed_on, package_id),
  CONSTRAINT passing_package FOREIGN KEY (package_id) REFERENCES package (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE wish (
  household_id INT UNSIGNED NOT NULL,
  food_id VARCHAR(64) NOT NULL,
  wish JSON NOT NULL,
  lead_days SMALLINT UNSIGNED NULL,
  PRIMARY KEY (household_id, food_id),
  CONSTRAINT wish_food FOREIGN KEY (food_id) REFERENCES food (id),
  CONSTRAINT wish_household FOREIGN KEY (household_id) REFERENCES household (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE job (
  id CHAR(36) NOT NULL,
  household_id INT UNSIGNED NOT NULL,
  kind ENUM('round', 'upkeep') NOT NULL,
  name VARCHAR(80) NOT NULL,
  every_days SMALLINT UNSIGNED NOT NULL,
  last_on DATE NULL,
  PRIMARY KEY (id),
  KEY job_of_household (household_id, name),
  CONSTRAINT job_household FOREIGN KEY (household_id) REFERENCES household (id),
  CONSTRAINT job_interval CHECK (every_days > 0)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE feed_day (
  household_id INT UNSIGNED NOT NULL,
  day DATE NOT NULL,
  sequence INT UNSIGNED NOT NULL,
  digest CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL COMMENT 'of what the entry last said',
  cancelled BOOLEAN NOT NULL,
  changed_at DATETIME(3) NOT NULL,
  PRIMARY KEY (household_id, day),
  CONSTRAINT feed_household FOREIGN KEY (household_id) REFERENCES household (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;
