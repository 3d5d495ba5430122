-- How the farm takes a bird apart: each product with the pieces that go into a pack.
CREATE TABLE cutting_scheme (
  id       INTEGER PRIMARY KEY,
  entry_id TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  name     TEXT    NOT NULL CHECK (length(name) BETWEEN 1 AND 60)
) STRICT;
CREATE TABLE cutting_part (
  scheme_id       INTEGER NOT NULL REFERENCES cutting_scheme (id),
  place           INTEGER NOT NULL CHECK (place BETWEEN 0 AND 30),
  product_kind    TEXT    NOT NULL CHECK (length(product_kind) BETWEEN 1 AND 40),
  pieces_per_pack INTEGER NOT NULL CHECK (pieces_per_pack BETWEEN 1 AND 500),
  PRIMARY KEY (scheme_id, place)
) STRICT;

-- How a day's birds are cut up: each saving says it all anew, and the last one that stands counts.
CREATE TABLE cut_plan (
  id              INTEGER PRIMARY KEY,
  entry_id        TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  day_id          INTEGER NOT NULL REFERENCES processing_day (id),
  -- NULL for the usual scheme.
  scheme_id       INTEGER REFERENCES cutting_scheme (id),
  -- NULL where nobody has said who cuts.
  person_id       INTEGER REFERENCES person (id),
  tool            TEXT    NOT NULL CHECK (tool IN ('knife', 'saw')),
  is_home_cook    INTEGER NOT NULL CHECK (is_home_cook IN (0, 1)),
  packs_per_cycle INTEGER NOT NULL CHECK (packs_per_cycle BETWEEN 1 AND 12)
) STRICT;
CREATE INDEX cut_plan_day ON cut_plan (day_id);
CREATE INDEX cut_plan_scheme ON cut_plan (scheme_id);
CREATE INDEX cut_plan_person ON cut_plan (person_id);

-- A load of a by-product on its way: dried, boiled and picked, minced, rendered, canned, or thrown on the compost.
CREATE TABLE by_product (
  id            INTEGER PRIMARY KEY,
  entry_id      TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  day_id        INTEGER NOT NULL REFERENCES processing_day (id),
  kind          TEXT    NOT NULL CHECK (kind IN ('dry-feet', 'dry-hearts', 'dry-gizzards', 'boil', 'mince', 'render',
                                                 'blood', 'feathers', 'offal')),
  in_milligrams INTEGER NOT NULL CHECK (in_milligrams BETWEEN 1 AND 10000000000),
  started_at    INTEGER NOT NULL,
  note          TEXT    NOT NULL CHECK (length(note) <= 200)
) STRICT;
CREATE INDEX by_product_day ON by_product (day_id);

-- What came of a load. Broth is measured by volume beside the picked meat.
CREATE TABLE by_product_out (
  id             INTEGER PRIMARY KEY,
  entry_id       TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  by_product_id  INTEGER NOT NULL REFERENCES by_product (id),
  out_milligrams INTEGER NOT NULL CHECK (out_milligrams BETWEEN 0 AND 10000000000),
  milliliters    INTEGER NOT NULL CHECK (milliliters BETWEEN 0 AND 10000000),
  ended_at       INTEGER NOT NULL
) STRICT;
CREATE INDEX by_product_out_load ON by_product_out (by_product_id);

-- A look at a drying load, with what was found.
CREATE TABLE by_product_check (
  id            INTEGER PRIMARY KEY,
  entry_id      TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  by_product_id INTEGER NOT NULL REFERENCES by_product (id),
  checked_at    INTEGER NOT NULL,
  note          TEXT    NOT NULL CHECK (length(note) <= 200)
) STRICT;
CREATE INDEX by_product_check_load ON by_product_check (by_product_id);
