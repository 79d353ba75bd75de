-- Pictures of a piece: made smaller, turned upright, and without what the camera wrote into them.
CREATE TABLE pictures (
  id INTEGER PRIMARY KEY,
  uid TEXT NOT NULL UNIQUE,
  revision INTEGER NOT NULL DEFAULT 1,
  piece_id INTEGER NOT NULL REFERENCES pieces (id) ON DELETE CASCADE,
  words TEXT NOT NULL DEFAULT '' CHECK (length(words) <= 200),
  width INTEGER NOT NULL CHECK (width > 0),
  height INTEGER NOT NULL CHECK (height > 0),
  bytes BLOB NOT NULL,
  created_at TEXT NOT NULL
) STRICT;
CREATE INDEX pictures_by_piece ON pictures (piece_id);
