-- Scrap and filings are kept in jars by metal until they go to be refined.
CREATE TABLE jar_kinds (word TEXT PRIMARY KEY) STRICT;
INSERT INTO jar_kinds VALUES ('clean'), ('soldered'), ('filings');
CREATE TABLE jar_entry_kinds (word TEXT PRIMARY KEY) STRICT;
INSERT INTO jar_entry_kinds VALUES ('put-in'), ('weighed'), ('sent');

CREATE TABLE jars (
  id INTEGER PRIMARY KEY,
  uid TEXT NOT NULL UNIQUE,
  revision INTEGER NOT NULL DEFAULT 1,
  alloy TEXT NOT NULL,
  kind TEXT NOT NULL REFERENCES jar_kinds (word),
  created_at TEXT NOT NULL,
  UNIQUE (alloy, kind)
) STRICT;

CREATE TABLE jar_entries (
  id INTEGER PRIMARY KEY,
  token TEXT NOT NULL UNIQUE,
  jar_id INTEGER NOT NULL REFERENCES jars (id),
  kind TEXT NOT NULL REFERENCES jar_entry_kinds (word),
  -- what was put in: a jar that holds other metal than its own is mixed
  alloy TEXT NOT NULL,
  metal_kind TEXT NOT NULL REFERENCES jar_kinds (word),
  mass_g REAL NOT NULL CHECK (mass_g >= 0),
  at TEXT NOT NULL
) STRICT;
CREATE INDEX jar_entries_by_jar ON jar_entries (jar_id);
