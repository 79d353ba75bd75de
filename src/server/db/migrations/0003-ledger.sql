-- Every thing gets a name of its own beside its row number, a revision that writes are made against, and kinds that are tables of
-- words; what happens at the bench becomes one append-only ledger.

CREATE TABLE workshop (
  one INTEGER PRIMARY KEY CHECK (one = 1),
  uid TEXT NOT NULL,
  demonstration INTEGER NOT NULL DEFAULT 0 CHECK (demonstration IN (0, 1)),
  settings_revision INTEGER NOT NULL DEFAULT 1
) STRICT;
INSERT INTO workshop (one, uid) VALUES (1, lower(hex(randomblob(16))));

CREATE TABLE job_statuses (word TEXT PRIMARY KEY) STRICT;
INSERT INTO job_statuses VALUES ('asked'), ('promised'), ('in-work'), ('done'), ('handed-over');
CREATE TABLE stock_kinds (word TEXT PRIMARY KEY) STRICT;
INSERT INTO stock_kinds VALUES ('sheet'), ('wire');
CREATE TABLE stock_statuses (word TEXT PRIMARY KEY) STRICT;
INSERT INTO stock_statuses VALUES ('in-drawer'), ('cut-up'), ('put-back');
CREATE TABLE layout_statuses (word TEXT PRIMARY KEY) STRICT;
INSERT INTO layout_statuses VALUES ('draft'), ('cut');
CREATE TABLE stock_entry_kinds (word TEXT PRIMARY KEY) STRICT;
INSERT INTO stock_entry_kinds VALUES ('cut'), ('put-back');
CREATE TABLE tool_kinds (word TEXT PRIMARY KEY) STRICT;
INSERT INTO tool_kinds VALUES ('drill'), ('blade'), ('punch'), ('cup'), ('disc-cutter'), ('hole-punch'), ('mandrel'), ('stake'), ('stamp'), ('solder'), ('abrasive'), ('hammer');
CREATE TABLE tool_statuses (word TEXT PRIMARY KEY) STRICT;
INSERT INTO tool_statuses VALUES ('on-wall'), ('gone');
CREATE TABLE tool_reasons (word TEXT PRIMARY KEY) STRICT;
INSERT INTO tool_reasons VALUES ('bought'), ('broke'), ('wore-out'), ('lost'), ('counted');
CREATE TABLE entry_kinds (word TEXT PRIMARY KEY) STRICT;
INSERT INTO entry_kinds VALUES ('done'), ('started'), ('reading'), ('test'), ('loss'), ('note'), ('reversal');

CREATE TABLE jobs_now (
  id INTEGER PRIMARY KEY,
  uid TEXT NOT NULL UNIQUE,
  revision INTEGER NOT NULL DEFAULT 1,
  title TEXT NOT NULL CHECK (length(title) > 0),
  customer TEXT NOT NULL DEFAULT '',
  due_on TEXT,
  status TEXT NOT NULL REFERENCES job_statuses (word),
  note TEXT NOT NULL DEFAULT '',
  created_at TEXT NOT NULL
) STRICT;
INSERT INTO jobs_now SELECT id, lower(hex(randomblob(16))), 1, title, customer, due_on, status, note, created_at FROM jobs;
DROP TABLE jobs;
ALTER TABLE jobs_now RENAME TO jobs;
CREATE INDEX jobs_in_order ON jobs ((status IN ('done', 'handed-over')), (due_on IS NULL), due_on, id);

CREATE TABLE pieces_now (
  id INTEGER PRIMARY KEY,
  uid TEXT NOT NULL UNIQUE,
  revision INTEGER NOT NULL DEFAULT 1,
  job_id INTEGER NOT NULL REFERENCES jobs (id) ON DELETE CASCADE,
  name TEXT NOT NULL CHECK (length(name) > 0),
  quantity INTEGER NOT NULL CHECK (quantity BETWEEN 1 AND 5000),
  spares INTEGER NOT NULL DEFAULT 0 CHECK (spares BETWEEN 0 AND 5000),
  head_revision_id INTEGER REFERENCES piece_revisions (id),
  created_at TEXT NOT NULL
) STRICT;
INSERT INTO pieces_now SELECT id, lower(hex(randomblob(16))), 1, job_id, name, quantity, spares, head_revision_id, created_at FROM pieces;
DROP TABLE pieces;
ALTER TABLE pieces_now RENAME TO pieces;
CREATE INDEX pieces_by_job ON pieces (job_id);

CREATE TABLE piece_revisions_now (
  id INTEGER PRIMARY KEY,
  uid TEXT NOT NULL UNIQUE,
  piece_id INTEGER NOT NULL REFERENCES pieces (id) ON DELETE CASCADE,
  parent_id INTEGER REFERENCES piece_revisions (id),
  design_json TEXT NOT NULL,
  created_at TEXT NOT NULL
) STRICT;
INSERT INTO piece_revisions_now SELECT id, lower(hex(randomblob(16))), piece_id, parent_id, design_json, created_at FROM piece_revisions;
DROP TABLE piece_revisions;
ALTER TABLE piece_revisions_now RENAME TO piece_revisions;
CREATE INDEX piece_revisions_by_piece ON piece_revisions (piece_id);
CREATE INDEX piece_revisions_by_parent ON piece_revisions (parent_id);

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
  temper TEXT NOT NULL,
  parent_id INTEGER REFERENCES stock (id),
  status TEXT NOT NULL REFERENCES stock_statuses (word),
  created_at TEXT NOT NULL,
  CHECK ((kind = 'sheet' AND outer_json IS NOT NULL) OR (kind = 'wire' AND length_mm IS NOT NULL))
) STRICT;
INSERT INTO stock_now SELECT id, lower(hex(randomblob(16))), 1, label, kind, alloy, thickness_typed, thickness_mm, measured_mm, outer_json, holes_json, length_mm, temper, parent_id, status, created_at FROM stock;
DROP TABLE stock;
ALTER TABLE stock_now RENAME TO stock;
CREATE INDEX stock_by_parent ON stock (parent_id);

CREATE TABLE layouts_now (
  id INTEGER PRIMARY KEY,
  uid TEXT NOT NULL UNIQUE,
  revision INTEGER NOT NULL DEFAULT 1,
  job_id INTEGER NOT NULL REFERENCES jobs (id) ON DELETE CASCADE,
  sheet_id INTEGER NOT NULL REFERENCES stock (id),
  kerf_mm REAL NOT NULL CHECK (kerf_mm BETWEEN 0 AND 10),
  margin_mm REAL NOT NULL CHECK (margin_mm BETWEEN 0 AND 100),
  placements_json TEXT NOT NULL,
  status TEXT NOT NULL REFERENCES layout_statuses (word),
  frozen_json TEXT,
  created_at TEXT NOT NULL,
  cut_at TEXT
) STRICT;
INSERT INTO layouts_now SELECT id, lower(hex(randomblob(16))), 1, job_id, sheet_id, kerf_mm, margin_mm, placements_json, status, frozen_json, created_at, cut_at FROM layouts;
DROP TABLE layouts;
ALTER TABLE layouts_now RENAME TO layouts;
CREATE INDEX layouts_by_job ON layouts (job_id, status);
CREATE INDEX layouts_by_sheet ON layouts (sheet_id, status);

-- What was taken off sheets and put back, append-only: putting back is an entry that names the cut.
CREATE TABLE stock_entries (
  id INTEGER PRIMARY KEY,
  token TEXT NOT NULL UNIQUE,
  kind TEXT NOT NULL REFERENCES stock_entry_kinds (word),
  layout_id INTEGER NOT NULL REFERENCES layouts (id) ON DELETE CASCADE,
  sheet_id INTEGER NOT NULL REFERENCES stock (id),
  at TEXT NOT NULL,
  reverses TEXT
) STRICT;
CREATE INDEX stock_entries_by_sheet ON stock_entries (sheet_id);
CREATE INDEX stock_entries_by_layout ON stock_entries (layout_id);
INSERT INTO stock_entries (token, kind, layout_id, sheet_id, at) SELECT lower(hex(randomblob(16))), 'cut', id, sheet_id, cut_at FROM layouts WHERE status = 'cut';

CREATE TABLE tools_now (
  id INTEGER PRIMARY KEY,
  uid TEXT NOT NULL UNIQUE,
  revision INTEGER NOT NULL DEFAULT 1,
  kind TEXT NOT NULL REFERENCES tool_kinds (word),
  label TEXT NOT NULL CHECK (length(label) BETWEEN 1 AND 80),
  nominal REAL CHECK (nominal > 0),
  measured REAL CHECK (measured > 0),
  facts_json TEXT NOT NULL DEFAULT '{}',
  status TEXT NOT NULL DEFAULT 'on-wall' REFERENCES tool_statuses (word),
  created_at TEXT NOT NULL
) STRICT;
INSERT INTO tools_now SELECT id, lower(hex(randomblob(16))), 1, kind, label, nominal, measured, facts_json, status, created_at FROM tools;
DROP TABLE tools;
ALTER TABLE tools_now RENAME TO tools;
CREATE INDEX tools_by_kind ON tools (kind, status);

CREATE TABLE tool_events_now (
  id INTEGER PRIMARY KEY,
  tool_id INTEGER NOT NULL REFERENCES tools (id) ON DELETE CASCADE,
  change INTEGER NOT NULL CHECK (change <> 0),
  reason TEXT NOT NULL REFERENCES tool_reasons (word),
  at TEXT NOT NULL
) STRICT;
INSERT INTO tool_events_now SELECT id, tool_id, change, reason, at FROM tool_events;
DROP TABLE tool_events;
ALTER TABLE tool_events_now RENAME TO tool_events;
CREATE INDEX tool_events_by_tool ON tool_events (tool_id);

-- Workpieces that move together on one frozen plan. Where the tray stands is told by its entries; the columns from step_index on are
-- that told once, by the write, so that a page of trays need not read every entry.
CREATE TABLE trays_now (
  id INTEGER PRIMARY KEY,
  uid TEXT NOT NULL UNIQUE,
  piece_id INTEGER NOT NULL REFERENCES pieces (id) ON DELETE CASCADE,
  size INTEGER NOT NULL CHECK (size BETWEEN 1 AND 5000),
  form TEXT NOT NULL,
  alloy TEXT NOT NULL,
  method TEXT NOT NULL,
  plan_json TEXT NOT NULL,
  started_at TEXT NOT NULL,
  finished_at TEXT,
  step_index INTEGER NOT NULL DEFAULT 0,
  in_hand INTEGER,
  done_here INTEGER NOT NULL DEFAULT 0,
  lost INTEGER NOT NULL DEFAULT 0
) STRICT;
INSERT INTO trays_now SELECT id, lower(hex(randomblob(16))), piece_id, size, plan_json ->> '$.form', plan_json ->> '$.alloy', plan_json ->> '$.method', plan_json, started_at, finished_at, 0, NULL, 0, 0 FROM trays;
DROP TABLE trays;
ALTER TABLE trays_now RENAME TO trays;
CREATE INDEX trays_by_piece ON trays (piece_id);
CREATE INDEX trays_open ON trays (finished_at, id);
CREATE INDEX trays_by_kind ON trays (form, alloy);

-- The frozen route of a tray; a step with an item is rework of that item alone. Steps are never renamed; what one holds is versioned.
CREATE TABLE tray_steps (
  tray_id INTEGER NOT NULL REFERENCES trays (id) ON DELETE CASCADE,
  step_id TEXT NOT NULL,
  item_uid TEXT,
  position INTEGER NOT NULL,
  content_json TEXT NOT NULL,
  PRIMARY KEY (tray_id, step_id)
) STRICT, WITHOUT ROWID;
INSERT INTO tray_steps
  SELECT trays.id, step.value ->> '$.id', NULL, step.key, json_set(json_remove(step.value, '$.id'), '$.version', 1)
  FROM trays, json_each(trays.plan_json, '$.steps') AS step;
UPDATE trays SET plan_json = json_set(json_remove(plan_json, '$.steps'), '$.part', 'part-1');

-- One physical piece, or one instance of a part of it.
CREATE TABLE items (
  uid TEXT PRIMARY KEY,
  tray_id INTEGER NOT NULL REFERENCES trays (id) ON DELETE CASCADE,
  part TEXT NOT NULL,
  instance INTEGER NOT NULL CHECK (instance >= 1),
  made_again INTEGER NOT NULL DEFAULT 0 CHECK (made_again >= 0),
  UNIQUE (tray_id, part, instance, made_again)
) STRICT, WITHOUT ROWID;
WITH RECURSIVE numbers (n) AS (SELECT 1 UNION ALL SELECT n + 1 FROM numbers WHERE n < 5000)
INSERT INTO items SELECT trays.uid || '/part-1/' || n, trays.id, 'part-1', n, 0 FROM trays JOIN numbers ON n <= trays.size;

-- What happened at the bench, append-only: nothing here is ever changed, a mistake is taken back by a later entry that names it.
CREATE TABLE entries (
  id INTEGER PRIMARY KEY,
  token TEXT NOT NULL UNIQUE,
  workshop_uid TEXT NOT NULL,
  device TEXT NOT NULL,
  sequence INTEGER NOT NULL,
  tray_id INTEGER NOT NULL REFERENCES trays (id) ON DELETE CASCADE,
  item_uid TEXT,
  part TEXT,
  instance INTEGER,
  joint TEXT,
  step_id TEXT,
  attempt INTEGER NOT NULL DEFAULT 1 CHECK (attempt >= 1),
  kind TEXT NOT NULL REFERENCES entry_kinds (word),
  payload_json TEXT NOT NULL,
  quantity TEXT,
  value REAL,
  unit TEXT,
  started_at TEXT,
  ended_at TEXT NOT NULL,
  received_at TEXT NOT NULL,
  simulated INTEGER NOT NULL DEFAULT 0 CHECK (simulated IN (0, 1)),
  reverses TEXT
) STRICT;
INSERT INTO entries (token, workshop_uid, device, sequence, tray_id, item_uid, part, instance, step_id, kind, payload_json, ended_at, received_at, reverses)
  SELECT 'event-' || e.id || '-' || w.uid, w.uid, 'earlier', e.id, e.tray_id,
    CASE WHEN e.workpiece IS NULL THEN NULL ELSE t.uid || '/part-1/' || e.workpiece END,
    CASE WHEN e.workpiece IS NULL THEN NULL ELSE 'part-1' END, e.workpiece, e.step_id,
    CASE WHEN e.reverses_id IS NOT NULL THEN 'reversal' WHEN e.kind = 'wrong' THEN 'loss' ELSE e.kind END,
    CASE WHEN e.text = '' THEN '{}' ELSE json_object('text', e.text) END, e.at, e.at,
    CASE WHEN e.reverses_id IS NULL THEN NULL ELSE 'event-' || e.reverses_id || '-' || w.uid END
  FROM bench_events e JOIN trays t ON t.id = e.tray_id, workshop w ORDER BY e.at, e.id;
INSERT INTO entries (token, workshop_uid, device, sequence, tray_id, item_uid, part, instance, step_id, kind, payload_json, quantity, value, unit, ended_at, received_at, simulated, reverses)
  SELECT r.token, w.uid, 'earlier', 1000000000 + r.id, r.tray_id, t.uid || '/part-1/' || r.workpiece, 'part-1', r.workpiece, r.step_id,
    CASE WHEN r.reverses_id IS NULL THEN 'reading' ELSE 'reversal' END,
    json_object('typed', r.typed, 'instrument', r.instrument), r.dimension, r.value_mm, 'mm', r.at, r.at,
    r.instrument = 'simulated-calipers', (SELECT token FROM readings old WHERE old.id = r.reverses_id)
  FROM readings r JOIN trays t ON t.id = r.tray_id, workshop w ORDER BY r.id;
DROP TABLE bench_events;
DROP TABLE readings;
CREATE INDEX entries_by_tray ON entries (tray_id, kind);
CREATE INDEX entries_by_item ON entries (item_uid, kind) WHERE item_uid IS NOT NULL;
CREATE INDEX entries_reversed ON entries (reverses) WHERE reverses IS NOT NULL;
CREATE INDEX entries_lost ON entries (id) WHERE kind = 'loss';

-- The book, told from the entries by each write: one row for a finished item that was measured, and the sums of each group of them.
CREATE TABLE record_rows (
  item_uid TEXT PRIMARY KEY,
  entry_id INTEGER NOT NULL,
  tray_id INTEGER NOT NULL REFERENCES trays (id) ON DELETE CASCADE,
  form TEXT NOT NULL,
  alloy TEXT NOT NULL,
  method TEXT NOT NULL,
  dimension TEXT NOT NULL,
  label TEXT NOT NULL,
  instance INTEGER NOT NULL,
  predicted_mm REAL NOT NULL,
  measured_mm REAL NOT NULL,
  thickness_mm REAL NOT NULL,
  at TEXT NOT NULL
) STRICT, WITHOUT ROWID;
CREATE INDEX record_rows_by_group ON record_rows (form, alloy, method, entry_id);
CREATE INDEX record_rows_by_tray ON record_rows (tray_id);
CREATE TABLE record_groups (
  form TEXT NOT NULL,
  alloy TEXT NOT NULL,
  method TEXT NOT NULL,
  count INTEGER NOT NULL,
  g REAL NOT NULL,
  gg REAL NOT NULL,
  t REAL NOT NULL,
  tt REAL NOT NULL,
  tg REAL NOT NULL,
  PRIMARY KEY (form, alloy, method)
) STRICT, WITHOUT ROWID;
