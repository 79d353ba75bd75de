-- Outlines kept to be cut again: measured, read from a drawing, or made from one another.
CREATE TABLE templates (
  id INTEGER PRIMARY KEY,
  uid TEXT NOT NULL UNIQUE,
  revision INTEGER NOT NULL DEFAULT 1,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  outer_json TEXT NOT NULL,
  holes_json TEXT NOT NULL DEFAULT '[]',
  from_text TEXT NOT NULL DEFAULT '',
  made INTEGER NOT NULL DEFAULT 0 CHECK (made >= 0),
  created_at TEXT NOT NULL
) STRICT;
