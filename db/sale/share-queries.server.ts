import type { Database } from "better-sqlite3";
import type { ShareBasis } from "#core/sharing/share-basis.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

/** What one household asked for, and the packs that it is to get. */
export interface SharedPart {
  readonly customerId: number;
  readonly asked: number;
  readonly packIds: readonly number[];
}

export interface LotShare {
  readonly entryId: string;
  readonly basis: ShareBasis;
  readonly parts: readonly SharedPart[];
}

/** Prepares every statement of sharing once; call it once per connection. */
export function shareQueries(database: Database) {
  const entries = entryQueries(database);
  const removed = "(SELECT entry_id FROM entry_taken_back)";
  const selectLast = database.prepare<[number], { id: number; entryId: string; basis: ShareBasis }>(`
    SELECT id, entry_id AS entryId, basis FROM lot_share
     WHERE lot_id = ? AND entry_id NOT IN ${removed} ORDER BY id DESC LIMIT 1`);
  const selectParts = database.prepare<[number], { id: number; customerId: number; asked: number }>(
    "SELECT id, customer_id AS customerId, asked_count AS asked FROM lot_share_part WHERE share_id = ? ORDER BY id",
  );
  const selectPacks = database.prepare<[number], { packId: number }>(
    "SELECT pack_id AS packId FROM lot_share_pack WHERE part_id = ? ORDER BY id",
  );
  const selectIsCustomer = database.prepare<[number], { found: boolean }>(
    `SELECT EXISTS (SELECT 1 FROM customer WHERE id = ? AND entry_id NOT IN ${removed}) AS found`,
  );
  const selectIsOfLot = database.prepare<{ lotId: number; packId: number }, { found: boolean }>(
    "SELECT EXISTS (SELECT 1 FROM pack_now WHERE pack_id = @packId AND lot_id = @lotId) AS found",
  );
  const insertShare = database.prepare<{ entryId: string; lotId: number; basis: ShareBasis }>(
    "INSERT INTO lot_share (entry_id, lot_id, basis) VALUES (@entryId, @lotId, @basis)",
  );
  const insertPart = database.prepare<{ shareId: number; customerId: number; asked: number }>(
    "INSERT INTO lot_share_part (share_id, customer_id, asked_count) VALUES (@shareId, @customerId, @asked)",
  );
  const insertPack = database.prepare<{ partId: number; packId: number }>(
    "INSERT INTO lot_share_pack (part_id, pack_id) VALUES (@partId, @packId)",
  );

  return {
    /** How the birds of a lot are shared now. */
    ofLot: (lotId: number): LotShare | undefined => {
      const share = selectLast.get(lotId);
      return (
        share && {
          entryId: share.entryId,
          basis: share.basis,
          parts: selectParts.all(share.id).map(({ id, ...part }) => ({
            ...part,
            packIds: selectPacks.all(id).map(({ packId }) => packId),
          })),
        }
      );
    },
    /** Shares the birds of a lot anew. */
    save: (
      entry: Entry,
      lotId: number,
      share: Omit<LotShare, "entryId">,
    ): Recorded<"customer-removed" | "pack-unknown"> =>
      entries.once(entry, ["lot-share", lotId, share], () => {
        const { lastInsertRowid } = insertShare.run({ entryId: entry.entryId, lotId, basis: share.basis });
        for (const { customerId, asked, packIds } of share.parts) {
          if (!selectIsCustomer.get(customerId)!.found) return "customer-removed";
          const part = insertPart.run({ shareId: Number(lastInsertRowid), customerId, asked });
          for (const packId of packIds) {
            if (!selectIsOfLot.get({ lotId, packId })!.found) return "pack-unknown";
            insertPack.run({ partId: Number(part.lastInsertRowid), packId });
          }
        }
        return undefined;
      }),
  };
}
