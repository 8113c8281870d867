-- Starters and liveries that were kept from covers: their kind, and their JSON.
CREATE TABLE look (
  kind TEXT NOT NULL,
  id TEXT NOT NULL,
  name TEXT NOT NULL,
  body BLOB NOT NULL,
  at TEXT NOT NULL,
  PRIMARY KEY (kind, id)
);
