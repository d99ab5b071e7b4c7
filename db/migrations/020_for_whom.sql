-- How a household reads printed dates (K3c), who of it eats with more care (K14), and by which seasons it tells ages.

ALTER TABLE household
  MODIFY COLUMN caution ENUM('usual', 'careful', 'printed') NOT NULL DEFAULT 'usual',
  ADD COLUMN marks JSON NOT NULL DEFAULT '{}' COMMENT 'name: pregnant, under-one, over-65, ill',
  ADD COLUMN hemisphere ENUM('north', 'south') NOT NULL DEFAULT 'north';
