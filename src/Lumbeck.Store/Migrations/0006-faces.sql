-- Faces that makers brought, by the hash of their files.
CREATE TABLE face (
  hash     TEXT PRIMARY KEY,
  id       TEXT NOT NULL UNIQUE,
  name     TEXT NOT NULL,
  file     TEXT NOT NULL,
  bytes    INTEGER NOT NULL,
  licence  TEXT NOT NULL DEFAULT '',
  at       TEXT NOT NULL
);
