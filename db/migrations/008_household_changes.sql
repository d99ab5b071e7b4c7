-- A number that grows with every command of a household, so that whoever keeps what was read knows when it is old.

ALTER TABLE household
  ADD COLUMN changes BIGINT UNSIGNED NOT NULL DEFAULT 0 COMMENT 'grows with every command';
