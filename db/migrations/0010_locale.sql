-- Formats of clocks, dates, numbers and paper, as a BCP 47 tag. Until now clocks and dates were written as in Britain and
-- paper followed the units; farms of pounds and Fahrenheit get American formats.
ALTER TABLE farm ADD COLUMN locale TEXT NOT NULL DEFAULT 'en-US' CHECK (length(locale) BETWEEN 2 AND 35);
UPDATE farm SET locale = 'en-GB' WHERE unit_system = 'metric';
