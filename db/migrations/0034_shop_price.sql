-- What a shop asks for the like of a product, as somebody saw it.
CREATE TABLE shop_price (
  id          INTEGER PRIMARY KEY,
  entry_id    TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  product_id  INTEGER NOT NULL REFERENCES product (id),
  price_cents INTEGER NOT NULL CHECK (price_cents BETWEEN 1 AND 1000000),
  price_unit  TEXT    NOT NULL CHECK (price_unit IN ('pound', 'kilogram', 'pack', 'quart', 'liter')),
  kind        TEXT    NOT NULL CHECK (kind IN ('ordinary', 'pastured', 'organic')),
  seen_on     TEXT    NOT NULL CHECK (seen_on IS date(seen_on)),
  -- Where it was seen; empty where nobody has said.
  place       TEXT    NOT NULL CHECK (length(place) <= 80)
) STRICT;
CREATE INDEX shop_price_product ON shop_price (product_id);
