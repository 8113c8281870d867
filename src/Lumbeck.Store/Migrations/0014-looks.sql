-- Starters and liveries that were kept from covers: their kind, what a list says of them, and their JSON.
CREATE TABLE look (
  kind TEXT NOT NULL,
  id TEXT NOT NULL,
  name TEXT NOT NULL,
  says TEXT NOT NULL,
  body BLOB NOT NULL,
  at TEXT NOT NULL,
  PRIMARY KEY (kind, id)
);
