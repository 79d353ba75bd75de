-- Baths as they stand on the shelf, and what happened to each: etched in, filtered, put out of use.
CREATE TABLE bath_entry_kinds (word TEXT PRIMARY KEY) STRICT;
INSERT INTO bath_entry_kinds VALUES ('etched'), ('filtered'), ('put-out');

CREATE TABLE baths (
  id INTEGER PRIMARY KEY,
  uid TEXT NOT NULL UNIQUE,
  revision INTEGER NOT NULL DEFAULT 1,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  kind TEXT NOT NULL,
  litres REAL CHECK (litres > 0),
  created_at TEXT NOT NULL
) STRICT;

CREATE TABLE bath_entries (
  id INTEGER PRIMARY KEY,
  token TEXT NOT NULL UNIQUE,
  bath_id INTEGER NOT NULL REFERENCES baths (id),
  kind TEXT NOT NULL REFERENCES bath_entry_kinds (word),
  alloy TEXT,
  area_mm2 REAL CHECK (area_mm2 > 0),
  current_a REAL CHECK (current_a > 0),
  minutes REAL CHECK (minutes > 0),
  depth_mm REAL CHECK (depth_mm > 0),
  note TEXT NOT NULL DEFAULT '',
  at TEXT NOT NULL
) STRICT;
CREATE INDEX bath_entries_by_bath ON bath_entries (bath_id);
