-- The kitchen true to scale: compartments, zones as boxes in mm, what a household decides for a zone, measured temperatures,
-- the containers it owns, upkeep it sets up itself.

CREATE TABLE compartment (
  id CHAR(36) NOT NULL,
  household_id INT UNSIGNED NOT NULL,
  appliance_id CHAR(36) NOT NULL,
  position SMALLINT UNSIGNED NOT NULL,
  name VARCHAR(60) NOT NULL DEFAULT '',
  cold ENUM('fridge', 'freezer') NOT NULL,
  x_mm SMALLINT UNSIGNED NOT NULL DEFAULT 0,
  y_mm SMALLINT UNSIGNED NOT NULL DEFAULT 0,
  width_mm SMALLINT UNSIGNED NOT NULL,
  height_mm SMALLINT UNSIGNED NOT NULL,
  depth_mm SMALLINT UNSIGNED NOT NULL,
  door_mm SMALLINT UNSIGNED NOT NULL DEFAULT 0 COMMENT 'depth of the racks in its door; 0: none',
  PRIMARY KEY (id),
  UNIQUE KEY compartment_of_household (household_id, id),
  KEY compartment_of_appliance (household_id, appliance_id, position),
  CONSTRAINT compartment_appliance FOREIGN KEY (household_id, appliance_id) REFERENCES appliance (household_id, id),
  CONSTRAINT compartment_size CHECK (width_mm > 0 AND height_mm > 0 AND depth_mm > 0)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

-- Every appliance so far has one compartment, as wide as its widest zone and as high as its zones on top of each other.
INSERT INTO compartment (id, household_id, appliance_id, position, cold, width_mm, height_mm, depth_mm, door_mm)
SELECT appliance.id, appliance.household_id, appliance.id, 0, appliance.cold,
       COALESCE(MAX(zone.width_mm), 500),
       COALESCE(GREATEST(SUM(IF(zone.side = 'body', zone.height_mm, 0)), SUM(IF(zone.side = 'door', zone.height_mm, 0))), 500),
       COALESCE(MAX(zone.depth_mm), 400),
       COALESCE(MAX(IF(zone.side = 'door', zone.depth_mm, NULL)), 0)
  FROM appliance
  LEFT JOIN zone ON zone.appliance_id = appliance.id
 GROUP BY appliance.id;

ALTER TABLE zone
  ADD COLUMN compartment_id CHAR(36) NULL AFTER appliance_id,
  ADD COLUMN x_mm SMALLINT UNSIGNED NOT NULL DEFAULT 0 AFTER litres,
  ADD COLUMN y_mm SMALLINT UNSIGNED NOT NULL DEFAULT 0 AFTER x_mm,
  ADD COLUMN z_mm SMALLINT UNSIGNED NOT NULL DEFAULT 0 COMMENT 'from the front' AFTER y_mm,
  ADD COLUMN rules JSON NULL COMMENT 'what the household decides for it',
  ADD COLUMN measured_c DECIMAL(4, 1) NULL COMMENT 'last read in it; wins over what is assumed',
  ADD COLUMN measured_at DATETIME(3) NULL,
  MODIFY COLUMN kind ENUM('shelf', 'drawer', 'door', 'bin', 'basket', 'tray', 'layer') NOT NULL,
  MODIFY COLUMN temperature_c DECIMAL(4, 1) NOT NULL COMMENT 'assumed by its kind and place',
  DROP KEY zone_name,
  DROP KEY zone_order;

UPDATE zone
  JOIN (SELECT id, SUM(height_mm) OVER (PARTITION BY appliance_id, side ORDER BY position) - height_mm AS above FROM zone) AS stacked
    ON stacked.id = zone.id
   SET zone.compartment_id = zone.appliance_id,
       zone.measured_c = zone.temperature_c,
       zone.measured_at = UTC_TIMESTAMP(3),
       zone.y_mm = stacked.above,
       zone.rules = '{"only":[],"never":[],"person":"","limitLitres":null,"hardToReach":false,"keptEmpty":false,"leakproof":false}';

ALTER TABLE zone
  MODIFY COLUMN compartment_id CHAR(36) NOT NULL,
  MODIFY COLUMN rules JSON NOT NULL,
  ADD CONSTRAINT zone_compartment FOREIGN KEY (household_id, compartment_id) REFERENCES compartment (household_id, id);

ALTER TABLE appliance
  DROP CONSTRAINT appliance_litres,
  DROP CONSTRAINT appliance_temperature,
  DROP KEY appliance_order,
  ADD KEY appliance_in_order (household_id, position),
  ADD COLUMN version INT UNSIGNED NOT NULL DEFAULT 1,
  MODIFY COLUMN shape VARCHAR(30) CHARACTER SET ascii NOT NULL,
  DROP COLUMN cold,
  DROP COLUMN litres,
  DROP COLUMN temperature_c;

UPDATE appliance SET shape = 'upright-freezer' WHERE shape = 'freezer';

CREATE TABLE reading (
  household_id INT UNSIGNED NOT NULL,
  zone_id CHAR(36) NOT NULL,
  at DATETIME(3) NOT NULL,
  celsius DECIMAL(4, 1) NOT NULL,
  PRIMARY KEY (household_id, zone_id, at),
  CONSTRAINT reading_zone FOREIGN KEY (household_id, zone_id) REFERENCES zone (household_id, id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE container (
  id CHAR(36) NOT NULL,
  household_id INT UNSIGNED NOT NULL,
  name VARCHAR(60) NOT NULL,
  container JSON NOT NULL COMMENT 'as the core sees it',
  PRIMARY KEY (id),
  KEY container_of_household (household_id, name),
  CONSTRAINT container_household FOREIGN KEY (household_id) REFERENCES household (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

ALTER TABLE job
  ADD COLUMN due_on DATE NULL COMMENT 'once, by this day',
  ADD COLUMN frost_mm SMALLINT UNSIGNED NULL COMMENT 'frost measured last, for defrosting',
  ADD COLUMN retired BOOLEAN NOT NULL DEFAULT FALSE;

ALTER TABLE ledger_event
  ADD COLUMN zone_id CHAR(36) NULL COMMENT 'where the package lay before it',
  ADD KEY event_from_zone (household_id, zone_id, type, at);

UPDATE ledger_event
   SET zone_id = NULLIF(JSON_VALUE(before_image, '$.zoneId'), 'null')
 WHERE before_image IS NOT NULL
   AND package_id IS NOT NULL;

UPDATE ledger_event
   SET after_image = JSON_SET(after_image, '$.value.dueOn', NULL, '$.value.frostMm', NULL, '$.value.retired', FALSE),
       before_image = IF(before_image IS NULL, NULL,
                         JSON_SET(before_image, '$.value.dueOn', NULL, '$.value.frostMm', NULL, '$.value.retired', FALSE))
 WHERE setting = 'job';
