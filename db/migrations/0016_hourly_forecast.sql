-- A forecast by the hour: the hour of the day that a reading is about, by the farm's clock; NULL for one about the whole day.
ALTER TABLE device_reading ADD COLUMN about_hour INTEGER CHECK (about_hour BETWEEN 0 AND 23);
