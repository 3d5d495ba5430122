-- Ice that the farm makes itself for a day: jugs frozen in the days before, and ice from its own machine. NULL: none.
ALTER TABLE farm ADD COLUMN jug_count INTEGER CHECK (jug_count BETWEEN 0 AND 1000);
ALTER TABLE farm ADD COLUMN jug_milliliters INTEGER CHECK (jug_milliliters BETWEEN 100 AND 30000);
ALTER TABLE farm ADD COLUMN made_ice_milligrams INTEGER CHECK (made_ice_milligrams BETWEEN 0 AND 1000000000);

-- Whether what its own days took overrules our times, as far as it goes.
ALTER TABLE farm ADD COLUMN uses_own_days INTEGER NOT NULL DEFAULT 1 CHECK (uses_own_days IN (0, 1));

-- What else is done with the birds, and whether it rains on the people.
ALTER TABLE processing_day ADD COLUMN keeps_feet INTEGER NOT NULL DEFAULT 0 CHECK (keeps_feet IN (0, 1));
ALTER TABLE processing_day ADD COLUMN packs_same_day INTEGER NOT NULL DEFAULT 0 CHECK (packs_same_day IN (0, 1));
ALTER TABLE processing_day ADD COLUMN is_rain_expected INTEGER NOT NULL DEFAULT 0 CHECK (is_rain_expected IN (0, 1));

-- Salt that the meat is to end up with, in thousandths by weight. NULL: the birds are not brined.
ALTER TABLE processing_day ADD COLUMN brine_permille INTEGER CHECK (brine_permille BETWEEN 1 AND 100);

-- What is used up. Amounts are whole pieces, milliliters or grams, by what it is.
CREATE TABLE supply (
  id              INTEGER PRIMARY KEY,
  entry_id        TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  name            TEXT    NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  kind            TEXT    NOT NULL CHECK (kind IN ('ice', 'bag', 'tie', 'tube', 'label', 'vacuum_bag', 'propane', 'bleach',
                                                   'glove', 'towel', 'bin_bag', 'salt')),
  -- The heaviest dressed bird that a bag takes; NULL for what is not a bag.
  most_milligrams INTEGER CHECK (most_milligrams BETWEEN 100000 AND 20000000),
  -- How much is bought at once, and for how much.
  pack_amount     INTEGER NOT NULL CHECK (pack_amount BETWEEN 1 AND 10000000),
  pack_cents      INTEGER NOT NULL CHECK (pack_cents BETWEEN 0 AND 10000000),
  CHECK ((kind = 'bag') = (most_milligrams IS NOT NULL))
) STRICT;

-- Bought and counted by hand; used when a day settles, under the settlement's entry, so that opening the day again
-- puts it all back. A count says what is there, whatever was thought before.
CREATE TABLE supply_move (
  id        INTEGER PRIMARY KEY,
  entry_id  TEXT    NOT NULL REFERENCES entry (id),
  supply_id INTEGER NOT NULL REFERENCES supply (id),
  moved_on  TEXT    NOT NULL CHECK (moved_on IS date(moved_on)),
  kind      TEXT    NOT NULL CHECK (kind IN ('bought', 'counted', 'used')),
  amount    INTEGER NOT NULL CHECK (amount BETWEEN 0 AND 1000000000),
  -- The day that used it; NULL for the others.
  day_id    INTEGER REFERENCES processing_day (id),
  CHECK ((kind = 'used') = (day_id IS NOT NULL))
) STRICT;
CREATE INDEX supply_move_supply ON supply_move (supply_id);
CREATE INDEX supply_move_day ON supply_move (day_id);

-- What has been done for a day, by the key of its task. Taking the entry back unticks it.
CREATE TABLE day_task_done (
  id       INTEGER PRIMARY KEY,
  entry_id TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  day_id   INTEGER NOT NULL REFERENCES processing_day (id),
  task     TEXT    NOT NULL CHECK (length(task) BETWEEN 1 AND 40)
) STRICT;
CREATE INDEX day_task_done_day ON day_task_done (day_id);
