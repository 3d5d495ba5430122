-- A fridge that can be turned down to freeze does one or the other, never both.
ALTER TABLE storage_place ADD COLUMN can_freeze INTEGER NOT NULL DEFAULT 0 CHECK (can_freeze IN (0, 1));

-- What the season is reckoned with; one row a farm. NULL in a number: our default stands. NULL in a price of a rule: the rule is firm.
CREATE TABLE season_setting (
  id                       INTEGER PRIMARY KEY CHECK (id = 1),
  revision                 INTEGER NOT NULL CHECK (revision > 0),
  whole_cents_per_kilogram INTEGER CHECK (whole_cents_per_kilogram BETWEEN 0 AND 1000000),
  cut_cents_per_kilogram   INTEGER CHECK (cut_cents_per_kilogram BETWEEN 0 AND 1000000),
  odd_size_off_percent     INTEGER CHECK (odd_size_off_percent BETWEEN 0 AND 100),
  leaving_a_week_count     INTEGER CHECK (leaving_a_week_count BETWEEN 0 AND 100000),
  longest_line_minutes     INTEGER CHECK (longest_line_minutes BETWEEN 30 AND 1200),
  least_birds_count        INTEGER CHECK (least_birds_count BETWEEN 0 AND 100000),
  rest_days_count          INTEGER CHECK (rest_days_count BETWEEN 0 AND 14),
  yearly_cap_count         INTEGER CHECK (yearly_cap_count BETWEEN 1 AND 10000000),
  hired_thing              TEXT    NOT NULL CHECK (length(hired_thing) <= 60),
  hire_cents               INTEGER CHECK (hire_cents BETWEEN 0 AND 10000000),
  must_be_booked           INTEGER NOT NULL CHECK (must_be_booked IN (0, 1)),
  everyone_placed_cents    INTEGER CHECK (everyone_placed_cents BETWEEN 0 AND 1000000),
  latest_age_cents         INTEGER CHECK (latest_age_cents BETWEEN 0 AND 1000000),
  crew_cents               INTEGER CHECK (crew_cents BETWEEN 0 AND 1000000),
  least_birds_cents        INTEGER CHECK (least_birds_cents BETWEEN 0 AND 1000000),
  rest_room_cents          INTEGER CHECK (rest_room_cents BETWEEN 0 AND 1000000),
  freezer_room_cents       INTEGER CHECK (freezer_room_cents BETWEEN 0 AND 1000000),
  yearly_cap_cents         INTEGER CHECK (yearly_cap_cents BETWEEN 0 AND 1000000)
) STRICT;

-- Dressed weights that somebody wants. NULL: no lightest or no heaviest.
CREATE TABLE wanted_size (
  id               INTEGER PRIMARY KEY,
  entry_id         TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  who              TEXT    NOT NULL CHECK (length(who) BETWEEN 1 AND 60),
  least_milligrams INTEGER CHECK (least_milligrams BETWEEN 100000 AND 10000000),
  most_milligrams  INTEGER CHECK (most_milligrams BETWEEN 100000 AND 10000000),
  bird_count       INTEGER NOT NULL CHECK (bird_count BETWEEN 1 AND 100000)
) STRICT;

-- Somebody who helps. Weekdays on which they usually can: bit 0 for Monday to bit 6 for Sunday.
CREATE TABLE person (
  id             INTEGER PRIMARY KEY,
  entry_id       TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  name           TEXT    NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  weekday_mask   INTEGER NOT NULL CHECK (weekday_mask BETWEEN 0 AND 127),
  -- What they do in the time in which a practiced adult does 100.
  hands_percent  INTEGER NOT NULL CHECK (hands_percent BETWEEN 10 AND 150)
) STRICT;

-- A day on which somebody can or can't, whatever their weekdays say; typed, or read from a calendar file. The last word stands.
CREATE TABLE person_day (
  id        INTEGER PRIMARY KEY,
  entry_id  TEXT    NOT NULL REFERENCES entry (id),
  person_id INTEGER NOT NULL REFERENCES person (id),
  on_day    TEXT    NOT NULL CHECK (on_day IS date(on_day)),
  can_come  INTEGER NOT NULL CHECK (can_come IN (0, 1)),
  source    TEXT    NOT NULL CHECK (source IN ('typed', 'calendar')),
  why       TEXT    NOT NULL CHECK (length(why) <= 200)
) STRICT;
CREATE INDEX person_day_person ON person_day (person_id, on_day);

-- Days that are out, and days to know of. NULL price: out is out; else it may be given up at that price.
CREATE TABLE day_mark (
  id          INTEGER PRIMARY KEY,
  entry_id    TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  from_on     TEXT    NOT NULL CHECK (from_on IS date(from_on)),
  to_on       TEXT    NOT NULL CHECK (to_on IS date(to_on)),
  kind        TEXT    NOT NULL CHECK (kind IN ('out', 'market', 'note')),
  what        TEXT    NOT NULL CHECK (length(what) BETWEEN 1 AND 100),
  price_cents INTEGER CHECK (price_cents BETWEEN 0 AND 10000000),
  CHECK (from_on <= to_on)
) STRICT;

-- A thing that is borrowed or hired, by day. The same thing is not booked twice for a day.
CREATE TABLE booking (
  id         INTEGER PRIMARY KEY,
  entry_id   TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  thing      TEXT    NOT NULL CHECK (length(thing) BETWEEN 1 AND 60),
  from_on    TEXT    NOT NULL CHECK (from_on IS date(from_on)),
  to_on      TEXT    NOT NULL CHECK (to_on IS date(to_on)),
  CHECK (from_on <= to_on)
) STRICT;

-- Birds of a batch that somebody has fixed on a day; the season is set around them.
CREATE TABLE season_pin (
  id         INTEGER PRIMARY KEY,
  entry_id   TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  batch_id   INTEGER NOT NULL REFERENCES batch (id),
  pinned_on  TEXT    NOT NULL CHECK (pinned_on IS date(pinned_on)),
  bird_count INTEGER NOT NULL CHECK (bird_count BETWEEN 1 AND 100000)
) STRICT;

-- Weather that somebody knows better than the stand-in: a spell of days and their mean.
CREATE TABLE weather_spell (
  id                INTEGER PRIMARY KEY,
  entry_id          TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  from_on           TEXT    NOT NULL CHECK (from_on IS date(from_on)),
  to_on             TEXT    NOT NULL CHECK (to_on IS date(to_on)),
  mean_millicelsius INTEGER NOT NULL CHECK (mean_millicelsius BETWEEN -40000 AND 50000),
  what              TEXT    NOT NULL CHECK (length(what) <= 100),
  CHECK (from_on <= to_on)
) STRICT;

CREATE INDEX carcass_out_on ON carcass_out (out_on);
CREATE INDEX processing_day_start ON processing_day (start_at);

-- The season as it was last worked out, since that takes seconds. It can be thrown away.
CREATE TABLE season_proposal (
  id      INTEGER PRIMARY KEY CHECK (id = 1),
  made_at INTEGER NOT NULL,
  -- What it was worked out from, so that a change can be told.
  basis   TEXT    NOT NULL,
  content TEXT    NOT NULL
) STRICT;
