-- Birds are rinsed before the scald, or dipped in cool water after it.
ALTER TABLE processing_day ADD COLUMN rinses_first INTEGER NOT NULL DEFAULT 0 CHECK (rinses_first IN (0, 1));
ALTER TABLE processing_day ADD COLUMN cools_after INTEGER NOT NULL DEFAULT 0 CHECK (cools_after IN (0, 1));
