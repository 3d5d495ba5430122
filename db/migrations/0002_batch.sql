-- A batch is birds of one hatch raised together.
CREATE TABLE batch (
  id                  INTEGER PRIMARY KEY,
  entry_id            TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  name                TEXT    NOT NULL UNIQUE CHECK (length(name) BETWEEN 1 AND 60),
  kind                TEXT    NOT NULL CHECK (kind IN ('fast', 'slow', 'mature')),
  male_share_permille INTEGER NOT NULL CHECK (male_share_permille BETWEEN 0 AND 1000),
  hatched_on          TEXT    NOT NULL CHECK (hatched_on IS date(hatched_on)),
  -- NULL where the birds were hatched at home.
  ordered_count       INTEGER CHECK (ordered_count BETWEEN 1 AND 100000),
  arrived_count       INTEGER NOT NULL CHECK (arrived_count BETWEEN 1 AND 100000),
  chick_cost_cents    INTEGER NOT NULL CHECK (chick_cost_cents BETWEEN 0 AND 100000000)
) STRICT;

CREATE TABLE batch_loss (
  id         INTEGER PRIMARY KEY,
  entry_id   TEXT    NOT NULL REFERENCES entry (id),
  batch_id   INTEGER NOT NULL REFERENCES batch (id),
  lost_on    TEXT    NOT NULL CHECK (lost_on IS date(lost_on)),
  bird_count INTEGER NOT NULL CHECK (bird_count BETWEEN 1 AND 100000),
  cause      TEXT    NOT NULL CHECK (length(cause) <= 200)
) STRICT;
CREATE INDEX batch_loss_batch ON batch_loss (batch_id);

CREATE TABLE batch_feed (
  id              INTEGER PRIMARY KEY,
  entry_id        TEXT    NOT NULL REFERENCES entry (id),
  batch_id        INTEGER NOT NULL REFERENCES batch (id),
  bought_on       TEXT    NOT NULL CHECK (bought_on IS date(bought_on)),
  bag_count       INTEGER NOT NULL CHECK (bag_count BETWEEN 1 AND 10000),
  bag_milligrams  INTEGER NOT NULL CHECK (bag_milligrams BETWEEN 100000 AND 2000000000),
  bag_price_cents INTEGER NOT NULL CHECK (bag_price_cents BETWEEN 0 AND 1000000)
) STRICT;
CREATE INDEX batch_feed_batch ON batch_feed (batch_id);

-- A count of what is left; the last count stands.
CREATE TABLE batch_feed_left (
  id              INTEGER PRIMARY KEY,
  entry_id        TEXT    NOT NULL REFERENCES entry (id),
  batch_id        INTEGER NOT NULL REFERENCES batch (id),
  counted_on      TEXT    NOT NULL CHECK (counted_on IS date(counted_on)),
  left_milligrams INTEGER NOT NULL CHECK (left_milligrams BETWEEN 0 AND 20000000000000)
) STRICT;
CREATE INDEX batch_feed_left_batch ON batch_feed_left (batch_id);

CREATE TABLE batch_cost (
  id           INTEGER PRIMARY KEY,
  entry_id     TEXT    NOT NULL REFERENCES entry (id),
  batch_id     INTEGER NOT NULL REFERENCES batch (id),
  spent_on     TEXT    NOT NULL CHECK (spent_on IS date(spent_on)),
  what         TEXT    NOT NULL CHECK (length(what) BETWEEN 1 AND 200),
  amount_cents INTEGER NOT NULL CHECK (amount_cents BETWEEN 0 AND 100000000)
) STRICT;
CREATE INDEX batch_cost_batch ON batch_cost (batch_id);

-- One live bird on the scale; several of one entry were typed together.
CREATE TABLE batch_weighing (
  id                     INTEGER PRIMARY KEY,
  entry_id               TEXT    NOT NULL REFERENCES entry (id),
  batch_id               INTEGER NOT NULL REFERENCES batch (id),
  weighed_on             TEXT    NOT NULL CHECK (weighed_on IS date(weighed_on)),
  live_weight_milligrams INTEGER NOT NULL CHECK (live_weight_milligrams BETWEEN 20000 AND 14000000),
  as_typed               TEXT    NOT NULL CHECK (length(as_typed) BETWEEN 1 AND 40)
) STRICT;
CREATE INDEX batch_weighing_batch ON batch_weighing (batch_id);
