-- Households and neighbors whose birds are processed here. The farm's own birds have no owner.
CREATE TABLE bird_owner (
  id       INTEGER PRIMARY KEY,
  entry_id TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  name     TEXT    NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  kind     TEXT    NOT NULL CHECK (kind IN ('household', 'neighbor'))
) STRICT;

-- A lot: birds of one batch and one owner, processed on one day. Until now a day took birds of one batch.
CREATE TABLE day_lot (
  id                 INTEGER PRIMARY KEY,
  day_id             INTEGER NOT NULL REFERENCES processing_day (id),
  -- Place in the order in which lots are killed, from 0.
  place              INTEGER NOT NULL CHECK (place BETWEEN 0 AND 99),
  batch_id           INTEGER NOT NULL REFERENCES batch (id),
  -- NULL for the farm's own birds.
  owner_id           INTEGER REFERENCES bird_owner (id),
  bird_count         INTEGER NOT NULL CHECK (bird_count BETWEEN 1 AND 100000),
  cut_up_count       INTEGER NOT NULL CHECK (cut_up_count BETWEEN 0 AND bird_count),
  which_birds        TEXT    NOT NULL CHECK (which_birds IN ('as-they-come', 'biggest')),
  scald_school       TEXT    NOT NULL CHECK (scald_school IN ('gentle', 'middle', 'hot')),
  -- The bath that was chosen; NULL for the method's usual.
  scald_millicelsius INTEGER CHECK (scald_millicelsius BETWEEN 50000 AND 75000),
  withdrawal_school  TEXT    NOT NULL CHECK (withdrawal_school IN ('short', 'overnight', 'grass_day', 'grain_day')),
  keeps_giblets      INTEGER NOT NULL CHECK (keeps_giblets IN (0, 1)),
  keeps_feet         INTEGER NOT NULL CHECK (keeps_feet IN (0, 1)),
  -- Pens of the batch that the lot stands in, a line each; empty for wherever the batch stands.
  pens               TEXT    NOT NULL CHECK (length(pens) <= 1000),
  -- NULL while the lot is part of its day; else when it was taken off.
  removed_at         INTEGER,
  -- The day that it was planned for before that day was made part of this one; NULL for all others.
  came_from_day_id   INTEGER REFERENCES processing_day (id)
) STRICT;
CREATE INDEX day_lot_batch ON day_lot (batch_id);
CREATE INDEX day_lot_day ON day_lot (day_id);
CREATE UNIQUE INDEX day_lot_once ON day_lot (day_id, batch_id) WHERE removed_at IS NULL;

INSERT INTO day_lot (day_id, place, batch_id, owner_id, bird_count, cut_up_count, which_birds, scald_school,
                     scald_millicelsius, withdrawal_school, keeps_giblets, keeps_feet, pens)
  SELECT id, 0, batch_id, NULL, bird_count, cut_up_count, which_birds, scald_school,
         NULL, withdrawal_school, keeps_giblets, keeps_feet, ''
    FROM processing_day ORDER BY id;

DROP INDEX processing_day_batch;
ALTER TABLE processing_day DROP COLUMN cut_up_count;
ALTER TABLE processing_day DROP COLUMN bird_count;
ALTER TABLE processing_day DROP COLUMN batch_id;
ALTER TABLE processing_day DROP COLUMN scald_school;
ALTER TABLE processing_day DROP COLUMN withdrawal_school;
ALTER TABLE processing_day DROP COLUMN which_birds;
ALTER TABLE processing_day DROP COLUMN keeps_giblets;
ALTER TABLE processing_day DROP COLUMN keeps_feet;
-- The day that this one was made part of; NULL for a day of its own.
ALTER TABLE processing_day ADD COLUMN joined_day_id INTEGER REFERENCES processing_day (id);
CREATE INDEX processing_day_joined ON processing_day (joined_day_id) WHERE joined_day_id IS NOT NULL;

-- Each bird belongs to a lot of its day. NULL never stands: every bird has one from here on.
ALTER TABLE carcass ADD COLUMN lot_id INTEGER REFERENCES day_lot (id);
UPDATE carcass SET lot_id = (SELECT id FROM day_lot WHERE day_lot.day_id = carcass.day_id);
CREATE INDEX carcass_lot ON carcass (lot_id);

-- The plan of each lot as it stood when the day was started.
CREATE TABLE kept_lot (
  lot_id                  INTEGER PRIMARY KEY REFERENCES day_lot (id),
  bird_count              INTEGER NOT NULL,
  feed_off_at             INTEGER NOT NULL,
  live_mean_milligrams    INTEGER NOT NULL,
  dressed_mean_milligrams INTEGER NOT NULL
) STRICT;
INSERT INTO kept_lot (lot_id, bird_count, feed_off_at, live_mean_milligrams, dressed_mean_milligrams)
  SELECT day_lot.id, kept_plan.bird_count, feed_off_at, live_mean_milligrams, dressed_mean_milligrams
    FROM kept_plan JOIN day_lot ON day_lot.day_id = kept_plan.day_id;
ALTER TABLE kept_plan DROP COLUMN feed_off_at;
ALTER TABLE kept_plan DROP COLUMN live_mean_milligrams;
ALTER TABLE kept_plan DROP COLUMN dressed_mean_milligrams;

-- What a settled day took of each lot.
CREATE TABLE settled_lot (
  settlement_id        INTEGER NOT NULL REFERENCES day_settlement (id),
  lot_id               INTEGER NOT NULL REFERENCES day_lot (id),
  bird_count           INTEGER NOT NULL CHECK (bird_count >= 0),
  -- NULL where the lot was not weighed alive that morning.
  live_mean_milligrams INTEGER CHECK (live_mean_milligrams BETWEEN 20000 AND 14000000),
  PRIMARY KEY (settlement_id, lot_id)
) STRICT, WITHOUT ROWID;
CREATE INDEX settled_lot_lot ON settled_lot (lot_id);
INSERT INTO settled_lot (settlement_id, lot_id, bird_count, live_mean_milligrams)
  SELECT day_settlement.id, day_lot.id, day_settlement.bird_count, live_mean_milligrams
    FROM day_settlement JOIN day_lot ON day_lot.day_id = day_settlement.day_id;
ALTER TABLE day_settlement DROP COLUMN live_mean_milligrams;

-- The farm's own rule about processing for others, in its words, and how lots share what a day costs.
ALTER TABLE farm ADD COLUMN rule_for_others TEXT NOT NULL DEFAULT '' CHECK (length(rule_for_others) <= 500);
ALTER TABLE farm ADD COLUMN day_cost_shared_by TEXT NOT NULL DEFAULT 'birds'
  CHECK (day_cost_shared_by IN ('birds', 'work'));
