-- Minutes of one's own are read from the newest steps of which the beginning is known.
CREATE INDEX entries_timed ON entries (id) WHERE kind = 'done' AND started_at IS NOT NULL;
