-- What a refrigerator or freezer can do. NULL where nobody has said: then our estimate stands.
ALTER TABLE storage_place ADD COLUMN revision INTEGER NOT NULL DEFAULT 1;
ALTER TABLE storage_place ADD COLUMN air_millicelsius INTEGER CHECK (air_millicelsius BETWEEN -60000 AND 15000);
ALTER TABLE storage_place ADD COLUMN spare_watts INTEGER CHECK (spare_watts BETWEEN 0 AND 20000);
ALTER TABLE storage_place ADD COLUMN volume_milliliters INTEGER CHECK (volume_milliliters BETWEEN 1000 AND 100000000);
-- Of all its shelves or its floor: what one layer of packs can lie on.
ALTER TABLE storage_place ADD COLUMN shelf_square_centimeters INTEGER CHECK (shelf_square_centimeters BETWEEN 100 AND 10000000);
ALTER TABLE storage_place ADD COLUMN has_fan INTEGER NOT NULL DEFAULT 0 CHECK (has_fan IN (0, 1));

-- A refrigerator was set to freeze, or a freezer to its quick setting, or back. The last one that stands counts.
CREATE TABLE place_switch (
  id          INTEGER PRIMARY KEY,
  entry_id    TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  place_id    INTEGER NOT NULL REFERENCES storage_place (id),
  setting     TEXT    NOT NULL CHECK (setting IN ('cool', 'freeze', 'quick-freeze')),
  switched_at INTEGER NOT NULL
) STRICT;
CREATE INDEX place_switch_place ON place_switch (place_id);

DROP INDEX pack_now_stored;
CREATE INDEX pack_now_stored ON pack_now (place_id, product_id, lot_id, purpose, packed_at, bird_number, weight_milligrams, volume_milliliters)
  WHERE is_stored = 1;
-- When a pack came to where it lies.
CREATE INDEX pack_move_last ON pack_move (pack_id, moved_at);
