-- Tube lies in the drawer beside sheet and wire, and what was corrected about a piece of metal is written down as its cuts are.
INSERT INTO stock_kinds VALUES ('tube');
INSERT INTO stock_entry_kinds VALUES ('corrected');

CREATE TABLE stock_now (
  id INTEGER PRIMARY KEY,
  uid TEXT NOT NULL UNIQUE,
  revision INTEGER NOT NULL DEFAULT 1,
  label TEXT NOT NULL,
  kind TEXT NOT NULL REFERENCES stock_kinds (word),
  alloy TEXT NOT NULL,
  thickness_typed TEXT NOT NULL,
  thickness_mm REAL NOT NULL CHECK (thickness_mm BETWEEN 0.05 AND 12),
  measured_mm REAL CHECK (measured_mm BETWEEN 0.05 AND 12),
  outer_json TEXT,
  holes_json TEXT NOT NULL DEFAULT '[]',
  length_mm REAL CHECK (length_mm > 0),
  across_mm REAL CHECK (across_mm > 0),
  temper TEXT NOT NULL,
  parent_id INTEGER REFERENCES stock (id),
  status TEXT NOT NULL REFERENCES stock_statuses (word),
  created_at TEXT NOT NULL,
  archived_at TEXT,
  CHECK (
    (kind = 'sheet' AND outer_json IS NOT NULL)
    OR (kind = 'wire' AND length_mm IS NOT NULL)
    OR (kind = 'tube' AND length_mm IS NOT NULL AND across_mm IS NOT NULL)
  )
) STRICT;
INSERT INTO stock_now
  SELECT id, uid, revision, label, kind, alloy, thickness_typed, thickness_mm, measured_mm, outer_json, holes_json, length_mm, NULL, temper, parent_id, status, created_at, archived_at FROM stock;
DROP TABLE stock;
ALTER TABLE stock_now RENAME TO stock;
CREATE INDEX stock_by_parent ON stock (parent_id);

CREATE TABLE stock_entries_now (
  id INTEGER PRIMARY KEY,
  token TEXT NOT NULL UNIQUE,
  kind TEXT NOT NULL REFERENCES stock_entry_kinds (word),
  layout_id INTEGER REFERENCES layouts (id) ON DELETE CASCADE,
  sheet_id INTEGER NOT NULL REFERENCES stock (id),
  at TEXT NOT NULL,
  reverses TEXT,
  text TEXT NOT NULL DEFAULT '',
  CHECK (kind = 'corrected' OR layout_id IS NOT NULL)
) STRICT;
INSERT INTO stock_entries_now SELECT id, token, kind, layout_id, sheet_id, at, reverses, '' FROM stock_entries;
DROP TABLE stock_entries;
ALTER TABLE stock_entries_now RENAME TO stock_entries;
CREATE INDEX stock_entries_by_sheet ON stock_entries (sheet_id);
CREATE INDEX stock_entries_by_layout ON stock_entries (layout_id);
