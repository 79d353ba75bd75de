-- A piece tells of pieces of its own shape: its size and depth stand beside its thickness, and the sums of a group hold all three.
ALTER TABLE record_rows ADD COLUMN size_mm REAL NOT NULL DEFAULT 1;
ALTER TABLE record_rows ADD COLUMN depth_mm REAL NOT NULL DEFAULT 0;
DROP TABLE record_groups;
CREATE TABLE record_groups (
  form TEXT NOT NULL,
  alloy TEXT NOT NULL,
  method TEXT NOT NULL,
  count INTEGER NOT NULL,
  sums_json TEXT NOT NULL,
  PRIMARY KEY (form, alloy, method)
) STRICT, WITHOUT ROWID;
