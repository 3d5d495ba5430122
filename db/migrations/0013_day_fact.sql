-- Which file this is: phones keep taps for it while they have no signal, and a farm made anew must not receive them.
CREATE TABLE file_identity (
  id TEXT NOT NULL PRIMARY KEY CHECK (length(id) = 32)
) STRICT, WITHOUT ROWID;
INSERT INTO file_identity (id) VALUES (lower(hex(randomblob(16))));

-- What happened on a day, as it was tapped: until now the kinds from 'start' to 'finish'. The entry's id is made by the phone.
CREATE TABLE day_fact (
  id            INTEGER PRIMARY KEY,
  entry_id      TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  day_id        INTEGER NOT NULL REFERENCES processing_day (id),
  kind          TEXT    NOT NULL CHECK (length(kind) BETWEEN 1 AND 40),
  at            INTEGER NOT NULL,
  note          TEXT    NOT NULL CHECK (length(note) <= 1000),
  -- Who tapped it, or who stands somewhere; empty where no one said.
  person        TEXT    NOT NULL CHECK (length(person) <= 60),
  -- The phone or device that it came from; empty for one that gave no name.
  device        TEXT    NOT NULL CHECK (length(device) <= 64),
  -- NULL in each where the kind has none.
  bird_count    INTEGER CHECK (bird_count BETWEEN 1 AND 100),
  thing_number  INTEGER CHECK (thing_number BETWEEN 1 AND 100),
  millicelsius  INTEGER CHECK (millicelsius BETWEEN -10000 AND 100000),
  ice_millibags INTEGER CHECK (ice_millibags BETWEEN 1 AND 100000),
  word          TEXT    CHECK (length(word) BETWEEN 1 AND 40),
  -- The entry of the fact that this one belongs to; NULL for one that stands alone.
  of_entry_id   TEXT    CHECK (length(of_entry_id) BETWEEN 1 AND 64)
) STRICT;
INSERT INTO day_fact (id, entry_id, day_id, kind, at, note, person, device)
  SELECT id, entry_id, day_id, kind, at, note, '', '' FROM day_event ORDER BY id;
DROP TABLE day_event;
CREATE INDEX day_fact_day ON day_fact (day_id);

CREATE TRIGGER day_fact_is_never_changed BEFORE UPDATE ON day_fact
BEGIN SELECT RAISE(ABORT, 'what happened is never changed'); END;
CREATE TRIGGER day_fact_is_never_erased BEFORE DELETE ON day_fact
BEGIN SELECT RAISE(ABORT, 'what happened is never erased'); END;

-- What was added to a day and what was removed from it, in the order in which it came: phones ask for what is new to them.
CREATE TABLE day_change (
  id       INTEGER PRIMARY KEY,
  day_id   INTEGER NOT NULL REFERENCES processing_day (id),
  entry_id TEXT    NOT NULL REFERENCES entry (id)
) STRICT;
CREATE INDEX day_change_day ON day_change (day_id, id);
INSERT INTO day_change (day_id, entry_id) SELECT day_id, entry_id FROM day_fact ORDER BY id;

CREATE TRIGGER day_fact_is_a_change AFTER INSERT ON day_fact
BEGIN INSERT INTO day_change (day_id, entry_id) VALUES (NEW.day_id, NEW.entry_id); END;
CREATE TRIGGER day_fact_removed_is_a_change AFTER INSERT ON entry_taken_back
WHEN EXISTS (SELECT 1 FROM day_fact WHERE entry_id = NEW.entry_id)
BEGIN
  INSERT INTO day_change (day_id, entry_id)
    SELECT day_id, entry_id FROM day_fact WHERE entry_id = NEW.entry_id;
END;
