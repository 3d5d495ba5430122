import type { Database } from "better-sqlite3";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

/** Where a device that is attached to the farm is found. */
export interface AttachedAt {
  readonly entryId: string;
  readonly device: string;
  readonly host: string;
  readonly port: number;
}

/** Prepares every statement of the devices' addresses once; call it once per connection. */
export function addressQueries(database: Database) {
  const entries = entryQueries(database);
  const selectAddresses = database.prepare<[], AttachedAt>(`
    SELECT entry_id AS entryId, device, host, port FROM device_address
     WHERE id IN (SELECT MAX(id) FROM device_address
                   WHERE entry_id NOT IN (SELECT entry_id FROM entry_taken_back) GROUP BY device)
     ORDER BY device`);
  const insert = database.prepare<AttachedAt>(
    "INSERT INTO device_address (entry_id, device, host, port) VALUES (@entryId, @device, @host, @port)",
  );
  return {
    /** One of each device that has one. */
    addresses: (): AttachedAt[] => selectAddresses.all(),
    attach: (entry: Entry, at: Omit<AttachedAt, "entryId">): Recorded =>
      entries.once(entry, ["device-address", at], () => {
        insert.run({ entryId: entry.entryId, ...at });
        return undefined;
      }),
  };
}
