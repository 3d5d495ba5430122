-- What devices measured or said. Rows are only added: of one quantity and one day the latest stands.
CREATE TABLE device_reading (
  id           INTEGER PRIMARY KEY,
  reading_id   TEXT    NOT NULL UNIQUE CHECK (length(reading_id) BETWEEN 1 AND 100), -- made by the device
  device       TEXT    NOT NULL CHECK (length(device) BETWEEN 1 AND 40),
  quantity     TEXT    NOT NULL CHECK (length(quantity) BETWEEN 1 AND 40),
  about_on     TEXT    CHECK (about_on IS NULL OR about_on IS date(about_on)), -- the day it is about; NULL: of its own moment
  read_at      INTEGER NOT NULL, -- when the device measured or said it
  received_at  INTEGER NOT NULL, -- when it reached us
  value_thousandths INTEGER NOT NULL -- thousandths of the quantity's unit
) STRICT;
CREATE INDEX device_reading_about ON device_reading (device, quantity, about_on, id);
