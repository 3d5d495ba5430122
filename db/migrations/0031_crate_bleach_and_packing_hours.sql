-- How many birds the farm carries in a crate; our estimate where it has not said.
ALTER TABLE farm ADD COLUMN crate_birds_count INTEGER CHECK (crate_birds_count BETWEEN 1 AND 100);

-- Sodium hypochlorite in the farm's bleach as its label says, hundredths of a percent by weight: 825 is 8.25 %.
ALTER TABLE farm ADD COLUMN bleach_basis_points INTEGER CHECK (bleach_basis_points BETWEEN 100 AND 2000);

-- Hours on the days after: cutting, packing, freezing. NULL where the birds were packed on the day, or nobody said.
ALTER TABLE day_settlement ADD COLUMN packing_minutes INTEGER CHECK (packing_minutes BETWEEN 0 AND 100000);
