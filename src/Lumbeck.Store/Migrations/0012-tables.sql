-- Tables of the drawer, by the hash of their files; their heads as a JSON list.
CREATE TABLE data_table (
  hash TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  rows INTEGER NOT NULL,
  heads TEXT NOT NULL,
  bytes INTEGER NOT NULL,
  at TEXT NOT NULL
);
