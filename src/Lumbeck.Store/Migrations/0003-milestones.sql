-- States of a job that were given a name; the newest name of a revision is its name, an empty one takes it away.
CREATE TABLE milestone (
  id        INTEGER PRIMARY KEY AUTOINCREMENT,
  job       TEXT NOT NULL REFERENCES job (id),
  revision  INTEGER NOT NULL REFERENCES revision (id),
  name      TEXT NOT NULL,
  at        TEXT NOT NULL
);
CREATE INDEX milestone_job ON milestone (job);
CREATE INDEX revision_job ON revision (job, id);
