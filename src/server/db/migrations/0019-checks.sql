-- The last look at the check piece is asked for with every tray.
CREATE INDEX entries_checks ON entries (id) WHERE kind = 'note' AND quantity = 'check piece';
