import type { Database } from "better-sqlite3";
import type { OwnerKind } from "#core/sharing/owner-kind.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

export interface BirdOwner {
  readonly id: number;
  readonly entryId: string;
  readonly name: string;
  readonly kind: OwnerKind;
  /** A removed owner is offered no more, and stays the owner of the lots that they had. */
  readonly isRemoved: boolean;
}

/** Prepares every statement of the owners of birds once; call it once per connection. */
export function ownerQueries(database: Database) {
  const entries = entryQueries(database);
  const selectOwners = database.prepare<[], BirdOwner>(`
    SELECT id, entry_id AS entryId, name, kind,
           entry_id IN (SELECT entry_id FROM entry_taken_back) AS isRemoved
      FROM bird_owner ORDER BY name, id`);
  const insertOwner = database.prepare<{ entryId: string; name: string; kind: OwnerKind }>(
    "INSERT INTO bird_owner (entry_id, name, kind) VALUES (@entryId, @name, @kind)",
  );
  const selectByEntry = database.prepare<[string], { id: number }>(
    "SELECT id FROM bird_owner WHERE entry_id = ?",
  );

  return {
    /** All that there ever were, by name. */
    owners: (): BirdOwner[] => selectOwners.all(),
    ownerOfEntry: (entryId: string): number | undefined => selectByEntry.get(entryId)?.id,
    addOwner: (entry: Entry, owner: { name: string; kind: OwnerKind }): Recorded<"name-taken"> =>
      entries.once(entry, ["owner", owner], () => {
        const isTaken = selectOwners
          .all()
          .some(({ name, isRemoved }) => !isRemoved && name.toLowerCase() === owner.name.toLowerCase());
        if (isTaken) return "name-taken";
        insertOwner.run({ entryId: entry.entryId, ...owner });
        return undefined;
      }),
  };
}
