-- A package that is relabelled is still found by the codes it had before.

CREATE TABLE old_code (
  household_id INT UNSIGNED NOT NULL,
  code VARCHAR(8) NOT NULL,
  package_id CHAR(36) NOT NULL,
  PRIMARY KEY (household_id, code),
  CONSTRAINT old_code_package FOREIGN KEY (package_id) REFERENCES package (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;
