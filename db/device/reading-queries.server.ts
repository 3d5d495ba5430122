import type { Database } from "better-sqlite3";
import type { DeviceQuantity, DeviceReading } from "#core/quantity/device-reading.ts";

/** What stands of one quantity about one day. */
export interface ReadingAboutDay {
  readonly aboutOn: string;
  readonly quantity: DeviceQuantity;
  readonly valueThousandths: number;
}

/** What stands of one quantity about one hour of a day. */
export interface ReadingAboutHour extends Omit<ReadingAboutDay, "aboutOn"> {
  readonly aboutHour: number;
}

/** What an attached device measured, by the farm's clock. */
export interface MeasuredAt {
  readonly at: number;
  readonly valueThousandths: number;
}

/** A day's readings, one every ten seconds and at each change, are fewer than this. */
const MOST_READINGS = 20_000;

/** Prepares every statement of the devices' readings once; call it once per connection. */
export function readingQueries(database: Database) {
  const selectLatest = database.prepare<
    { device: string; quantity: string; aboutOn: string | undefined; aboutHour: number | undefined },
    { value: number }
  >(`
    SELECT value_thousandths AS value FROM device_reading
     WHERE device = @device AND quantity = @quantity AND about_on IS @aboutOn AND about_hour IS @aboutHour
     ORDER BY id DESC LIMIT 1`);
  const selectAbout = database.prepare<{ device: string; from: string; to: string }, ReadingAboutDay>(`
    SELECT about_on AS aboutOn, quantity, value_thousandths AS valueThousandths FROM device_reading
     WHERE id IN (SELECT MAX(id) FROM device_reading
                   WHERE device = @device AND about_on BETWEEN @from AND @to AND about_hour IS NULL
                   GROUP BY quantity, about_on)
     ORDER BY about_on, quantity`);
  const selectHours = database.prepare<{ device: string; day: string }, ReadingAboutHour>(`
    SELECT about_hour AS aboutHour, quantity, value_thousandths AS valueThousandths FROM device_reading
     WHERE id IN (SELECT MAX(id) FROM device_reading
                   WHERE device = @device AND about_on = @day AND about_hour IS NOT NULL
                   GROUP BY quantity, about_hour)
     ORDER BY about_hour, quantity`);
  const selectBetween = database.prepare<
    { device: string; quantity: DeviceQuantity; from: number; to: number },
    MeasuredAt
  >(`
    SELECT read_at AS at, value_thousandths AS valueThousandths FROM device_reading
     WHERE device = @device AND quantity = @quantity AND about_on IS NULL AND read_at BETWEEN @from AND @to
     ORDER BY read_at, id LIMIT ${MOST_READINGS}`);
  const insert = database.prepare(`
    INSERT INTO device_reading (reading_id, device, quantity, about_on, about_hour, read_at, received_at,
                                value_thousandths)
    VALUES (@readingId, @device, @quantity, @aboutOn, @aboutHour, @readAt, @receivedAt, @valueThousandths)
    ON CONFLICT (reading_id) DO NOTHING`);

  return {
    /** Keeps what a device sent, all of it or nothing; what was sent before, or says nothing new, adds no row. */
    keep: database.transaction(
      (device: string, readings: readonly DeviceReading[], receivedAt: number): void => {
        for (const reading of readings) {
          const row = { aboutHour: undefined, ...reading, device, receivedAt };
          const { quantity, aboutOn, aboutHour } = row;
          const latest = selectLatest.get({ device, quantity, aboutOn, aboutHour });
          if (latest?.value !== reading.valueThousandths) insert.run(row);
        }
      },
    ).immediate,

    /** Keeps one reading of an attached device, whatever it read before: when it was read counts too. */
    keepMeasured: (device: string, reading: DeviceReading, receivedAt: number): void => {
      insert.run({ aboutHour: undefined, ...reading, device, receivedAt });
    },

    /** What a device measured from one moment to another, both included, in order of time. */
    measured: (device: string, quantity: DeviceQuantity, from: number, to: number): MeasuredAt[] =>
      selectBetween.all({ device, quantity, from, to }),

    /** The latest of each quantity about each hour of a day. */
    aboutHours: (device: string, day: string): ReadingAboutHour[] => selectHours.all({ device, day }),

    /** The latest of each quantity about each day from one to another, both included. */
    about: (device: string, from: string, to: string): ReadingAboutDay[] =>
      selectAbout.all({ device, from, to }),
  };
}
