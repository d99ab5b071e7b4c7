-- A number that grows with every wish and own food of a household, so that whoever keeps its figures knows when they are old.

ALTER TABLE household
  ADD COLUMN figures_version INT UNSIGNED NOT NULL DEFAULT 0 COMMENT 'grows with its wishes and own foods';
