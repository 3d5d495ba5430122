-- The birds of a lot, shared among households. The last share of a lot that stands counts; a swap is a share of its own.
CREATE TABLE lot_share (
  id       INTEGER PRIMARY KEY,
  entry_id TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  lot_id   INTEGER NOT NULL REFERENCES day_lot (id),
  -- What each household bears of the cost goes by its birds, or by the weight that it should get.
  basis    TEXT    NOT NULL CHECK (basis IN ('birds', 'weight'))
) STRICT;
CREATE INDEX lot_share_lot ON lot_share (lot_id);

CREATE TABLE lot_share_part (
  id          INTEGER PRIMARY KEY,
  share_id    INTEGER NOT NULL REFERENCES lot_share (id),
  customer_id INTEGER NOT NULL REFERENCES customer (id),
  -- As it was asked for: birds, or parts of the weight.
  asked_count INTEGER NOT NULL CHECK (asked_count BETWEEN 1 AND 100000)
) STRICT;
CREATE INDEX lot_share_part_share ON lot_share_part (share_id);

CREATE TABLE lot_share_pack (
  id      INTEGER PRIMARY KEY,
  part_id INTEGER NOT NULL REFERENCES lot_share_part (id),
  pack_id INTEGER NOT NULL REFERENCES pack (id)
) STRICT;
CREATE INDEX lot_share_pack_part ON lot_share_pack (part_id);
CREATE INDEX lot_share_pack_pack ON lot_share_pack (pack_id);
