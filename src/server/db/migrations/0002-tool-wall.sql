-- Tools the smith owns. A label is a name only; a size may be missing. Sizes are in the unit of the kind: mm, µm, °C or HRC.
CREATE TABLE tools (
  id INTEGER PRIMARY KEY,
  kind TEXT NOT NULL CHECK (kind IN ('drill', 'blade', 'punch', 'cup', 'disc-cutter', 'hole-punch', 'mandrel', 'stake', 'stamp', 'solder', 'abrasive', 'hammer')),
  label TEXT NOT NULL CHECK (length(label) BETWEEN 1 AND 80),
  nominal REAL CHECK (nominal > 0),
  measured REAL CHECK (measured > 0),
  facts_json TEXT NOT NULL DEFAULT '{}',
  status TEXT NOT NULL DEFAULT 'on-wall' CHECK (status IN ('on-wall', 'gone')),
  created_at TEXT NOT NULL
) STRICT;
CREATE INDEX tools_by_kind ON tools (kind, status);

-- What came and went of the tools that are counted, append-only: the count on hand is the sum.
CREATE TABLE tool_events (
  id INTEGER PRIMARY KEY,
  tool_id INTEGER NOT NULL REFERENCES tools (id) ON DELETE CASCADE,
  change INTEGER NOT NULL CHECK (change <> 0),
  reason TEXT NOT NULL CHECK (reason IN ('bought', 'broke', 'wore-out', 'lost', 'counted')),
  at TEXT NOT NULL
) STRICT;
CREATE INDEX tool_events_by_tool ON tool_events (tool_id);
