-- A revision's state is whole, or what it differs by from its parent's; so many differences lie between it and the last whole one.
ALTER TABLE revision ADD COLUMN apart INTEGER NOT NULL DEFAULT 0;

-- Steps of a job as people count them: revisions that share a gesture are one, under the last of them.
CREATE TABLE step (
  revision  INTEGER PRIMARY KEY REFERENCES revision (id),
  job       TEXT NOT NULL REFERENCES job (id),
  gesture   TEXT,
  parts     INTEGER NOT NULL
);
CREATE INDEX step_job ON step (job, revision);
CREATE UNIQUE INDEX step_gesture ON step (job, gesture) WHERE gesture IS NOT NULL;

INSERT INTO step (revision, job, gesture, parts)
SELECT max(id), job, gesture, count(*) FROM revision GROUP BY job, coalesce(gesture, id);
