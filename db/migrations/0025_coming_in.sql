-- Who may come in from another device than the farm's own computer. Nothing here leaves with an export.

-- The farm's passphrase, by scrypt. The latest stands.
CREATE TABLE passphrase (
  id       INTEGER PRIMARY KEY,
  entry_id TEXT NOT NULL UNIQUE REFERENCES entry (id),
  salt     BLOB NOT NULL CHECK (length(salt) = 16),
  hash     BLOB NOT NULL CHECK (length(hash) = 32)
) STRICT;

-- An address by which devices join, shown as a picture. Its secret is kept as a SHA-256 hash.
CREATE TABLE invitation (
  id          INTEGER PRIMARY KEY,
  entry_id    TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  role        TEXT    NOT NULL CHECK (role IN ('owner', 'helper', 'viewer')),
  secret_hash BLOB    NOT NULL UNIQUE CHECK (length(secret_hash) = 32),
  -- Past it nobody joins by it.
  ends_at     INTEGER NOT NULL,
  -- Devices that may join by it.
  most_count  INTEGER NOT NULL CHECK (most_count BETWEEN 1 AND 100)
) STRICT;

-- A phone or computer that joined. Its secret lies in its cookie, and here as a SHA-256 hash.
CREATE TABLE joined_device (
  id            INTEGER PRIMARY KEY,
  entry_id      TEXT    NOT NULL UNIQUE REFERENCES entry (id),
  -- NULL: it joined by the passphrase.
  invitation_id INTEGER REFERENCES invitation (id),
  role          TEXT    NOT NULL CHECK (role IN ('owner', 'helper', 'viewer')),
  -- Whose it is, as they said.
  name          TEXT    NOT NULL CHECK (length(name) BETWEEN 1 AND 40),
  secret_hash   BLOB    NOT NULL UNIQUE CHECK (length(secret_hash) = 32),
  last_seen_at  INTEGER NOT NULL,
  -- NULL while it may come in.
  blocked_at    INTEGER
) STRICT;
CREATE INDEX joined_device_invitation ON joined_device (invitation_id);

-- Which device something was sent from; NULL on the farm's own computer.
ALTER TABLE entry ADD COLUMN device_id INTEGER REFERENCES joined_device (id);
ALTER TABLE entry_taken_back ADD COLUMN device_id INTEGER REFERENCES joined_device (id);
