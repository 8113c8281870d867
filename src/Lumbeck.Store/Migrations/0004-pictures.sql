-- The drawer: pictures by the hash of their files, with what their makers allow.
CREATE TABLE picture (
  hash     TEXT PRIMARY KEY,
  name     TEXT NOT NULL,
  wide     INTEGER NOT NULL,
  high     INTEGER NOT NULL,
  opaque   INTEGER NOT NULL,
  bytes    INTEGER NOT NULL,
  source   TEXT NOT NULL DEFAULT '',
  maker    TEXT NOT NULL DEFAULT '',
  licence  TEXT NOT NULL DEFAULT '',
  at       TEXT NOT NULL
);

-- Which jobs use which picture in any of their revisions.
CREATE TABLE picture_use (
  hash  TEXT NOT NULL REFERENCES picture (hash),
  job   TEXT NOT NULL REFERENCES job (id),
  PRIMARY KEY (hash, job)
) WITHOUT ROWID;
