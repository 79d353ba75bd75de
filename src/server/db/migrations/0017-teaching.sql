-- A piece prepared as a lesson, and what learners predicted: how far off they were, never the answer, which is worked out anew.
CREATE TABLE lessons (
  id INTEGER PRIMARY KEY,
  uid TEXT NOT NULL UNIQUE,
  revision INTEGER NOT NULL DEFAULT 1,
  piece_id INTEGER NOT NULL REFERENCES pieces (id) ON DELETE CASCADE,
  title TEXT NOT NULL CHECK (length(title) BETWEEN 1 AND 120),
  created_at TEXT NOT NULL
) STRICT;
CREATE TABLE predictions (
  id INTEGER PRIMARY KEY,
  token TEXT NOT NULL UNIQUE,
  learner TEXT NOT NULL CHECK (length(learner) BETWEEN 1 AND 60),
  lesson_id INTEGER REFERENCES lessons (id) ON DELETE CASCADE,
  kind TEXT NOT NULL,
  question TEXT NOT NULL,
  guess TEXT NOT NULL CHECK (length(guess) <= 60),
  is_right INTEGER NOT NULL CHECK (is_right IN (0, 1)),
  off REAL NOT NULL CHECK (off >= 0),
  misconception TEXT NOT NULL DEFAULT '',
  at TEXT NOT NULL
) STRICT;
CREATE INDEX predictions_by_lesson ON predictions (lesson_id);
CREATE INDEX predictions_by_learner ON predictions (learner, id);
