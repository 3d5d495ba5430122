-- Birds that are skinned are plucked by nobody: beside 'hand', which the column of migration 7 allows.
ALTER TABLE processing_day ADD COLUMN is_skinned INTEGER NOT NULL DEFAULT 0 CHECK (is_skinned IN (0, 1));

-- What was changed of a day on its morning, with the choices as they stood before, so that they can be put back.
CREATE TABLE change_of_plan (
  id             INTEGER PRIMARY KEY,
  entry_id       TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  day_id         INTEGER NOT NULL REFERENCES processing_day (id),
  -- Revision of the day that the change made: what was changed since is not undone with it.
  revision       INTEGER NOT NULL,
  choices_before TEXT    NOT NULL CHECK (json_valid(choices_before) AND length(choices_before) <= 65536),
  -- The day that the birds left over were moved to; NULL where there is none.
  split_entry_id TEXT    REFERENCES entry (id)
) STRICT;
CREATE INDEX change_of_plan_day ON change_of_plan (day_id);
