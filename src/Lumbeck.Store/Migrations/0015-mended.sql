-- Finished files from other programs, mended for a job: the file that came, the one that left, what was asked and said.
CREATE TABLE mended (
  id TEXT NOT NULL PRIMARY KEY,
  job TEXT NOT NULL,
  at TEXT NOT NULL,
  name TEXT NOT NULL,
  inside INTEGER NOT NULL,
  scale INTEGER NOT NULL,
  came TEXT NOT NULL,
  file TEXT NOT NULL,
  report BLOB NOT NULL
);
CREATE INDEX mended_job ON mended (job, at);
