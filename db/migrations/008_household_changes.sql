-- Numbers that grow with every command of a household, and with every change of its kitchen, so that whoever keeps what was read
-- knows when it is old.

ALTER TABLE household
  ADD COLUMN changes BIGINT UNSIGNED NOT NULL DEFAULT 0 COMMENT 'grows with every command',
  ADD COLUMN kitchen_changes INT UNSIGNED NOT NULL DEFAULT 0 COMMENT 'grows with every change of its appliances, zones and readings';
