-- A household and its drawn kitchen: appliances and the zones inside them.

CREATE TABLE household (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT,
  name VARCHAR(80) NOT NULL,
  time_zone VARCHAR(40) NOT NULL,
  currency CHAR(3) NOT NULL,
  caution ENUM('usual', 'careful') NOT NULL DEFAULT 'usual',
  next_code INT UNSIGNED NOT NULL DEFAULT 0 COMMENT 'how many package codes are spent',
  PRIMARY KEY (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE appliance (
  id CHAR(36) NOT NULL,
  household_id INT UNSIGNED NOT NULL,
  name VARCHAR(60) NOT NULL,
  room VARCHAR(60) NOT NULL,
  shape ENUM('fridge', 'freezer', 'drawer-freezer', 'chest') NOT NULL,
  cold ENUM('fridge', 'freezer') NOT NULL,
  position SMALLINT UNSIGNED NOT NULL,
  litres DECIMAL(6, 1) NOT NULL,
  temperature_c DECIMAL(4, 1) NOT NULL COMMENT 'middle of a shelf, last read',
  PRIMARY KEY (id),
  UNIQUE KEY appliance_of_household (household_id, id),
  UNIQUE KEY appliance_order (household_id, position),
  CONSTRAINT appliance_household FOREIGN KEY (household_id) REFERENCES household (id),
  CONSTRAINT appliance_litres CHECK (litres > 0 AND litres <= 2000),
  CONSTRAINT appliance_temperature CHECK (temperature_c BETWEEN -40 AND 30)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE zone (
  id CHAR(36) NOT NULL,
  household_id INT UNSIGNED NOT NULL,
  appliance_id CHAR(36) NOT NULL,
  parent_id CHAR(36) NULL,
  name VARCHAR(60) NOT NULL,
  purpose VARCHAR(80) NOT NULL DEFAULT '',
  kind ENUM('shelf', 'drawer', 'door', 'bin', 'basket', 'layer') NOT NULL,
  side ENUM('body', 'door') NOT NULL DEFAULT 'body',
  position SMALLINT UNSIGNED NOT NULL,
  litres DECIMAL(6, 1) NOT NULL,
  width_mm SMALLINT UNSIGNED NOT NULL,
  depth_mm SMALLINT UNSIGNED NOT NULL,
  height_mm SMALLINT UNSIGNED NOT NULL,
  temperature_c DECIMAL(4, 1) NOT NULL,
  humidity ENUM('low', 'high') NULL,
  lifts TINYINT UNSIGNED NOT NULL DEFAULT 0,
  PRIMARY KEY (id),
  UNIQUE KEY zone_of_household (household_id, id),
  UNIQUE KEY zone_name (appliance_id, name),
  UNIQUE KEY zone_order (appliance_id, side, position),
  CONSTRAINT zone_appliance FOREIGN KEY (household_id, appliance_id) REFERENCES appliance (household_id, id),
  CONSTRAINT zone_parent FOREIGN KEY (household_id, parent_id) REFERENCES zone (household_id, id),
  CONSTRAINT zone_own_parent CHECK (parent_id <> id),
  CONSTRAINT zone_size CHECK (litres > 0 AND width_mm > 0 AND depth_mm > 0 AND height_mm > 0),
  CONSTRAINT zone_temperature CHECK (temperature_c BETWEEN -40 AND 30)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;
