-- What a piece's trays were measured at is read with the newest first, and only so many of them.
DROP INDEX record_rows_by_tray;
CREATE INDEX record_rows_by_tray ON record_rows (tray_id, entry_id);
