-- Small things a household keeps: levels of foods, the shopping list and the way through the shop, kits, words that are asked again.

CREATE TABLE kept (
  household_id INT UNSIGNED NOT NULL,
  kind VARCHAR(20) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  subject VARCHAR(120) NOT NULL,
  value JSON NOT NULL,
  PRIMARY KEY (household_id, kind, subject),
  CONSTRAINT kept_household FOREIGN KEY (household_id) REFERENCES household (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_bin;
