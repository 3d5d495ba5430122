-- A label as the farm set it up: its size, and what its local rule asks for. Saying it anew adds a row; the last one that stands counts.
CREATE TABLE label_template (
  id                     INTEGER PRIMARY KEY,
  entry_id               TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  width_tenths_mm        INTEGER NOT NULL CHECK (width_tenths_mm BETWEEN 200 AND 3000),
  height_tenths_mm       INTEGER NOT NULL CHECK (height_tenths_mm BETWEEN 150 AND 3000),
  letter_tenths_pt       INTEGER NOT NULL CHECK (letter_tenths_pt BETWEEN 60 AND 400),
  -- Keys of the parts that the local rule asks for, with spaces between.
  required_parts         TEXT    NOT NULL CHECK (length(required_parts) <= 300),
  farm_line              TEXT    NOT NULL CHECK (length(farm_line) <= 200),
  storage_line           TEXT    NOT NULL CHECK (length(storage_line) <= 200),
  handling_line          TEXT    NOT NULL CHECK (length(handling_line) <= 400),
  exemption_line         TEXT    NOT NULL CHECK (length(exemption_line) <= 400),
  code_kind              TEXT    NOT NULL CHECK (code_kind IN ('qr', 'code-128')),
  -- Sheets of labels: rows and columns of a page.
  sheet_rows             INTEGER NOT NULL CHECK (sheet_rows BETWEEN 1 AND 30),
  sheet_columns          INTEGER NOT NULL CHECK (sheet_columns BETWEEN 1 AND 12)
) STRICT;

-- A label that was printed, word for word: a product that is renamed later changes nothing on it.
CREATE TABLE label_print (
  id         INTEGER PRIMARY KEY,
  -- Taken back where the label was thrown away: its row stays, and is void.
  entry_id   TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  pack_id    INTEGER NOT NULL REFERENCES pack (id),
  printed_at INTEGER NOT NULL,
  way        TEXT    NOT NULL CHECK (way IN ('sheet', 'printer')),
  content    TEXT    NOT NULL CHECK (length(content) <= 4000)
) STRICT;
CREATE INDEX label_print_pack ON label_print (pack_id);
