-- A job is its revisions and the moves of its head. Only removing a job takes any of them away.
CREATE TABLE job (
  id    TEXT PRIMARY KEY,
  slug  TEXT NOT NULL UNIQUE,
  made  TEXT NOT NULL
);

CREATE TABLE revision (
  id       INTEGER PRIMARY KEY AUTOINCREMENT,
  job      TEXT NOT NULL REFERENCES job (id),
  parent   INTEGER REFERENCES revision (id),
  gesture  TEXT,             -- revisions in a row with one gesture are one step back
  edit_id  TEXT UNIQUE,      -- made by whoever edits: an edit sent twice is applied once
  edit     TEXT,
  says     TEXT NOT NULL,
  state    BLOB NOT NULL,    -- the whole job after it, as deflated JSON
  session  TEXT NOT NULL,
  at       TEXT NOT NULL
);
CREATE INDEX revision_parent ON revision (parent);

-- Each change of what is on the bench: an edit, a step back, a step forward.
CREATE TABLE head (
  tick      INTEGER PRIMARY KEY AUTOINCREMENT,
  job       TEXT NOT NULL REFERENCES job (id),
  revision  INTEGER NOT NULL REFERENCES revision (id),
  session   TEXT NOT NULL,
  at        TEXT NOT NULL
);
CREATE INDEX head_job ON head (job, tick);

-- Files that were made, by the hash under which they are kept.
CREATE TABLE pressing (
  id        INTEGER PRIMARY KEY AUTOINCREMENT,
  job       TEXT NOT NULL REFERENCES job (id),
  revision  INTEGER NOT NULL REFERENCES revision (id),
  kind      TEXT NOT NULL,
  house     TEXT NOT NULL,
  name      TEXT NOT NULL,
  file      TEXT NOT NULL,
  bytes     INTEGER NOT NULL,
  at        TEXT NOT NULL
);
CREATE INDEX pressing_job ON pressing (job);
