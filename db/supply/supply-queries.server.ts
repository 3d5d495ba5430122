import type { Database } from "better-sqlite3";
import { type SupplyKind, type SupplyMove, stockAfter } from "#core/packing/supply-stock.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

export interface SupplyRow {
  readonly id: number;
  readonly entryId: string;
  readonly name: string;
  readonly kind: SupplyKind;
  /** The heaviest dressed bird that a bag takes; undefined for what is not a bag. */
  readonly mostMilligrams: number | undefined;
  /** Pieces, grams or milliliters bought at once. */
  readonly packAmount: number;
  readonly packCents: number;
}

export interface SupplyMoveRow extends SupplyMove {
  readonly entryId: string;
  readonly supplyId: number;
  readonly movedOn: string;
  readonly dayId: number | undefined;
}

/** Something in stock, and how much of it; undefined where no one has counted or bought any. */
export interface StockedSupply extends SupplyRow {
  readonly inStock: number | undefined;
}

/** So much of a supply that a settled day used. */
export interface UsedSupply extends Pick<SupplyRow, "name" | "kind" | "packAmount" | "packCents"> {
  readonly supplyId: number;
  readonly amount: number;
}

/** Prepares every statement of supplies once; call it once per connection. */
export function supplyQueries(database: Database) {
  const entries = entryQueries(database);
  const current = "entry_id NOT IN (SELECT entry_id FROM entry_taken_back)";
  const selectSupplies = database.prepare<[], SupplyRow>(`
    SELECT id, entry_id AS entryId, name, kind, most_milligrams AS mostMilligrams, pack_amount AS packAmount,
           pack_cents AS packCents
      FROM supply WHERE ${current} ORDER BY most_milligrams, id`);
  const selectMoves = database.prepare<[number], SupplyMoveRow>(`
    SELECT entry_id AS entryId, supply_id AS supplyId, moved_on AS movedOn, kind, amount, day_id AS dayId
      FROM supply_move WHERE supply_id = ? AND ${current} ORDER BY moved_on, id`);
  const selectUsed = database.prepare<[number], UsedSupply>(`
    SELECT supply_id AS supplyId, amount, name, supply.kind, pack_amount AS packAmount, pack_cents AS packCents
      FROM supply_move JOIN supply ON supply.id = supply_id
     WHERE day_id = ? AND supply_move.${current} ORDER BY supply_id`);
  const insertSupply = database.prepare<Omit<SupplyRow, "id">>(`
    INSERT INTO supply (entry_id, name, kind, most_milligrams, pack_amount, pack_cents)
    VALUES (@entryId, @name, @kind, @mostMilligrams, @packAmount, @packCents)`);
  const insertMove = database.prepare<SupplyMoveRow>(`
    INSERT INTO supply_move (entry_id, supply_id, moved_on, kind, amount, day_id)
    VALUES (@entryId, @supplyId, @movedOn, @kind, @amount, @dayId)`);
  const supplies = (): StockedSupply[] =>
    selectSupplies.all().map((row) => ({ ...row, inStock: stockAfter(selectMoves.all(row.id)) }));

  return {
    supplies,
    supply: (id: number): StockedSupply | undefined => supplies().find((one) => one.id === id),
    /** In the order of their days. */
    moves: (supplyId: number): SupplyMoveRow[] => selectMoves.all(supplyId),
    /** What a settled day used, of what is no longer kept too. */
    usedOn: (dayId: number) => selectUsed.all(dayId),

    /** Adds a thing with what there is of it on a day; undefined where no one has counted yet. */
    addSupply: (
      entry: Entry,
      supply: Omit<SupplyRow, "id" | "entryId">,
      movedOn: string,
      inStock: number | undefined,
    ): Recorded<"name-taken"> =>
      entries.once(entry, ["supply", supply, inStock], () => {
        if (selectSupplies.all().some(({ name }) => name === supply.name)) return "name-taken";
        const { lastInsertRowid } = insertSupply.run({ entryId: entry.entryId, ...supply });
        const counted = { kind: "counted" as const, movedOn, dayId: undefined };
        if (inStock !== undefined) {
          insertMove.run({
            entryId: entry.entryId,
            supplyId: Number(lastInsertRowid),
            amount: inStock,
            ...counted,
          });
        }
        return undefined;
      }),

    /** Bought or counted by hand. */
    move: (
      entry: Entry,
      supplyId: number,
      move: { readonly movedOn: string; readonly kind: "bought" | "counted"; readonly amount: number },
    ): Recorded =>
      entries.once(entry, ["supply-move", supplyId, move], () => {
        insertMove.run({ entryId: entry.entryId, supplyId, dayId: undefined, ...move });
        return undefined;
      }),

    /** Written with a settlement, under its entry; call it inside the settlement's transaction. */
    use: (
      entryId: string,
      day: { readonly dayId: number; readonly movedOn: string },
      used: readonly { readonly supplyId: number; readonly amount: number }[],
    ): void => {
      for (const { supplyId, amount } of used)
        insertMove.run({ entryId, supplyId, kind: "used", amount, ...day });
    },
  };
}
