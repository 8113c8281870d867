-- When a job was put away; null for what lies on the bench.
ALTER TABLE job ADD COLUMN away TEXT;
