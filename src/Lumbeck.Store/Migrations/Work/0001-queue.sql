-- Long work: what waits, is under way and has ended, each row with all that is needed to do it (docs/orders.md).
CREATE TABLE IF NOT EXISTS work (
  id       TEXT PRIMARY KEY,
  kind     TEXT NOT NULL,
  job      TEXT NOT NULL,
  "of"     TEXT NOT NULL,
  says     TEXT NOT NULL,
  state    TEXT NOT NULL,
  share    REAL NOT NULL DEFAULT 0,
  problem  TEXT NOT NULL DEFAULT '',
  at       TEXT NOT NULL,
  form     INTEGER NOT NULL DEFAULT 1,
  "with"   TEXT NOT NULL DEFAULT '',
  attempts INTEGER NOT NULL DEFAULT 0,
  worker   TEXT NOT NULL DEFAULT '',
  lease    TEXT NOT NULL DEFAULT '',
  made     TEXT NOT NULL DEFAULT ''
);
CREATE INDEX IF NOT EXISTS work_job ON work (job, at);
