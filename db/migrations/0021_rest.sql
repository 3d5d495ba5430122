-- How a day's birds rest: each saving says it all anew, and the last one that stands counts.
CREATE TABLE rest_program (
  id       INTEGER PRIMARY KEY,
  entry_id TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  day_id   INTEGER NOT NULL REFERENCES processing_day (id)
) STRICT;
CREATE INDEX rest_program_day ON rest_program (day_id);

-- A part of a lot's birds that rests alike. Parts of a lot take its birds in the order of the kill.
CREATE TABLE rest_part (
  id            INTEGER PRIMARY KEY,
  program_id    INTEGER NOT NULL REFERENCES rest_program (id),
  lot_id        INTEGER NOT NULL REFERENCES day_lot (id),
  bird_count    INTEGER NOT NULL CHECK (bird_count BETWEEN 1 AND 100000),
  method        TEXT    NOT NULL CHECK (method IN ('straight-on', 'one-day', 'two-days', 'three-days')),
  cover         TEXT    NOT NULL CHECK (cover IN ('open', 'wrapped')),
  -- Where they are to rest; NULL for the tank they were chilled in.
  place_id      INTEGER REFERENCES storage_place (id),
  -- NULL: no brine. Else the strength of the brine by weight, its sugar, and how long they are to lie in it.
  salt_permille  INTEGER CHECK (salt_permille BETWEEN 1 AND 260),
  sugar_permille INTEGER CHECK (sugar_permille BETWEEN 0 AND 300),
  brine_hours    INTEGER CHECK (brine_hours BETWEEN 1 AND 72),
  CHECK ((salt_permille IS NULL) = (sugar_permille IS NULL) AND (salt_permille IS NULL) = (brine_hours IS NULL))
) STRICT;
CREATE INDEX rest_part_program ON rest_part (program_id);
CREATE INDEX rest_part_lot ON rest_part (lot_id);
CREATE INDEX rest_part_place ON rest_part (place_id);

-- What was done with resting birds, and what was measured.
CREATE TABLE rest_fact (
  id           INTEGER PRIMARY KEY,
  entry_id     TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  day_id       INTEGER NOT NULL REFERENCES processing_day (id),
  -- Of which lot's birds; NULL for all of the day's.
  lot_id       INTEGER REFERENCES day_lot (id),
  kind         TEXT    NOT NULL CHECK (kind IN ('moved', 'ice', 'drained', 'covered', 'brine-in', 'brine-out',
                                                'carcass-temperature', 'place-temperature', 'shut-in')),
  at           INTEGER NOT NULL,
  -- Birds that were moved, or bags of ice; NULL where neither is counted.
  count        INTEGER CHECK (count BETWEEN 1 AND 100000),
  millicelsius INTEGER CHECK (millicelsius BETWEEN -30000 AND 50000),
  -- Where to; NULL for a tank or a tote, which the note names.
  place_id     INTEGER REFERENCES storage_place (id),
  -- NULL where nobody has said who.
  person_id    INTEGER REFERENCES person (id),
  note         TEXT    NOT NULL CHECK (length(note) <= 200)
) STRICT;
CREATE INDEX rest_fact_day ON rest_fact (day_id);
CREATE INDEX rest_fact_lot ON rest_fact (lot_id);
CREATE INDEX rest_fact_place ON rest_fact (place_id);
CREATE INDEX rest_fact_person ON rest_fact (person_id);
