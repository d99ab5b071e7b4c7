-- Several households in one house of data: the demo to play in, and one's own; their units, how they write dates, who lives there,
-- and who told a command.

ALTER TABLE household
  ADD COLUMN demo BOOLEAN NOT NULL DEFAULT 0 COMMENT 'the demo, which may be put back at any time',
  ADD COLUMN own BOOLEAN NOT NULL DEFAULT 0 COMMENT 'made by the people who live in it: what a device without a choice is shown',
  ADD COLUMN units ENUM('metric', 'us') NOT NULL DEFAULT 'metric',
  ADD COLUMN date_order ENUM('dmy', 'mdy') NOT NULL DEFAULT 'dmy' COMMENT 'day or month first in figures',
  ADD COLUMN people JSON NULL COMMENT 'names of who lives there';

ALTER TABLE command
  ADD COLUMN told_by VARCHAR(60) NULL COMMENT 'who told it, by the name chosen on the device';

UPDATE household
   SET demo = 1
 WHERE name = 'Skerry Row';

-- What asks, and when, is worked out anew: a package asks when it is due tomorrow, not for days.

UPDATE household
   SET lead_chilled = 1
 WHERE lead_chilled = 4;

UPDATE household
   SET lead_frozen = 1
 WHERE lead_frozen = 31;

UPDATE package
   SET litres = NULL
 WHERE here = TRUE;
