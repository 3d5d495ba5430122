-- A processing day takes birds of one batch. What follows from it is worked out on reading.
CREATE TABLE processing_day (
  id                   INTEGER PRIMARY KEY,
  entry_id             TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  revision             INTEGER NOT NULL CHECK (revision > 0),
  batch_id             INTEGER NOT NULL REFERENCES batch (id),
  processed_on         TEXT    NOT NULL CHECK (processed_on IS date(processed_on)),
  time_zone            TEXT    NOT NULL CHECK (length(time_zone) BETWEEN 1 AND 64),
  start_at             INTEGER NOT NULL,
  bird_count           INTEGER NOT NULL CHECK (bird_count BETWEEN 1 AND 100000),
  cut_up_count         INTEGER NOT NULL CHECK (cut_up_count BETWEEN 0 AND bird_count),
  people_count         INTEGER NOT NULL CHECK (people_count BETWEEN 1 AND 100),
  cone_count           INTEGER NOT NULL CHECK (cone_count BETWEEN 1 AND 100),
  table_place_count    INTEGER NOT NULL CHECK (table_place_count BETWEEN 1 AND 100),
  break_minutes        INTEGER NOT NULL CHECK (break_minutes BETWEEN 0 AND 600),
  scald_school         TEXT    NOT NULL CHECK (scald_school IN ('gentle', 'middle', 'hot')),
  withdrawal_school    TEXT    NOT NULL CHECK (withdrawal_school IN ('short', 'overnight', 'grass_day', 'grain_day'))
) STRICT;
CREATE INDEX processing_day_batch ON processing_day (batch_id);

-- The plan as it stood when the day was started, so that plan and day can be compared. Never changed.
CREATE TABLE kept_plan (
  day_id                INTEGER PRIMARY KEY REFERENCES processing_day (id),
  kept_at               INTEGER NOT NULL,
  bird_count            INTEGER NOT NULL,
  start_at              INTEGER NOT NULL,
  even_chance_at        INTEGER NOT NULL,
  whole_day_minutes     INTEGER NOT NULL,
  feed_off_at           INTEGER NOT NULL,
  live_mean_milligrams  INTEGER NOT NULL,
  dressed_mean_milligrams INTEGER NOT NULL,
  ice_bag_count         INTEGER NOT NULL
) STRICT;

-- What happened, as it was tapped. The entry's id is made by the phone, so that a repeated send counts once.
CREATE TABLE day_event (
  id       INTEGER PRIMARY KEY,
  entry_id TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  day_id   INTEGER NOT NULL REFERENCES processing_day (id),
  kind     TEXT    NOT NULL CHECK (kind IN ('start', 'bird', 'pause', 'resume', 'note', 'finish')),
  at       INTEGER NOT NULL,
  note     TEXT    NOT NULL CHECK (length(note) <= 1000)
) STRICT;
CREATE INDEX day_event_day ON day_event (day_id);

CREATE TRIGGER day_event_is_never_changed BEFORE UPDATE ON day_event
BEGIN SELECT RAISE(ABORT, 'what happened is never changed'); END;
CREATE TRIGGER day_event_is_never_erased BEFORE DELETE ON day_event
BEGIN SELECT RAISE(ABORT, 'what happened is never erased'); END;

CREATE TABLE carcass (
  id                INTEGER PRIMARY KEY,
  entry_id          TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  day_id            INTEGER NOT NULL REFERENCES processing_day (id),
  bird_number       INTEGER NOT NULL CHECK (bird_number BETWEEN 1 AND 100000),
  purpose           TEXT    NOT NULL CHECK (purpose IN ('sale', 'own', 'cut', 'pets', 'condemned')),
  -- NULL only for a condemned bird that was not weighed.
  weight_milligrams INTEGER CHECK (weight_milligrams BETWEEN 100000 AND 10000000),
  as_typed          TEXT    NOT NULL CHECK (length(as_typed) <= 40),
  -- Why it was condemned; empty for the others.
  reason            TEXT    NOT NULL CHECK (length(reason) <= 200),
  -- NULL where nobody has said where it lies.
  place_id          INTEGER REFERENCES storage_place (id),
  packed_at         INTEGER NOT NULL,
  CHECK (purpose = 'condemned' OR weight_milligrams IS NOT NULL),
  CHECK (purpose <> 'condemned' OR length(reason) > 0)
) STRICT;
CREATE INDEX carcass_day ON carcass (day_id);
CREATE INDEX carcass_place ON carcass (place_id);

-- A bird that has left the fridge or freezer.
CREATE TABLE carcass_out (
  id         INTEGER PRIMARY KEY,
  entry_id   TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  carcass_id INTEGER NOT NULL REFERENCES carcass (id),
  out_on     TEXT    NOT NULL CHECK (out_on IS date(out_on)),
  how        TEXT    NOT NULL CHECK (how IN ('sold', 'eaten', 'given', 'spoiled'))
) STRICT;
CREATE INDEX carcass_out_carcass ON carcass_out (carcass_id);

-- Birds that are packed and have not left: kept up by the triggers below, so that the stores of many years answer
-- at once. It follows from the facts and can be made anew from them.
CREATE TABLE stored_carcass (
  carcass_id INTEGER PRIMARY KEY REFERENCES carcass (id)
) STRICT;

CREATE TRIGGER packed_carcass_is_stored AFTER INSERT ON carcass WHEN NEW.purpose <> 'condemned'
BEGIN INSERT INTO stored_carcass (carcass_id) VALUES (NEW.id); END;
CREATE TRIGGER carcass_out_is_not_stored AFTER INSERT ON carcass_out
BEGIN DELETE FROM stored_carcass WHERE carcass_id = NEW.carcass_id; END;
CREATE TRIGGER taken_back_changes_stored AFTER INSERT ON entry_taken_back
BEGIN
  INSERT INTO stored_carcass (carcass_id)
    SELECT carcass.id FROM carcass_out JOIN carcass ON carcass.id = carcass_out.carcass_id
     WHERE carcass_out.entry_id = NEW.entry_id
       AND carcass.entry_id NOT IN (SELECT entry_id FROM entry_taken_back);
  DELETE FROM stored_carcass
   WHERE carcass_id = (SELECT id FROM carcass WHERE entry_id = NEW.entry_id);
END;

CREATE TABLE day_cost (
  id           INTEGER PRIMARY KEY,
  entry_id     TEXT    NOT NULL REFERENCES entry (id),
  day_id       INTEGER NOT NULL REFERENCES processing_day (id),
  what         TEXT    NOT NULL CHECK (length(what) BETWEEN 1 AND 200),
  amount_cents INTEGER NOT NULL CHECK (amount_cents BETWEEN 0 AND 100000000)
) STRICT;
CREATE INDEX day_cost_day ON day_cost (day_id);

-- A day is settled once; taking the entry back opens it again.
CREATE TABLE day_settlement (
  id                   INTEGER PRIMARY KEY,
  entry_id             TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  day_id               INTEGER NOT NULL REFERENCES processing_day (id),
  settled_at           INTEGER NOT NULL,
  -- Birds that the day took, tapped or packed. A settled day does not change, so nobody need count them again.
  bird_count           INTEGER NOT NULL CHECK (bird_count > 0),
  -- NULL where the hours come from the day's own log.
  work_minutes         INTEGER CHECK (work_minutes BETWEEN 0 AND 100000),
  -- NULL where the birds were not weighed alive that morning.
  live_mean_milligrams INTEGER CHECK (live_mean_milligrams BETWEEN 20000 AND 14000000)
) STRICT;
CREATE INDEX day_settlement_day ON day_settlement (day_id);
