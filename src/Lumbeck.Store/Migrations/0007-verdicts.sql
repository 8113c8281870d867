-- What Check said of a file when it was made, at press resolution, and what the house's reception said of it; of files from before nothing is known.
ALTER TABLE pressing ADD COLUMN stops INTEGER NOT NULL DEFAULT 0;
ALTER TABLE pressing ADD COLUMN cautions INTEGER NOT NULL DEFAULT 0;
ALTER TABLE pressing ADD COLUMN waived TEXT NOT NULL DEFAULT '';
ALTER TABLE pressing ADD COLUMN accepted INTEGER;
ALTER TABLE pressing ADD COLUMN verdict TEXT NOT NULL DEFAULT '';
