-- Counts on with each change of what somebody can and may do, so that two windows can't overwrite each other unseen.
ALTER TABLE person ADD COLUMN revision INTEGER NOT NULL DEFAULT 0;
