-- A household writes 1.5 or 1,5.

ALTER TABLE household
  ADD COLUMN decimals ENUM('point', 'comma') NOT NULL DEFAULT 'point' COMMENT 'what stands before tenths';
