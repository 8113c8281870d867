-- What a picture's numbers are, the condition a CMYK one was made for, and whether it is drawn.
ALTER TABLE picture ADD COLUMN space TEXT NOT NULL DEFAULT 'Rgb';
ALTER TABLE picture ADD COLUMN profile TEXT NOT NULL DEFAULT '';
ALTER TABLE picture ADD COLUMN drawn INTEGER NOT NULL DEFAULT 0;

-- Printers' own profiles, by the hash of their files.
CREATE TABLE profile (
  hash     TEXT PRIMARY KEY,
  name     TEXT NOT NULL,
  says     TEXT NOT NULL,
  bytes    INTEGER NOT NULL,
  at       TEXT NOT NULL
);
