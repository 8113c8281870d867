-- Houses that people copied or brought in: revisions and the moves of a head, as jobs have them. The houses that ship are files.
CREATE TABLE house_revision (
  id       INTEGER PRIMARY KEY AUTOINCREMENT,
  house    TEXT NOT NULL,
  parent   INTEGER REFERENCES house_revision (id),
  edit_id  TEXT UNIQUE,
  says     TEXT NOT NULL,
  state    TEXT,             -- the house file; null where the house was put away
  at       TEXT NOT NULL
);
CREATE INDEX house_revision_parent ON house_revision (parent);

CREATE TABLE house_head (
  tick      INTEGER PRIMARY KEY AUTOINCREMENT,
  house     TEXT NOT NULL,
  revision  INTEGER NOT NULL REFERENCES house_revision (id),
  at        TEXT NOT NULL
);
CREATE INDEX house_head_house ON house_head (house, tick);
