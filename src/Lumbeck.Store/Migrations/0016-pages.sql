-- A picture may show a press-ready page, whose marks are printed in place of its pixels.
ALTER TABLE picture ADD COLUMN page TEXT NOT NULL DEFAULT '';
-- What the maker decided of a finished file, as JSON; its next version takes it over.
ALTER TABLE mended ADD COLUMN choices TEXT NOT NULL DEFAULT '';
