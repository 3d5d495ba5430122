-- A tap asks how many birds were tapped before it, whatever else was: of thousands of taps only those of one kind are looked at.
CREATE INDEX day_fact_day_kind ON day_fact (day_id, kind);
DROP INDEX day_fact_day;
