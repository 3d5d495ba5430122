-- NULL where the birds were there when the batch was written down; else the day on which its chicks are due. Until an
-- arrival is written down, arrived_count is how many are expected.
ALTER TABLE batch ADD COLUMN awaited_on TEXT CHECK (awaited_on IS date(awaited_on));

CREATE TABLE batch_arrival (
  id            INTEGER PRIMARY KEY,
  entry_id      TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  batch_id      INTEGER NOT NULL REFERENCES batch (id),
  arrived_on    TEXT    NOT NULL CHECK (arrived_on IS date(arrived_on)),
  arrived_count INTEGER NOT NULL CHECK (arrived_count BETWEEN 1 AND 100000)
) STRICT;
CREATE INDEX batch_arrival_batch ON batch_arrival (batch_id);

CREATE TABLE batch_note (
  id       INTEGER PRIMARY KEY,
  entry_id TEXT    NOT NULL REFERENCES entry (id),
  batch_id INTEGER NOT NULL REFERENCES batch (id),
  noted_on TEXT    NOT NULL CHECK (noted_on IS date(noted_on)),
  kind     TEXT    NOT NULL CHECK (kind IN ('note', 'vaccine')),
  note     TEXT    NOT NULL CHECK (length(note) <= 1000)
) STRICT;
CREATE INDEX batch_note_batch ON batch_note (batch_id);

-- Out of the brooder, from pen to pen, pens split or merged. An empty name is where the birds were before they had a pen.
CREATE TABLE batch_pen_move (
  id         INTEGER PRIMARY KEY,
  entry_id   TEXT    NOT NULL REFERENCES entry (id),
  batch_id   INTEGER NOT NULL REFERENCES batch (id),
  moved_on   TEXT    NOT NULL CHECK (moved_on IS date(moved_on)),
  bird_count INTEGER NOT NULL CHECK (bird_count BETWEEN 1 AND 100000),
  from_pen   TEXT    NOT NULL CHECK (length(from_pen) <= 40),
  to_pen     TEXT    NOT NULL CHECK (length(to_pen) BETWEEN 1 AND 40),
  CHECK (from_pen <> to_pen)
) STRICT;
CREATE INDEX batch_pen_move_batch ON batch_pen_move (batch_id);

CREATE TABLE batch_feed_opened (
  id        INTEGER PRIMARY KEY,
  entry_id  TEXT    NOT NULL REFERENCES entry (id),
  batch_id  INTEGER NOT NULL REFERENCES batch (id),
  opened_on TEXT    NOT NULL CHECK (opened_on IS date(opened_on)),
  bag_count INTEGER NOT NULL CHECK (bag_count BETWEEN 1 AND 10000)
) STRICT;
CREATE INDEX batch_feed_opened_batch ON batch_feed_opened (batch_id);

ALTER TABLE batch_feed ADD COLUMN feed_kind TEXT NOT NULL DEFAULT '' CHECK (length(feed_kind) <= 60);

-- Feed that went from one batch to another, into stock or out of it. NULL is the farm's stock. The money goes with it, at the
-- mean price of where it came from on that day.
CREATE TABLE feed_moved (
  id               INTEGER PRIMARY KEY,
  entry_id         TEXT    NOT NULL REFERENCES entry (id),
  moved_on         TEXT    NOT NULL CHECK (moved_on IS date(moved_on)),
  from_batch_id    INTEGER REFERENCES batch (id),
  to_batch_id      INTEGER REFERENCES batch (id),
  moved_milligrams INTEGER NOT NULL CHECK (moved_milligrams BETWEEN 1 AND 20000000000000),
  amount_cents     INTEGER NOT NULL CHECK (amount_cents BETWEEN 0 AND 100000000),
  CHECK (from_batch_id IS NOT to_batch_id)
) STRICT;
CREATE INDEX feed_moved_from ON feed_moved (from_batch_id);
CREATE INDEX feed_moved_to ON feed_moved (to_batch_id);

-- Which birds a day takes: as they come, or the biggest, which leaves the others lighter than the flock was.
ALTER TABLE processing_day ADD COLUMN which_birds TEXT NOT NULL DEFAULT 'as-they-come'
  CHECK (which_birds IN ('as-they-come', 'biggest'));

-- A breeder's marks of one bird. NULL where a mark was not taken.
CREATE TABLE carcass_mark (
  id                      INTEGER PRIMARY KEY,
  entry_id                TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  carcass_id              INTEGER NOT NULL REFERENCES carcass (id),
  frame_width_millimeters INTEGER CHECK (frame_width_millimeters BETWEEN 20 AND 300),
  keel_millimeters        INTEGER CHECK (keel_millimeters BETWEEN 20 AND 300),
  fleshing                INTEGER CHECK (fleshing BETWEEN 1 AND 5),
  legs                    TEXT    NOT NULL CHECK (length(legs) <= 60),
  note                    TEXT    NOT NULL CHECK (length(note) <= 200)
) STRICT;
CREATE INDEX carcass_mark_carcass ON carcass_mark (carcass_id);
