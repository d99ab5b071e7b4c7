-- Labels that say a later date than the package has: Today lists them once.

ALTER TABLE package
  ADD COLUMN new_label BOOLEAN NOT NULL DEFAULT FALSE COMMENT 'its label says a later date than it has',
  ADD KEY package_new_label (household_id, new_label, here);
