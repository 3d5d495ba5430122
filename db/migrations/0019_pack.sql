-- A product is what a bird becomes: a whole bird, two breasts, livers, broth. Every farm starts with one of each kind and may add
-- its own. What stands here overrules the usual of its kind.
CREATE TABLE product (
  id              INTEGER PRIMARY KEY,
  -- NULL for those that every farm starts with.
  entry_id        TEXT    UNIQUE REFERENCES entry (id),
  kind            TEXT    NOT NULL CHECK (kind IN (
    'whole-bird', 'cut-up-bird', 'breast-bone-in', 'breast-bone-in-skinless', 'breast-boneless', 'breast-boneless-skinless',
    'tender', 'leg-quarter', 'thigh', 'drumstick', 'wing', 'back', 'frame', 'ground', 'neck', 'liver', 'heart', 'gizzard',
    'feet', 'feet-peeled', 'feet-dried', 'heart-dried', 'gizzard-dried', 'picked-meat', 'broth', 'canned-jar',
    'rendered-fat', 'pet-food', 'own')),
  -- Empty: the usual name of its kind.
  name            TEXT    NOT NULL DEFAULT '' CHECK (length(name) <= 60),
  -- NULL: as usual for its kind.
  pieces_per_pack INTEGER CHECK (pieces_per_pack BETWEEN 1 AND 500),
  -- NULL: no price.
  price_cents     INTEGER CHECK (price_cents BETWEEN 0 AND 1000000),
  price_unit      TEXT    NOT NULL DEFAULT 'pack' CHECK (price_unit IN ('pound', 'kilogram', 'pack', 'quart', 'liter')),
  label_words     TEXT    NOT NULL DEFAULT '' CHECK (length(label_words) <= 300),
  -- NULL: as usual for its kind.
  keeps_months    INTEGER CHECK (keeps_months BETWEEN 1 AND 60),
  revision        INTEGER NOT NULL DEFAULT 1,
  CHECK (kind <> 'own' OR length(name) > 0)
) STRICT;
INSERT INTO product (id, kind) VALUES
  (1, 'whole-bird'), (2, 'cut-up-bird'), (3, 'breast-bone-in'), (4, 'breast-bone-in-skinless'), (5, 'breast-boneless'),
  (6, 'breast-boneless-skinless'), (7, 'tender'), (8, 'leg-quarter'), (9, 'thigh'), (10, 'drumstick'), (11, 'wing'),
  (12, 'back'), (13, 'frame'), (14, 'ground'), (15, 'neck'), (16, 'liver'), (17, 'heart'), (18, 'gizzard'), (19, 'feet'),
  (20, 'feet-peeled'), (21, 'feet-dried'), (22, 'heart-dried'), (23, 'gizzard-dried'), (24, 'picked-meat'), (25, 'broth'),
  (26, 'canned-jar'), (27, 'rendered-fat'), (28, 'pet-food');

-- What a pack is weighed in, and what that weighs empty.
CREATE TABLE container (
  id              INTEGER PRIMARY KEY,
  entry_id        TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  name            TEXT    NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  tare_milligrams INTEGER NOT NULL CHECK (tare_milligrams BETWEEN 1 AND 20000000)
) STRICT;

-- A pack is a thing made on a day from the birds of a day. Its number is also on its label. A whole bird is a pack of one carcass.
CREATE TABLE pack (
  id        INTEGER PRIMARY KEY,
  -- Packs weighed alike are kept by one entry.
  entry_id  TEXT    NOT NULL REFERENCES entry (id),
  day_id    INTEGER NOT NULL REFERENCES processing_day (id),
  packed_at INTEGER NOT NULL
) STRICT;
CREATE INDEX pack_entry ON pack (entry_id);
CREATE INDEX pack_day ON pack (day_id);

-- What is said of a pack: the first version is made with it, and each correction adds one. The last one that stands counts.
CREATE TABLE pack_version (
  id                 INTEGER PRIMARY KEY,
  entry_id           TEXT    NOT NULL REFERENCES entry (id),
  pack_id            INTEGER NOT NULL REFERENCES pack (id),
  product_id         INTEGER NOT NULL REFERENCES product (id),
  lot_id             INTEGER NOT NULL REFERENCES day_lot (id),
  -- The bird's number of the day; NULL unless the pack is one whole bird.
  bird_number        INTEGER CHECK (bird_number BETWEEN 1 AND 100000),
  -- 0 where a pack is only weighed or measured.
  piece_count        INTEGER NOT NULL CHECK (piece_count BETWEEN 0 AND 1000),
  -- A whole bird to be cut is weighed and waits for the knife; a condemned one is counted and thrown away.
  purpose            TEXT    NOT NULL CHECK (purpose IN ('sale', 'own', 'cut', 'pets', 'condemned')),
  -- Without the container. NULL for what goes by volume, and for a condemned bird that was not weighed.
  weight_milligrams  INTEGER CHECK (weight_milligrams BETWEEN 1 AND 100000000),
  tare_milligrams    INTEGER NOT NULL CHECK (tare_milligrams BETWEEN 0 AND 100000000),
  -- NULL for what goes by weight.
  volume_milliliters INTEGER CHECK (volume_milliliters BETWEEN 1 AND 1000000),
  as_typed           TEXT    NOT NULL CHECK (length(as_typed) <= 40),
  -- Why a bird was condemned; empty for the others.
  reason             TEXT    NOT NULL CHECK (length(reason) <= 200),
  -- Where it was put when it was packed; NULL where nobody has said.
  place_id           INTEGER REFERENCES storage_place (id),
  -- NULL where nobody has said.
  packed_by          INTEGER REFERENCES person (id),
  -- What one unit costs; NULL where it has no price.
  price_cents        INTEGER CHECK (price_cents BETWEEN 0 AND 1000000),
  price_unit         TEXT    NOT NULL CHECK (price_unit IN ('pound', 'kilogram', 'pack', 'quart', 'liter')),
  CHECK (weight_milligrams IS NULL OR volume_milliliters IS NULL),
  CHECK (bird_number IS NULL OR weight_milligrams IS NULL OR weight_milligrams BETWEEN 100000 AND 10000000),
  CHECK (purpose = 'condemned' OR weight_milligrams IS NOT NULL OR volume_milliliters IS NOT NULL),
  CHECK (purpose <> 'condemned' OR length(reason) > 0),
  CHECK (purpose NOT IN ('cut', 'condemned') OR bird_number IS NOT NULL)
) STRICT;
CREATE INDEX pack_version_pack ON pack_version (pack_id);
CREATE INDEX pack_version_entry ON pack_version (entry_id);
CREATE INDEX pack_version_lot ON pack_version (lot_id);
CREATE INDEX pack_version_place ON pack_version (place_id);
CREATE INDEX pack_version_product ON pack_version (product_id);

-- A pack was carried to another place.
CREATE TABLE pack_move (
  id       INTEGER PRIMARY KEY,
  entry_id TEXT    NOT NULL REFERENCES entry (id),
  pack_id  INTEGER NOT NULL REFERENCES pack (id),
  place_id INTEGER NOT NULL REFERENCES storage_place (id),
  moved_at INTEGER NOT NULL
) STRICT;
CREATE INDEX pack_move_pack ON pack_move (pack_id);
CREATE INDEX pack_move_entry ON pack_move (entry_id);
CREATE INDEX pack_move_place ON pack_move (place_id);

-- A pack has left the refrigerator or freezer.
CREATE TABLE pack_out (
  id       INTEGER PRIMARY KEY,
  entry_id TEXT    NOT NULL REFERENCES entry (id),
  pack_id  INTEGER NOT NULL REFERENCES pack (id),
  out_on   TEXT    NOT NULL CHECK (out_on IS date(out_on)),
  how      TEXT    NOT NULL CHECK (how IN ('sold', 'eaten', 'given', 'spoiled'))
) STRICT;
CREATE INDEX pack_out_pack ON pack_out (pack_id);
CREATE INDEX pack_out_entry ON pack_out (entry_id);
CREATE INDEX pack_out_day ON pack_out (out_on);

-- Each carcass becomes a pack of one bird under its own number; one that was cut up and stored as one stays one pack.
INSERT INTO pack (id, entry_id, day_id, packed_at) SELECT id, entry_id, day_id, packed_at FROM carcass;
INSERT INTO pack_version (id, entry_id, pack_id, product_id, lot_id, bird_number, piece_count, purpose, weight_milligrams,
                          tare_milligrams, as_typed, reason, place_id, price_unit)
  SELECT id, entry_id, id, CASE purpose WHEN 'cut' THEN 2 ELSE 1 END, lot_id, bird_number, 1, purpose, weight_milligrams,
         0, as_typed, reason, place_id, 'pack'
    FROM carcass;
INSERT INTO pack_out (id, entry_id, pack_id, out_on, how) SELECT id, entry_id, carcass_id, out_on, how FROM carcass_out;

CREATE TABLE pack_mark (
  id                      INTEGER PRIMARY KEY,
  entry_id                TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  pack_id                 INTEGER NOT NULL REFERENCES pack (id),
  frame_width_millimeters INTEGER CHECK (frame_width_millimeters BETWEEN 20 AND 300),
  keel_millimeters        INTEGER CHECK (keel_millimeters BETWEEN 20 AND 300),
  fleshing                INTEGER CHECK (fleshing BETWEEN 1 AND 5),
  legs                    TEXT    NOT NULL CHECK (length(legs) <= 60),
  note                    TEXT    NOT NULL CHECK (length(note) <= 200)
) STRICT;
CREATE INDEX pack_mark_pack ON pack_mark (pack_id);
INSERT INTO pack_mark (id, entry_id, pack_id, frame_width_millimeters, keel_millimeters, fleshing, legs, note)
  SELECT id, entry_id, carcass_id, frame_width_millimeters, keel_millimeters, fleshing, legs, note FROM carcass_mark;

DROP TRIGGER packed_carcass_is_stored;
DROP TRIGGER carcass_out_is_not_stored;
DROP TRIGGER taken_back_changes_stored;
DROP TABLE stored_carcass;
DROP TABLE carcass_out;
DROP TABLE carcass_mark;
DROP TABLE carcass;

-- Each pack that stands, as it is now. It follows from the facts; the table below holds its rows so that the freezers of many
-- years answer at once.
CREATE VIEW pack_as_recorded AS
SELECT pack.id AS pack_id, pack.entry_id, pack.day_id, pack.packed_at, version.id AS version_id, version.product_id, version.lot_id,
       version.bird_number, version.piece_count, version.purpose, version.weight_milligrams, version.tare_milligrams,
       version.volume_milliliters, version.as_typed, version.reason,
       coalesce((SELECT move.place_id FROM pack_move AS move
                  WHERE move.pack_id = pack.id AND move.entry_id NOT IN (SELECT entry_id FROM entry_taken_back)
                  ORDER BY move.id DESC LIMIT 1), version.place_id) AS place_id,
       version.packed_by, version.price_cents, version.price_unit,
       version.purpose <> 'condemned' AND (version.purpose <> 'cut' OR version.product_id <> 1)
         AND NOT EXISTS (SELECT 1 FROM pack_out AS gone
                          WHERE gone.pack_id = pack.id
                            AND gone.entry_id NOT IN (SELECT entry_id FROM entry_taken_back)) AS is_stored
  FROM pack
  JOIN pack_version AS version ON version.id = (
    SELECT last.id FROM pack_version AS last
     WHERE last.pack_id = pack.id AND last.entry_id NOT IN (SELECT entry_id FROM entry_taken_back)
     ORDER BY last.id DESC LIMIT 1)
 WHERE pack.entry_id NOT IN (SELECT entry_id FROM entry_taken_back);

CREATE TABLE pack_now (
  pack_id            INTEGER PRIMARY KEY REFERENCES pack (id),
  entry_id           TEXT    NOT NULL,
  day_id             INTEGER NOT NULL,
  packed_at          INTEGER NOT NULL,
  version_id         INTEGER NOT NULL,
  product_id         INTEGER NOT NULL,
  lot_id             INTEGER NOT NULL,
  bird_number        INTEGER,
  piece_count        INTEGER NOT NULL,
  purpose            TEXT    NOT NULL,
  weight_milligrams  INTEGER,
  tare_milligrams    INTEGER NOT NULL,
  volume_milliliters INTEGER,
  as_typed           TEXT    NOT NULL,
  reason             TEXT    NOT NULL,
  place_id           INTEGER,
  packed_by          INTEGER,
  price_cents        INTEGER,
  price_unit         TEXT    NOT NULL,
  is_stored          INTEGER NOT NULL
) STRICT;
INSERT INTO pack_now SELECT * FROM pack_as_recorded;
CREATE INDEX pack_now_day ON pack_now (day_id, bird_number);
CREATE INDEX pack_now_lot ON pack_now (lot_id);
CREATE INDEX pack_now_stored ON pack_now (place_id, product_id) WHERE is_stored = 1;

CREATE TRIGGER pack_version_changes_pack AFTER INSERT ON pack_version
BEGIN
  DELETE FROM pack_now WHERE pack_id = NEW.pack_id;
  INSERT INTO pack_now SELECT * FROM pack_as_recorded WHERE pack_id = NEW.pack_id;
END;
CREATE TRIGGER pack_move_changes_pack AFTER INSERT ON pack_move
BEGIN
  DELETE FROM pack_now WHERE pack_id = NEW.pack_id;
  INSERT INTO pack_now SELECT * FROM pack_as_recorded WHERE pack_id = NEW.pack_id;
END;
CREATE TRIGGER pack_out_changes_pack AFTER INSERT ON pack_out
BEGIN
  DELETE FROM pack_now WHERE pack_id = NEW.pack_id;
  INSERT INTO pack_now SELECT * FROM pack_as_recorded WHERE pack_id = NEW.pack_id;
END;
CREATE TRIGGER taken_back_changes_pack AFTER INSERT ON entry_taken_back
BEGIN
  DELETE FROM pack_now WHERE pack_id IN (
    SELECT id FROM pack WHERE entry_id = NEW.entry_id
    UNION SELECT pack_id FROM pack_version WHERE entry_id = NEW.entry_id
    UNION SELECT pack_id FROM pack_move WHERE entry_id = NEW.entry_id
    UNION SELECT pack_id FROM pack_out WHERE entry_id = NEW.entry_id);
  INSERT INTO pack_now SELECT * FROM pack_as_recorded WHERE pack_id IN (
    SELECT id FROM pack WHERE entry_id = NEW.entry_id
    UNION SELECT pack_id FROM pack_version WHERE entry_id = NEW.entry_id
    UNION SELECT pack_id FROM pack_move WHERE entry_id = NEW.entry_id
    UNION SELECT pack_id FROM pack_out WHERE entry_id = NEW.entry_id);
END;
