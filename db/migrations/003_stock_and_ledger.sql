-- What came in, the packages made of it, and everything that happened to them.

CREATE TABLE command (
  id CHAR(36) NOT NULL,
  household_id INT UNSIGNED NOT NULL,
  type VARCHAR(40) NOT NULL,
  digest CHAR(64) NOT NULL COMMENT 'SHA-256 of the body: the same id must carry the same command',
  at DATETIME(3) NOT NULL,
  recorded_at DATETIME(3) NOT NULL,
  says VARCHAR(400) NOT NULL,
  undoes CHAR(36) NULL,
  undone_by CHAR(36) NULL,
  response JSON NULL,
  PRIMARY KEY (id),
  KEY command_of_household (household_id, recorded_at, id),
  CONSTRAINT command_household FOREIGN KEY (household_id) REFERENCES household (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE lot (
  id CHAR(36) NOT NULL,
  household_id INT UNSIGNED NOT NULL,
  food_id VARCHAR(64) NOT NULL,
  command_id CHAR(36) NOT NULL,
  did ENUM('bought', 'cooked', 'harvested', 'given') NOT NULL,
  start_on DATE NOT NULL,
  amount INT UNSIGNED NOT NULL,
  unit ENUM('g', 'ml', 'pc') NOT NULL,
  price_minor INT UNSIGNED NULL,
  currency CHAR(3) NOT NULL,
  PRIMARY KEY (id),
  UNIQUE KEY lot_of_household (household_id, id),
  KEY lot_start (household_id, start_on),
  CONSTRAINT lot_food FOREIGN KEY (food_id) REFERENCES food (id),
  CONSTRAINT lot_command FOREIGN KEY (command_id) REFERENCES command (id),
  CONSTRAINT lot_household FOREIGN KEY (household_id) REFERENCES household (id),
  CONSTRAINT lot_amount CHECK (amount > 0)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE package (
  id CHAR(36) NOT NULL,
  household_id INT UNSIGNED NOT NULL,
  lot_id CHAR(36) NOT NULL,
  food_id VARCHAR(64) NOT NULL,
  code VARCHAR(8) NOT NULL,
  here BOOLEAN NOT NULL,
  amount INT UNSIGNED NOT NULL,
  unit ENUM('g', 'ml', 'pc') NOT NULL,
  zone_id CHAR(36) NULL COMMENT 'NULL: on the counter, or gone',
  counter_since DATETIME(3) NULL COMMENT 'out of the cold since',
  state ENUM('chilled', 'frozen', 'thawing', 'counter', 'room') NOT NULL,
  opened BOOLEAN NOT NULL,
  start_on DATE NOT NULL,
  use_by DATE NULL,
  best_by DATE NOT NULL,
  governing_date DATE NOT NULL,
  quality BOOLEAN NOT NULL COMMENT 'governed by best by, not use by',
  version INT UNSIGNED NOT NULL,
  image JSON NOT NULL COMMENT 'the package whole, as the core sees it; the columns beside it are for finding',
  PRIMARY KEY (id),
  UNIQUE KEY package_code (household_id, code),
  KEY package_first_out (household_id, here, governing_date, quality, opened DESC, start_on, code),
  KEY package_in_zone (household_id, here, zone_id, governing_date),
  KEY package_of_food (household_id, here, food_id, governing_date),
  CONSTRAINT package_lot FOREIGN KEY (household_id, lot_id) REFERENCES lot (household_id, id),
  CONSTRAINT package_food FOREIGN KEY (food_id) REFERENCES food (id),
  CONSTRAINT package_zone FOREIGN KEY (household_id, zone_id) REFERENCES zone (household_id, id),
  CONSTRAINT package_amount CHECK (amount > 0),
  CONSTRAINT package_gone_nowhere CHECK (here OR zone_id IS NULL),
  CONSTRAINT package_governed CHECK (governing_date = IF(quality, best_by, use_by))
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE ledger_event (
  id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT,
  household_id INT UNSIGNED NOT NULL,
  command_id CHAR(36) NOT NULL,
  seq SMALLINT UNSIGNED NOT NULL,
  type VARCHAR(40) NOT NULL,
  package_id CHAR(36) NOT NULL,
  at DATETIME(3) NOT NULL,
  says VARCHAR(400) NOT NULL,
  before_image JSON NULL,
  after_image JSON NOT NULL,
  PRIMARY KEY (id),
  UNIQUE KEY event_of_command (command_id, seq),
  KEY event_of_package (household_id, package_id, id),
  CONSTRAINT event_household FOREIGN KEY (household_id) REFERENCES household (id),
  CONSTRAINT event_command FOREIGN KEY (command_id) REFERENCES command (id),
  CONSTRAINT event_package FOREIGN KEY (package_id) REFERENCES package (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;
