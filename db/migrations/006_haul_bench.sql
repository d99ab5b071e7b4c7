-- The haul bench: hauls and their lines while they are worked on, and what scanned codes stand for.

CREATE TABLE haul (
  id CHAR(36) NOT NULL,
  household_id INT UNSIGNED NOT NULL,
  begun_at DATETIME(3) NOT NULL,
  closed_at DATETIME(3) NULL,
  haul JSON NOT NULL,
  PRIMARY KEY (id),
  UNIQUE KEY haul_of_household (household_id, id),
  KEY haul_by_begin (household_id, begun_at),
  KEY haul_open (household_id, closed_at),
  CONSTRAINT haul_household FOREIGN KEY (household_id) REFERENCES household (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE haul_line (
  id CHAR(36) NOT NULL,
  household_id INT UNSIGNED NOT NULL,
  haul_id CHAR(36) NOT NULL,
  position SMALLINT UNSIGNED NOT NULL,
  food_id VARCHAR(64) NOT NULL,
  packed TINYINT(1) NOT NULL DEFAULT 0,
  line JSON NOT NULL,
  PRIMARY KEY (id),
  KEY haul_line_in_order (household_id, haul_id, position),
  KEY haul_line_of_food (household_id, food_id, packed),
  CONSTRAINT haul_line_haul FOREIGN KEY (household_id, haul_id) REFERENCES haul (household_id, id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE learned_code (
  household_id INT UNSIGNED NOT NULL,
  code VARCHAR(80) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  means JSON NOT NULL,
  PRIMARY KEY (household_id, code),
  CONSTRAINT learned_code_household FOREIGN KEY (household_id) REFERENCES household (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

