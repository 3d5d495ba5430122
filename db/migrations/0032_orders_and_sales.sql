-- Everyone who takes birds: those whose birds are processed here were the first of them.
DROP TRIGGER pack_version_changes_pack;
DROP TRIGGER pack_move_changes_pack;
DROP TRIGGER pack_out_changes_pack;
DROP TRIGGER taken_back_changes_pack;
DROP TRIGGER put_back_changes_pack;
DROP VIEW pack_as_recorded;
ALTER TABLE bird_owner RENAME TO customer;
ALTER TABLE customer ADD COLUMN who TEXT NOT NULL DEFAULT 'customer'
  CHECK (who IN ('customer', 'business', 'household', 'neighbor', 'own'));
UPDATE customer SET who = kind;
ALTER TABLE customer DROP COLUMN kind;
ALTER TABLE customer RENAME COLUMN who TO kind;
-- A phone number, an address, a day when they are at home: whatever they left. It is erased when they are forgotten.
ALTER TABLE customer ADD COLUMN contact TEXT NOT NULL DEFAULT '' CHECK (length(contact) <= 200);
ALTER TABLE customer ADD COLUMN note TEXT NOT NULL DEFAULT '' CHECK (length(note) <= 500);
ALTER TABLE customer ADD COLUMN revision INTEGER NOT NULL DEFAULT 1;

-- What a product costs from a day on. The latest that has begun counts; what was sold keeps its price.
CREATE TABLE product_price (
  id          INTEGER PRIMARY KEY,
  -- NULL for those that were set before prices had days.
  entry_id    TEXT    UNIQUE REFERENCES entry (id),
  product_id  INTEGER NOT NULL REFERENCES product (id),
  -- NULL: from then on it has no price.
  price_cents INTEGER CHECK (price_cents BETWEEN 1 AND 1000000),
  price_unit  TEXT    NOT NULL CHECK (price_unit IN ('pound', 'kilogram', 'pack', 'quart', 'liter')),
  from_day    TEXT    NOT NULL CHECK (from_day IS date(from_day))
) STRICT;
CREATE INDEX product_price_product ON product_price (product_id, from_day);
INSERT INTO product_price (product_id, price_cents, price_unit, from_day)
  SELECT id, price_cents, price_unit, '2000-01-01' FROM product WHERE price_cents > 0;
ALTER TABLE product DROP COLUMN price_cents;
ALTER TABLE product DROP COLUMN price_unit;

-- An order, once or again and again.
CREATE TABLE customer_order (
  id          INTEGER PRIMARY KEY,
  entry_id    TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  customer_id INTEGER NOT NULL REFERENCES customer (id),
  ordered_on  TEXT    NOT NULL CHECK (ordered_on IS date(ordered_on)),
  -- When it is wanted, the first time.
  first_on    TEXT    NOT NULL CHECK (first_on IS date(first_on)),
  rhythm      TEXT    NOT NULL CHECK (rhythm IN ('once', 'week', 'two-weeks', 'month')),
  -- The last day of a standing order; NULL while it has no end.
  until_day   TEXT    CHECK (until_day IS date(until_day)),
  note        TEXT    NOT NULL CHECK (length(note) <= 300)
) STRICT;
CREATE INDEX customer_order_customer ON customer_order (customer_id);

-- So much of a product in an order.
CREATE TABLE order_line (
  id               INTEGER PRIMARY KEY,
  entry_id         TEXT    NOT NULL REFERENCES entry (id),
  order_id         INTEGER NOT NULL REFERENCES customer_order (id),
  product_id       INTEGER NOT NULL REFERENCES product (id),
  -- NULL: every one there is.
  pack_count       INTEGER CHECK (pack_count BETWEEN 1 AND 10000),
  -- The size wished; NULL where any will do.
  least_milligrams INTEGER CHECK (least_milligrams BETWEEN 1 AND 100000000),
  most_milligrams  INTEGER CHECK (most_milligrams BETWEEN 1 AND 100000000),
  CHECK (least_milligrams IS NULL OR most_milligrams IS NULL OR least_milligrams <= most_milligrams)
) STRICT;
CREATE INDEX order_line_order ON order_line (order_id);
CREATE INDEX order_line_entry ON order_line (entry_id);

-- One time of an order is done with: it was handed over as far as it could be, or is left out.
CREATE TABLE order_closed (
  id        INTEGER PRIMARY KEY,
  entry_id  TEXT    NOT NULL REFERENCES entry (id),
  order_id  INTEGER NOT NULL REFERENCES customer_order (id),
  -- The day it was wanted on.
  wanted_on TEXT    NOT NULL CHECK (wanted_on IS date(wanted_on)),
  how       TEXT    NOT NULL CHECK (how IN ('handed-over', 'left-out'))
) STRICT;
CREATE INDEX order_closed_order ON order_closed (order_id, wanted_on);
CREATE INDEX order_closed_entry ON order_closed (entry_id);

-- Packs that left together for money. The packs are the pack_out rows of its entry.
CREATE TABLE sale (
  id          INTEGER PRIMARY KEY,
  entry_id    TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  -- NULL: whoever came to the stand.
  customer_id INTEGER REFERENCES customer (id),
  -- NULL: nobody had ordered it.
  order_id    INTEGER REFERENCES customer_order (id),
  sold_on     TEXT    NOT NULL CHECK (sold_on IS date(sold_on)),
  note        TEXT    NOT NULL CHECK (length(note) <= 300)
) STRICT;
CREATE INDEX sale_customer ON sale (customer_id);
CREATE INDEX sale_day ON sale (sold_on);
CREATE INDEX sale_order ON sale (order_id);

-- NULL: it left without being sold by this.
ALTER TABLE pack_out ADD COLUMN sale_id INTEGER REFERENCES sale (id);
-- What was asked for the pack; NULL where nobody has said.
ALTER TABLE pack_out ADD COLUMN paid_cents INTEGER CHECK (paid_cents BETWEEN 0 AND 10000000);
CREATE INDEX pack_out_sale ON pack_out (sale_id);

-- Money that came in, or went back where it is less than 0.
CREATE TABLE payment (
  id           INTEGER PRIMARY KEY,
  entry_id     TEXT    NOT NULL REFERENCES entry (id),
  -- NULL: whoever came to the stand.
  customer_id  INTEGER REFERENCES customer (id),
  sale_id      INTEGER REFERENCES sale (id),
  -- A deposit on an order.
  order_id     INTEGER REFERENCES customer_order (id),
  amount_cents INTEGER NOT NULL CHECK (amount_cents <> 0 AND amount_cents BETWEEN -100000000 AND 100000000),
  paid_on      TEXT    NOT NULL CHECK (paid_on IS date(paid_on)),
  how          TEXT    NOT NULL CHECK (how IN ('cash', 'check', 'card', 'transfer', 'other'))
) STRICT;
CREATE INDEX payment_entry ON payment (entry_id);
CREATE INDEX payment_customer ON payment (customer_id);
CREATE INDEX payment_sale ON payment (sale_id);
CREATE INDEX payment_order ON payment (order_id);
CREATE INDEX payment_day ON payment (paid_on);

-- A pack came back.
CREATE TABLE pack_return (
  id           INTEGER PRIMARY KEY,
  entry_id     TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  pack_out_id  INTEGER NOT NULL REFERENCES pack_out (id),
  returned_on  TEXT    NOT NULL CHECK (returned_on IS date(returned_on)),
  -- What is not owed for it any more.
  credit_cents INTEGER NOT NULL CHECK (credit_cents BETWEEN 0 AND 10000000),
  -- Back in stock only where it was kept cold all the time.
  goes         TEXT    NOT NULL CHECK (goes IN ('stock', 'discarded')),
  reason       TEXT    NOT NULL CHECK (length(reason) <= 200)
) STRICT;
CREATE INDEX pack_return_out ON pack_return (pack_out_id);

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
                            AND gone.entry_id NOT IN (SELECT entry_id FROM entry_taken_back)
                            AND NOT EXISTS (SELECT 1 FROM pack_return AS back
                                             WHERE back.pack_out_id = gone.id AND back.goes = 'stock'
                                               AND back.entry_id NOT IN (SELECT entry_id FROM entry_taken_back))) AS is_stored
  FROM pack
  JOIN pack_version AS version ON version.id = (
    SELECT last.id FROM pack_version AS last
     WHERE last.pack_id = pack.id AND last.entry_id NOT IN (SELECT entry_id FROM entry_taken_back)
     ORDER BY last.id DESC LIMIT 1)
 WHERE pack.entry_id NOT IN (SELECT entry_id FROM entry_taken_back);

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
CREATE TRIGGER pack_return_changes_pack AFTER INSERT ON pack_return
BEGIN
  DELETE FROM pack_now WHERE pack_id = (SELECT pack_id FROM pack_out WHERE id = NEW.pack_out_id);
  INSERT INTO pack_now SELECT * FROM pack_as_recorded
   WHERE pack_id = (SELECT pack_id FROM pack_out WHERE id = NEW.pack_out_id);
END;

-- Packs that an entry says something of.
CREATE VIEW pack_of_entry AS
  SELECT entry_id, id AS pack_id FROM pack
  UNION SELECT entry_id, pack_id FROM pack_version
  UNION SELECT entry_id, pack_id FROM pack_move
  UNION SELECT entry_id, pack_id FROM pack_out
  UNION SELECT back.entry_id, gone.pack_id FROM pack_return AS back JOIN pack_out AS gone ON gone.id = back.pack_out_id;
CREATE TRIGGER taken_back_changes_pack AFTER INSERT ON entry_taken_back
BEGIN
  DELETE FROM pack_now WHERE pack_id IN (SELECT pack_id FROM pack_of_entry WHERE entry_id = NEW.entry_id);
  INSERT INTO pack_now SELECT * FROM pack_as_recorded
   WHERE pack_id IN (SELECT pack_id FROM pack_of_entry WHERE entry_id = NEW.entry_id);
END;
CREATE TRIGGER put_back_changes_pack AFTER DELETE ON entry_taken_back
BEGIN
  DELETE FROM pack_now WHERE pack_id IN (SELECT pack_id FROM pack_of_entry WHERE entry_id = OLD.entry_id);
  INSERT INTO pack_now SELECT * FROM pack_as_recorded
   WHERE pack_id IN (SELECT pack_id FROM pack_of_entry WHERE entry_id = OLD.entry_id);
END;
UPDATE row_change SET changed_table = 'customer' WHERE changed_table = 'bird_owner';
