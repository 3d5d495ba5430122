-- Where a probe or scale is found. Of one device the latest that was not removed stands.
CREATE TABLE device_address (
  id       INTEGER PRIMARY KEY,
  entry_id TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  device   TEXT    NOT NULL CHECK (length(device) BETWEEN 1 AND 40),
  host     TEXT    NOT NULL CHECK (length(host) BETWEEN 1 AND 100),
  port     INTEGER NOT NULL CHECK (port BETWEEN 1 AND 65535)
) STRICT;

-- What attached devices measure is asked for by its time.
CREATE INDEX device_reading_time ON device_reading (device, quantity, read_at) WHERE about_on IS NULL;
