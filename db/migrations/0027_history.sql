-- What stood before: settings and plans that were changed, and removals that were undone.

-- A row that was changed. Facts are never changed; these are what a farm says of itself, and what it plans.
CREATE TABLE row_change (
  id            INTEGER PRIMARY KEY,
  changed_table TEXT    NOT NULL CHECK (length(changed_table) BETWEEN 1 AND 60),
  row_id        INTEGER NOT NULL,
  -- The row by its columns, as JSON.
  before        TEXT    NOT NULL CHECK (json_valid(before)),
  after         TEXT    NOT NULL CHECK (json_valid(after)),
  at            INTEGER NOT NULL,
  -- NULL on the farm's own computer.
  device_id     INTEGER REFERENCES joined_device (id)
) STRICT;

-- An entry that was removed and counts again.
CREATE TABLE put_back (
  id                INTEGER PRIMARY KEY,
  entry_id          TEXT    NOT NULL REFERENCES entry (id),
  removed_at        INTEGER NOT NULL,
  removed_device_id INTEGER REFERENCES joined_device (id),
  at                INTEGER NOT NULL,
  device_id         INTEGER REFERENCES joined_device (id)
) STRICT;

CREATE INDEX entry_at ON entry (at);
CREATE INDEX entry_taken_back_at ON entry_taken_back (at);

CREATE TRIGGER day_fact_put_back_is_a_change AFTER DELETE ON entry_taken_back
WHEN EXISTS (SELECT 1 FROM day_fact WHERE entry_id = OLD.entry_id)
BEGIN
  INSERT INTO day_change (day_id, entry_id)
    SELECT day_id, entry_id FROM day_fact WHERE entry_id = OLD.entry_id;
END;
CREATE TRIGGER put_back_changes_pack AFTER DELETE ON entry_taken_back
BEGIN
  DELETE FROM pack_now WHERE pack_id IN (
    SELECT pack_id FROM pack_move WHERE entry_id = OLD.entry_id
    UNION SELECT pack_id FROM pack_out WHERE entry_id = OLD.entry_id);
  INSERT INTO pack_now SELECT * FROM pack_as_recorded WHERE pack_id IN (
    SELECT pack_id FROM pack_move WHERE entry_id = OLD.entry_id
    UNION SELECT pack_id FROM pack_out WHERE entry_id = OLD.entry_id);
END;
