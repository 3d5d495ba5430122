-- Feet and heads come off with a blade and pin feathers do not, so they are two stations. Until now 'pins' was both: who
-- stood there stands at both, and rules of the person say whether they may.
UPDATE day_crew
   SET stations = trim(replace(' ' || stations || ' ', ' pins ', ' feet pins '))
 WHERE ' ' || stations || ' ' LIKE '% pins %';

-- Stations with a blade at which the farm lets one named young person work with an adult beside them, a space between;
-- empty for everybody else.
ALTER TABLE person ADD COLUMN beside_adult_stations TEXT NOT NULL DEFAULT ''
  CHECK (length(beside_adult_stations) <= 100);
