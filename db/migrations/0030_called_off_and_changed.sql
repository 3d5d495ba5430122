-- Why a day was called off. The day's own entry is taken back, so that no sum counts it; its taps and notes stay.
-- The reason is empty where the day was only deleted because nothing had happened on it.
CREATE TABLE day_call_off (
  id       INTEGER PRIMARY KEY,
  entry_id TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  day_id   INTEGER NOT NULL REFERENCES processing_day (id),
  reason   TEXT    NOT NULL CHECK (length(reason) <= 200)
) STRICT;
CREATE INDEX day_call_off_day ON day_call_off (day_id);

-- Counts on with each change, so that two windows can't overwrite each other unseen.
ALTER TABLE batch ADD COLUMN revision INTEGER NOT NULL DEFAULT 0;
