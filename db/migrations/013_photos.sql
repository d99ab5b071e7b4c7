-- Photos of packages: turned upright, shrunk, without what the camera wrote into them. A package names the one that is its.

CREATE TABLE photo (
  id CHAR(36) NOT NULL,
  household_id INT UNSIGNED NOT NULL,
  kept_at DATETIME(3) NOT NULL,
  jpeg MEDIUMBLOB NOT NULL,
  PRIMARY KEY (household_id, id),
  CONSTRAINT photo_household FOREIGN KEY (household_id) REFERENCES household (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;
