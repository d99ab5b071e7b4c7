-- Reference figures from data/*.csv, and the household's own foods beside them.

CREATE TABLE outage_class (
  id VARCHAR(40) NOT NULL,
  title VARCHAR(120) NOT NULL,
  figures JSON NOT NULL COMMENT 'the row as the core reads it',
  PRIMARY KEY (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE food (
  id VARCHAR(64) NOT NULL,
  household_id INT UNSIGNED NULL COMMENT 'NULL: reference',
  name VARCHAR(120) NOT NULL,
  food_group VARCHAR(40) NOT NULL,
  outage_class_id VARCHAR(40) NOT NULL,
  retired BOOLEAN NOT NULL DEFAULT FALSE COMMENT 'no longer in the reference file',
  figures JSON NOT NULL COMMENT 'the row as the core reads it',
  PRIMARY KEY (id),
  KEY food_of_household (household_id, name),
  CONSTRAINT food_household FOREIGN KEY (household_id) REFERENCES household (id),
  CONSTRAINT food_class FOREIGN KEY (outage_class_id) REFERENCES outage_class (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE reference_file (
  name VARCHAR(60) NOT NULL,
  digest CHAR(64) NOT NULL COMMENT 'SHA-256 of the file last loaded',
  PRIMARY KEY (name)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;
