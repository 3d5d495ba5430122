-- A picture of a bird that was looked at, as the phone shrank it: a JPEG of at most 200 kB.
CREATE TABLE day_picture (
  id          INTEGER PRIMARY KEY,
  entry_id    TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  day_id      INTEGER NOT NULL REFERENCES processing_day (id),
  -- The fact that it shows: a bird looked at.
  of_entry_id TEXT    NOT NULL REFERENCES entry (id),
  jpeg        BLOB    NOT NULL CHECK (length(jpeg) BETWEEN 4 AND 204800)
) STRICT;
CREATE INDEX day_picture_day ON day_picture (day_id);
