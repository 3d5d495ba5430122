import type { Database } from "better-sqlite3";
import type { DeviceQuantity, DeviceReading } from "#core/quantity/device-reading.ts";

/** What stands of one quantity about one day. */
export interface ReadingAboutDay {
  readonly aboutOn: string;
  readonly quantity: DeviceQuantity;
  readonly valueThousandths: number;
}

/** Prepares every statement of the devices' readings once; call it once per connection. */
export function readingQueries(database: Database) {
  const selectLatest = database.prepare<
    { device: string; quantity: string; aboutOn: string | undefined },
    { value: number }
  >(`
    SELECT value_thousandths AS value FROM device_reading
     WHERE device = @device AND quantity = @quantity AND about_on IS @aboutOn ORDER BY id DESC LIMIT 1`);
  const selectAbout = database.prepare<{ device: string; from: string; to: string }, ReadingAboutDay>(`
    SELECT about_on AS aboutOn, quantity, value_thousandths AS valueThousandths FROM device_reading
     WHERE id IN (SELECT MAX(id) FROM device_reading
                   WHERE device = @device AND about_on BETWEEN @from AND @to GROUP BY quantity, about_on)
     ORDER BY about_on, quantity`);
  const insert = database.prepare(`
    INSERT INTO device_reading (reading_id, device, quantity, about_on, read_at, received_at, value_thousandths)
    VALUES (@readingId, @device, @quantity, @aboutOn, @readAt, @receivedAt, @valueThousandths)
    ON CONFLICT (reading_id) DO NOTHING`);

  return {
    /** Keeps what a device sent, all of it or nothing; what was sent before, or says nothing new, adds no row. */
    keep: database.transaction(
      (device: string, readings: readonly DeviceReading[], receivedAt: number): void => {
        for (const reading of readings) {
          const row = { ...reading, device, receivedAt, aboutOn: reading.aboutOn };
          const latest = selectLatest.get({ device, quantity: row.quantity, aboutOn: row.aboutOn });
          if (latest?.value !== reading.valueThousandths) insert.run(row);
        }
      },
    ).immediate,

    /** The latest of each quantity about each day from one to another, both included. */
    about: (device: string, from: string, to: string): ReadingAboutDay[] =>
      selectAbout.all({ device, from, to }),
  };
}
