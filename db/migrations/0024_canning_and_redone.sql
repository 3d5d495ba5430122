-- Pressure for canning goes by the height above the sea. NULL where nobody has said.
ALTER TABLE farm ADD COLUMN altitude_meters INTEGER CHECK (altitude_meters BETWEEN -500 AND 6000);

-- A tested process for a pressure canner, as the farm copied it from its source. None ships with the program.
CREATE TABLE canning_process (
  id              INTEGER PRIMARY KEY,
  entry_id        TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  name            TEXT    NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  -- Who tested and published it, and in which year.
  tested_by       TEXT    NOT NULL CHECK (length(tested_by) BETWEEN 1 AND 120),
  published_year  INTEGER NOT NULL CHECK (published_year BETWEEN 1900 AND 2200),
  jar_milliliters INTEGER NOT NULL CHECK (jar_milliliters BETWEEN 50 AND 5000),
  minutes         INTEGER NOT NULL CHECK (minutes BETWEEN 1 AND 600)
) STRICT;
-- The pressure that it asks for up to a height above the sea.
CREATE TABLE canning_step (
  process_id   INTEGER NOT NULL REFERENCES canning_process (id),
  up_to_meters INTEGER NOT NULL CHECK (up_to_meters BETWEEN 0 AND 6000),
  pascals      INTEGER NOT NULL CHECK (pascals BETWEEN 1000 AND 500000),
  PRIMARY KEY (process_id, up_to_meters)
) STRICT;

-- A load of the canner, with what was asked of it then.
CREATE TABLE canning_load (
  id              INTEGER PRIMARY KEY,
  entry_id        TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  day_id          INTEGER NOT NULL REFERENCES processing_day (id),
  process_id      INTEGER NOT NULL REFERENCES canning_process (id),
  altitude_meters INTEGER NOT NULL,
  pascals         INTEGER NOT NULL,
  minutes         INTEGER NOT NULL,
  jar_count       INTEGER NOT NULL CHECK (jar_count BETWEEN 1 AND 200),
  -- Jars whose lid sealed; the others are refrigerated or frozen.
  sealed_count    INTEGER NOT NULL CHECK (sealed_count BETWEEN 0 AND jar_count),
  done_at         INTEGER NOT NULL
) STRICT;
CREATE INDEX canning_load_day ON canning_load (day_id);
CREATE INDEX canning_load_process ON canning_load (process_id);

-- A pack that had to be done again, and why.
CREATE TABLE pack_redo (
  id         INTEGER PRIMARY KEY,
  entry_id   TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  day_id     INTEGER NOT NULL REFERENCES processing_day (id),
  product_id INTEGER NOT NULL REFERENCES product (id),
  cause      TEXT    NOT NULL CHECK (cause IN ('bone', 'seal', 'tie', 'burst', 'label', 'other')),
  at         INTEGER NOT NULL
) STRICT;
CREATE INDEX pack_redo_day ON pack_redo (day_id);
CREATE INDEX pack_redo_product ON pack_redo (product_id);

-- Which product a label is for; NULL for all that have none of their own.
ALTER TABLE label_template ADD COLUMN product_id INTEGER REFERENCES product (id);
CREATE INDEX label_template_product ON label_template (product_id);
