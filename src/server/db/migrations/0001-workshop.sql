CREATE TABLE settings (
  key TEXT PRIMARY KEY,
  value_json TEXT NOT NULL
) STRICT;

CREATE TABLE jobs (
  id INTEGER PRIMARY KEY,
  title TEXT NOT NULL CHECK (length(title) > 0),
  customer TEXT NOT NULL DEFAULT '',
  due_on TEXT,
  status TEXT NOT NULL CHECK (status IN ('asked', 'promised', 'in-work', 'done', 'handed-over')),
  note TEXT NOT NULL DEFAULT '',
  created_at TEXT NOT NULL
) STRICT;

CREATE TABLE pieces (
  id INTEGER PRIMARY KEY,
  job_id INTEGER NOT NULL REFERENCES jobs (id) ON DELETE CASCADE,
  name TEXT NOT NULL CHECK (length(name) > 0),
  quantity INTEGER NOT NULL CHECK (quantity BETWEEN 1 AND 5000),
  spares INTEGER NOT NULL DEFAULT 0 CHECK (spares BETWEEN 0 AND 5000),
  head_revision_id INTEGER REFERENCES piece_revisions (id),
  created_at TEXT NOT NULL
) STRICT;

-- A piece's committed edits, append-only; undo moves the piece's head along parent_id.
CREATE TABLE piece_revisions (
  id INTEGER PRIMARY KEY,
  piece_id INTEGER NOT NULL REFERENCES pieces (id) ON DELETE CASCADE,
  parent_id INTEGER REFERENCES piece_revisions (id),
  design_json TEXT NOT NULL,
  created_at TEXT NOT NULL
) STRICT;
CREATE INDEX piece_revisions_by_piece ON piece_revisions (piece_id);

CREATE TABLE stock (
  id INTEGER PRIMARY KEY,
  label TEXT NOT NULL,
  kind TEXT NOT NULL CHECK (kind IN ('sheet', 'wire')),
  alloy TEXT NOT NULL,
  thickness_typed TEXT NOT NULL,
  thickness_mm REAL NOT NULL CHECK (thickness_mm BETWEEN 0.05 AND 12),
  measured_mm REAL CHECK (measured_mm BETWEEN 0.05 AND 12),
  outer_json TEXT,
  holes_json TEXT NOT NULL DEFAULT '[]',
  length_mm REAL CHECK (length_mm > 0),
  temper TEXT NOT NULL,
  parent_id INTEGER REFERENCES stock (id),
  status TEXT NOT NULL CHECK (status IN ('in-drawer', 'cut-up')),
  created_at TEXT NOT NULL,
  CHECK ((kind = 'sheet' AND outer_json IS NOT NULL) OR (kind = 'wire' AND length_mm IS NOT NULL))
) STRICT;

CREATE TABLE layouts (
  id INTEGER PRIMARY KEY,
  job_id INTEGER NOT NULL REFERENCES jobs (id) ON DELETE CASCADE,
  sheet_id INTEGER NOT NULL REFERENCES stock (id),
  kerf_mm REAL NOT NULL CHECK (kerf_mm BETWEEN 0 AND 10),
  margin_mm REAL NOT NULL CHECK (margin_mm BETWEEN 0 AND 100),
  placements_json TEXT NOT NULL,
  status TEXT NOT NULL CHECK (status IN ('draft', 'cut')),
  frozen_json TEXT,
  created_at TEXT NOT NULL,
  cut_at TEXT
) STRICT;

-- Workpieces that move together on one frozen plan and route.
CREATE TABLE trays (
  id INTEGER PRIMARY KEY,
  piece_id INTEGER NOT NULL REFERENCES pieces (id) ON DELETE CASCADE,
  size INTEGER NOT NULL CHECK (size BETWEEN 1 AND 5000),
  plan_json TEXT NOT NULL,
  started_at TEXT NOT NULL,
  finished_at TEXT
) STRICT;

-- What happened at the bench, append-only. A mistake is undone by a later entry that names it.
CREATE TABLE bench_events (
  id INTEGER PRIMARY KEY,
  tray_id INTEGER NOT NULL REFERENCES trays (id) ON DELETE CASCADE,
  step_id TEXT NOT NULL,
  workpiece INTEGER CHECK (workpiece >= 1),
  kind TEXT NOT NULL CHECK (kind IN ('done', 'wrong', 'note')),
  text TEXT NOT NULL DEFAULT '',
  at TEXT NOT NULL,
  reverses_id INTEGER REFERENCES bench_events (id)
) STRICT;
CREATE INDEX bench_events_by_tray ON bench_events (tray_id);

-- Readings are never edited, only reversed. `token` is the sender's own, so a reading sent twice is kept once.
CREATE TABLE readings (
  id INTEGER PRIMARY KEY,
  token TEXT NOT NULL UNIQUE,
  tray_id INTEGER NOT NULL REFERENCES trays (id) ON DELETE CASCADE,
  workpiece INTEGER NOT NULL CHECK (workpiece >= 1),
  step_id TEXT NOT NULL,
  dimension TEXT NOT NULL,
  value_mm REAL NOT NULL CHECK (value_mm > 0 AND value_mm < 20000),
  typed TEXT NOT NULL,
  instrument TEXT NOT NULL,
  at TEXT NOT NULL,
  reverses_id INTEGER REFERENCES readings (id)
) STRICT;
CREATE INDEX readings_by_tray ON readings (tray_id);
