-- A device that a household put out, of a member who belongs to others too: those are no business of that household.

CREATE TABLE device_out (
  device_id CHAR(36) CHARACTER SET ascii NOT NULL,
  household_id INT UNSIGNED NOT NULL,
  PRIMARY KEY (device_id, household_id),
  KEY device_out_of_household (household_id),
  CONSTRAINT device_out_device FOREIGN KEY (device_id) REFERENCES device (id) ON DELETE CASCADE,
  CONSTRAINT device_out_household FOREIGN KEY (household_id) REFERENCES household (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;
