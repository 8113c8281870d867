-- How much was still to do when a file was pressed.
ALTER TABLE pressing ADD COLUMN todos INTEGER NOT NULL DEFAULT 0;
