-- What somebody may not do, how old they are (NULL: not said), and the hours of a day for which they are there
-- (minutes from midnight; NULL: from the first or to the last).
ALTER TABLE person ADD COLUMN uses_knives INTEGER NOT NULL DEFAULT 1 CHECK (uses_knives IN (0, 1));
ALTER TABLE person ADD COLUMN scalds INTEGER NOT NULL DEFAULT 1 CHECK (scalds IN (0, 1));
ALTER TABLE person ADD COLUMN lifts INTEGER NOT NULL DEFAULT 1 CHECK (lifts IN (0, 1));
ALTER TABLE person ADD COLUMN born_year INTEGER CHECK (born_year BETWEEN 1900 AND 2200);
ALTER TABLE person ADD COLUMN from_minute INTEGER CHECK (from_minute BETWEEN 0 AND 1440);
ALTER TABLE person ADD COLUMN to_minute INTEGER CHECK (to_minute BETWEEN 0 AND 1440);

-- The break's place in the day, minutes from midnight by the farm's clock, and what is done with the birds.
ALTER TABLE processing_day ADD COLUMN break_at_minute INTEGER NOT NULL DEFAULT 720 CHECK (break_at_minute BETWEEN 0 AND 1439);
ALTER TABLE processing_day ADD COLUMN pin_place_count INTEGER NOT NULL DEFAULT 2 CHECK (pin_place_count BETWEEN 1 AND 100);
ALTER TABLE processing_day ADD COLUMN keeps_giblets INTEGER NOT NULL DEFAULT 1 CHECK (keeps_giblets IN (0, 1));
ALTER TABLE processing_day ADD COLUMN pluck_by TEXT NOT NULL DEFAULT 'drum' CHECK (pluck_by IN ('drum', 'hand'));
-- NULL: the water is kept all day.
ALTER TABLE processing_day ADD COLUMN change_water_birds INTEGER CHECK (change_water_birds BETWEEN 1 AND 100000);

-- Who stands where on a day. People beyond these rows have no name, and go where they help most.
CREATE TABLE day_crew (
  day_id    INTEGER NOT NULL REFERENCES processing_day (id),
  seat      INTEGER NOT NULL CHECK (seat BETWEEN 0 AND 99),
  -- NULL for a helper who is not among the farm's people.
  person_id INTEGER REFERENCES person (id),
  name      TEXT    NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  -- Stations in order of preference, a space between.
  stations  TEXT    NOT NULL CHECK (length(stations) BETWEEN 3 AND 100),
  PRIMARY KEY (day_id, seat)
) STRICT, WITHOUT ROWID;
CREATE INDEX day_crew_person ON day_crew (person_id);
