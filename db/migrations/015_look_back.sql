-- Looking back counts what left the house and when: by columns worked out of the images when they are written, not by opening images.

ALTER TABLE package
  ADD COLUMN came_on CHAR(10) CHARACTER SET ascii AS (JSON_VALUE(image, '$.cameOn')) PERSISTENT,
  ADD COLUMN gone_on CHAR(10) CHARACTER SET ascii AS (JSON_VALUE(image, '$.gone.on')) PERSISTENT,
  ADD COLUMN gone_how VARCHAR(16) CHARACTER SET ascii AS (JSON_VALUE(image, '$.gone.how')) PERSISTENT,
  ADD COLUMN gone_reason VARCHAR(16) CHARACTER SET ascii AS (JSON_VALUE(image, '$.gone.reason')) PERSISTENT;

ALTER TABLE ledger_event
  ADD COLUMN lost BOOLEAN AS (type IN ('package.discarded', 'package.composted', 'package.lost') AND before_image IS NOT NULL) PERSISTENT,
  ADD COLUMN lost_reason VARCHAR(16) CHARACTER SET ascii
    AS (IF(lost, IF(type = 'package.discarded', COALESCE(JSON_VALUE(after_image, '$.gone.reason'), 'spoiled'), SUBSTRING(type, 9)), NULL)) PERSISTENT,
  ADD COLUMN lost_food VARCHAR(64) AS (IF(lost, JSON_VALUE(before_image, '$.foodId'), NULL)) PERSISTENT,
  ADD COLUMN lost_unit CHAR(2) CHARACTER SET ascii AS (IF(lost, JSON_VALUE(before_image, '$.unit'), NULL)) PERSISTENT,
  ADD COLUMN lost_zone CHAR(36) CHARACTER SET ascii AS (IF(lost, JSON_VALUE(before_image, '$.zoneId'), NULL)) PERSISTENT,
  ADD COLUMN lost_amount INT
    AS (IF(lost,
           CAST(JSON_VALUE(before_image, '$.amount') AS SIGNED)
             - IF(JSON_VALUE(after_image, '$.gone.how') IS NULL, CAST(JSON_VALUE(after_image, '$.amount') AS SIGNED), 0),
           NULL)) PERSISTENT,
  ADD COLUMN lost_minor INT
    AS (IF(lost,
           COALESCE(CAST(JSON_VALUE(before_image, '$.priceMinor') AS SIGNED), 0)
             - IF(JSON_VALUE(after_image, '$.gone.how') IS NULL,
                  COALESCE(CAST(JSON_VALUE(after_image, '$.priceMinor') AS SIGNED), 0), 0),
           NULL)) PERSISTENT,
  ADD KEY event_lost (household_id, lost, at, command_id, lost_reason, lost_food, lost_unit, lost_zone, lost_amount, lost_minor);
