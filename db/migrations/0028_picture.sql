-- Pictures stand by what they hold: the same picture sent twice is kept once, and is there before anything names it.
CREATE TABLE picture (
  sha256 TEXT NOT NULL PRIMARY KEY CHECK (length(sha256) = 64),
  -- As the phone shrank it, at most 200 kB.
  jpeg   BLOB NOT NULL CHECK (length(jpeg) BETWEEN 4 AND 204800)
) STRICT;
INSERT OR IGNORE INTO picture (sha256, jpeg) SELECT sha256_of(jpeg), jpeg FROM day_picture ORDER BY id;

CREATE TABLE day_picture_by_hash (
  id          INTEGER PRIMARY KEY,
  entry_id    TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  day_id      INTEGER NOT NULL REFERENCES processing_day (id),
  -- The fact that it shows: a bird looked at.
  of_entry_id TEXT    NOT NULL REFERENCES entry (id),
  sha256      TEXT    NOT NULL REFERENCES picture (sha256)
) STRICT;
INSERT INTO day_picture_by_hash (id, entry_id, day_id, of_entry_id, sha256)
  SELECT id, entry_id, day_id, of_entry_id, sha256_of(jpeg) FROM day_picture ORDER BY id;
DROP TABLE day_picture;
ALTER TABLE day_picture_by_hash RENAME TO day_picture;
CREATE INDEX day_picture_day ON day_picture (day_id);
CREATE INDEX day_picture_sha256 ON day_picture (sha256);
