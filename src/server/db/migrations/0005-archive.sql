-- What is put away can be looked at and taken out again: jobs, pieces, metal and tools alike.
ALTER TABLE jobs ADD COLUMN archived_at TEXT;
ALTER TABLE pieces ADD COLUMN archived_at TEXT;
ALTER TABLE stock ADD COLUMN archived_at TEXT;
CREATE INDEX jobs_shown ON jobs (archived_at, (status IN ('done', 'handed-over')), (due_on IS NULL), due_on, id);
DROP INDEX jobs_in_order;

-- A tool that was taken off the wall is in the archive as everything else.
CREATE TABLE tools_now (
  id INTEGER PRIMARY KEY,
  uid TEXT NOT NULL UNIQUE,
  revision INTEGER NOT NULL DEFAULT 1,
  kind TEXT NOT NULL REFERENCES tool_kinds (word),
  label TEXT NOT NULL CHECK (length(label) BETWEEN 1 AND 80),
  nominal REAL CHECK (nominal > 0),
  measured REAL CHECK (measured > 0),
  facts_json TEXT NOT NULL DEFAULT '{}',
  created_at TEXT NOT NULL,
  archived_at TEXT
) STRICT;
INSERT INTO tools_now
  SELECT id, uid, revision, kind, label, nominal, measured, facts_json, created_at, CASE WHEN status = 'gone' THEN created_at END FROM tools;
DROP TABLE tools;
ALTER TABLE tools_now RENAME TO tools;
CREATE INDEX tools_by_kind ON tools (kind, archived_at);
DROP TABLE tool_statuses;
