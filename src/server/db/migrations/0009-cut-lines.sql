-- What is chosen for the lines of a job's blanks (side, way of cutting), and how much metal was sawn through when a layout was cut.
ALTER TABLE layouts ADD COLUMN lines_json TEXT NOT NULL DEFAULT '{}';
ALTER TABLE layouts ADD COLUMN sawn_mm2 REAL CHECK (sawn_mm2 >= 0);
