-- A mended file is a job's, as a pressed one is.
CREATE TABLE mended_of_job (
  id       TEXT NOT NULL PRIMARY KEY,
  job      TEXT NOT NULL REFERENCES job (id),
  at       TEXT NOT NULL,
  name     TEXT NOT NULL,
  inside   INTEGER NOT NULL,
  scale    INTEGER NOT NULL,
  came     TEXT NOT NULL,
  file     TEXT NOT NULL,
  report   BLOB NOT NULL,
  choices  TEXT NOT NULL DEFAULT ''
);
INSERT INTO mended_of_job (id, job, at, name, inside, scale, came, file, report, choices)
SELECT id, job, at, name, inside, scale, came, file, report, choices FROM mended WHERE job IN (SELECT id FROM job);
DROP TABLE mended;
ALTER TABLE mended_of_job RENAME TO mended;
CREATE INDEX mended_job ON mended (job, at);

-- An order's file is in the register once, however often the order was done: the queue is a file of its own, and two
-- files share no commit.
ALTER TABLE pressing ADD COLUMN ordered TEXT;
CREATE UNIQUE INDEX pressing_ordered ON pressing (ordered) WHERE ordered IS NOT NULL;
