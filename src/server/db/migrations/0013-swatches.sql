-- The smith's own swatch book: what a colour came out like on a metal, and how it was made.
CREATE TABLE swatches (
  id INTEGER PRIMARY KEY,
  uid TEXT NOT NULL UNIQUE,
  revision INTEGER NOT NULL DEFAULT 1,
  alloy TEXT NOT NULL,
  agent TEXT NOT NULL,
  recipe TEXT NOT NULL CHECK (length(recipe) BETWEEN 1 AND 200),
  colour TEXT NOT NULL CHECK (length(colour) = 7),
  created_at TEXT NOT NULL
) STRICT;
CREATE INDEX swatches_by_metal ON swatches (alloy, agent);
