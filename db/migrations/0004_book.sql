-- A batch of before this file, in summary, for comparison. NULL where nobody wrote it down.
CREATE TABLE past_batch (
  id                 INTEGER PRIMARY KEY,
  entry_id           TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  name               TEXT    NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  kind               TEXT    NOT NULL CHECK (kind IN ('fast', 'slow', 'mature')),
  finished_on        TEXT    NOT NULL CHECK (finished_on IS date(finished_on)),
  dressed_count      INTEGER NOT NULL CHECK (dressed_count BETWEEN 1 AND 100000),
  dressed_milligrams INTEGER NOT NULL CHECK (dressed_milligrams > 0),
  cost_cents         INTEGER NOT NULL CHECK (cost_cents >= 0),
  live_milligrams    INTEGER CHECK (live_milligrams > 0),
  feed_milligrams    INTEGER CHECK (feed_milligrams > 0)
) STRICT;
