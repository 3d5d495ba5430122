-- Everything that is sent to be kept comes with an id made where it was typed. Sending it again is harmless;
-- sending something else under the same id is refused.
CREATE TABLE entry (
  id      TEXT    PRIMARY KEY CHECK (length(id) BETWEEN 8 AND 64),
  content TEXT    NOT NULL,
  at      INTEGER NOT NULL
) STRICT, WITHOUT ROWID;

-- An undo is a row: what was taken back stays, and is left out of every sum.
CREATE TABLE entry_taken_back (
  entry_id TEXT    PRIMARY KEY REFERENCES entry (id),
  at       INTEGER NOT NULL
) STRICT, WITHOUT ROWID;

-- One farm a file. NULL in a setting means that the farm has not said, and our default stands.
CREATE TABLE farm (
  id                      INTEGER PRIMARY KEY CHECK (id = 1),
  revision                INTEGER NOT NULL CHECK (revision > 0),
  name                    TEXT    NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  latitude_microdegrees   INTEGER NOT NULL CHECK (latitude_microdegrees BETWEEN -90000000 AND 90000000),
  longitude_microdegrees  INTEGER NOT NULL CHECK (longitude_microdegrees BETWEEN -180000000 AND 180000000),
  time_zone               TEXT    NOT NULL CHECK (length(time_zone) BETWEEN 1 AND 64),
  unit_system             TEXT    NOT NULL CHECK (unit_system IN ('us', 'metric')),
  currency                TEXT    NOT NULL CHECK (currency IN ('USD', 'CAD', 'EUR', 'GBP', 'AUD', 'NZD')),
  practice                TEXT    NOT NULL CHECK (practice IN ('many', 'few', 'first')),
  are_pens_lit            INTEGER NOT NULL CHECK (are_pens_lit IN (0, 1)),
  pluck_at_once_count     INTEGER NOT NULL CHECK (pluck_at_once_count BETWEEN 1 AND 20),
  air_millicelsius        INTEGER CHECK (air_millicelsius BETWEEN -30000 AND 50000),
  tap_millicelsius        INTEGER CHECK (tap_millicelsius BETWEEN 0 AND 40000),
  hour_rate_cents         INTEGER CHECK (hour_rate_cents BETWEEN 0 AND 100000),
  birds_a_year_count      INTEGER CHECK (birds_a_year_count BETWEEN 1 AND 1000000),
  tank_milliliters        INTEGER CHECK (tank_milliliters BETWEEN 1000 AND 20000000),
  tank_wall               TEXT    NOT NULL CHECK (tank_wall IN ('insulated', 'thick', 'bare')),
  chill_method            TEXT    NOT NULL CHECK (chill_method IN ('packed', 'still', 'agitated')),
  ice_bag_milligrams      INTEGER CHECK (ice_bag_milligrams BETWEEN 100000 AND 1000000000),
  scalder_milliliters     INTEGER CHECK (scalder_milliliters BETWEEN 1000 AND 5000000),
  scalder_watts           INTEGER CHECK (scalder_watts BETWEEN 100 AND 200000),
  scalder_heat            TEXT    NOT NULL CHECK (scalder_heat IN ('electric', 'propane')),
  is_scalder_lidded       INTEGER NOT NULL CHECK (is_scalder_lidded IN (0, 1)),
  is_scalder_insulated    INTEGER NOT NULL CHECK (is_scalder_insulated IN (0, 1)),
  scald_at_once_count     INTEGER NOT NULL CHECK (scald_at_once_count BETWEEN 1 AND 20),
  scalder_fill_millicelsius INTEGER CHECK (scalder_fill_millicelsius BETWEEN 0 AND 95000),
  circuit_volts           INTEGER CHECK (circuit_volts BETWEEN 100 AND 480),
  breaker_amps            INTEGER CHECK (breaker_amps BETWEEN 1 AND 400),
  CHECK ((circuit_volts IS NULL) = (breaker_amps IS NULL))
) STRICT;

-- A thing that serves many days. Exactly one of the two lives is given; the other is NULL.
CREATE TABLE kit_item (
  id          INTEGER PRIMARY KEY,
  entry_id    TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  name        TEXT    NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  price_cents INTEGER NOT NULL CHECK (price_cents BETWEEN 0 AND 100000000),
  life_years  INTEGER CHECK (life_years BETWEEN 1 AND 100),
  life_birds  INTEGER CHECK (life_birds BETWEEN 1 AND 10000000),
  CHECK ((life_years IS NULL) <> (life_birds IS NULL))
) STRICT;

-- Where dressed birds lie.
CREATE TABLE storage_place (
  id             INTEGER PRIMARY KEY,
  entry_id       TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  name           TEXT    NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  kind           TEXT    NOT NULL CHECK (kind IN ('fridge', 'freezer')),
  capacity_count INTEGER NOT NULL CHECK (capacity_count BETWEEN 1 AND 100000)
) STRICT;
