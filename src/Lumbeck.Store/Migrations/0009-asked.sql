-- Which asking moved a head: a step that is sent twice is taken once, as an edit is made once.
ALTER TABLE head ADD COLUMN asked TEXT;
CREATE UNIQUE INDEX head_asked ON head (asked) WHERE asked IS NOT NULL;
ALTER TABLE house_head ADD COLUMN asked TEXT;
CREATE UNIQUE INDEX house_head_asked ON house_head (asked) WHERE asked IS NOT NULL;
