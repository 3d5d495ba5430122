import type { Database } from "better-sqlite3";

/** What came of a thing that was sent to be kept. */
export type Recorded<Reason extends string = never> =
  | { readonly recorded: true; readonly isRepeat: boolean }
  /** Something else was already kept under this id: a form sent again after it was changed. */
  | { readonly recorded: false; readonly reason: Reason | "entry-used" };

/** A thing to be kept: its id, made where it was typed, and when it came in, epoch milliseconds. */
export interface Entry {
  readonly entryId: string;
  readonly at: number;
}

/** Keeps things once: the same entry again is harmless, another one under its id is refused. */
export function entryQueries(database: Database) {
  const selectContent = database.prepare<[string], { content: string }>(
    "SELECT content FROM entry WHERE id = ?",
  );
  const insertEntry = database.prepare<[string, string, number]>(
    "INSERT INTO entry (id, content, at, device_id) VALUES (?, ?, ?, visiting_device())",
  );
  const insertTakenBack = database.prepare<{ entryId: string; at: number }>(`
    INSERT INTO entry_taken_back (entry_id, at, device_id)
    SELECT id, @at, visiting_device() FROM entry WHERE id = @entryId
    ON CONFLICT (entry_id) DO NOTHING`);

  const selectTakenBack = database.prepare<[string], { entry_id: string }>(
    "SELECT entry_id FROM entry_taken_back WHERE entry_id = ?",
  );

  return {
    /**
     * Runs a write once for an entry, all of it or nothing.
     *
     * @param content what was sent, to tell a repeat from something new
     * @param write returns a reason to refuse, and then nothing of it is kept; or nothing when it wrote
     */
    once<Reason extends string = never>(
      { entryId, at }: Entry,
      content: unknown,
      write: () => NoInfer<Reason> | undefined,
    ): Recorded<Reason> {
      const text = JSON.stringify(content);
      const attempt = database.transaction((): Recorded<Reason> => {
        const current = selectContent.get(entryId);
        if (current) {
          return current.content === text
            ? { recorded: true, isRepeat: true }
            : { recorded: false, reason: "entry-used" };
        }
        insertEntry.run(entryId, text, at);
        const reason = write();
        if (reason !== undefined) throw new Refused(reason);
        return { recorded: true, isRepeat: false };
      });
      try {
        return attempt.immediate();
      } catch (error) {
        if (error instanceof Refused) return { recorded: false, reason: error.reason as Reason };
        throw error;
      }
    },

    isKnown: (entryId: string): boolean => selectContent.get(entryId) !== undefined,

    isTakenBack: (entryId: string): boolean => selectTakenBack.get(entryId) !== undefined,

    /** Leaves an entry out of every sum from now on; doing it again, or for an unknown entry, is harmless. */
    remove(entryId: string, at: number): void {
      insertTakenBack.run({ entryId, at });
    },
  };
}

/** Tables of facts that stand alone. */
const FACTS = [
  "batch_loss",
  "batch_feed",
  "batch_feed_left",
  "batch_cost",
  "batch_weighing",
  "batch_arrival",
  "batch_note",
  "batch_pen_move",
  "batch_feed_opened",
  "feed_moved",
  "customer",
  "customer_order",
  "order_line",
  "order_closed",
  "product_price",
  "sale",
  "payment",
  "pack_return",
  "lot_share",
  "shop_price",
  "device_address",
  "invitation",
  "kit_item",
  "place_switch",
  "label_template",
  "label_print",
  "cutting_scheme",
  "cut_plan",
  "by_product",
  "by_product_out",
  "by_product_check",
  "rest_program",
  "rest_fact",
  "container",
  "pack_out",
  "pack_move",
  "pack_mark",
  "past_batch",
  "wanted_size",
  "person",
  "person_day",
  "day_mark",
  "booking",
  "season_pin",
  "weather_spell",
  "supply",
  "day_task_done",
] as const;

/** Tables whose facts, once removed, can be put back: nothing else was made because they were gone. */
export const standaloneTables = (): readonly string[] =>
  FACTS.filter((table) => table !== "invitation" && table !== "device_address");

/**
 * Takes back a fact that stands alone: it stays in the file and is left out of every sum.
 * Batches, days, taps, birds and settlements are not among them; those have rules of their own.
 */
export function removeFact(database: Database) {
  const selectIsFact = database.prepare<{ id: string }, { found: boolean }>(`
    SELECT ${FACTS.map((table) => `EXISTS (SELECT 1 FROM ${table} WHERE entry_id = @id)`).join(" OR ")}
        OR EXISTS (SELECT 1 FROM supply_move WHERE entry_id = @id AND kind <> 'used')
        OR EXISTS (SELECT 1 FROM day_cost AS cost WHERE cost.entry_id = @id AND NOT EXISTS (
             SELECT 1 FROM day_settlement AS settlement WHERE settlement.day_id = cost.day_id
                AND settlement.entry_id NOT IN (SELECT entry_id FROM entry_taken_back))) AS found`);
  // A pack that came back into stock and left again can't have come back any less.
  const selectIsOutAgain = database.prepare<{ id: string }, { found: boolean }>(`
    SELECT EXISTS (SELECT 1 FROM pack_return AS back JOIN pack_out AS gone ON gone.id = back.pack_out_id
                     JOIN pack_now AS now ON now.pack_id = gone.pack_id
                    WHERE back.entry_id = @id AND back.goes = 'stock' AND now.is_stored = 0
                      AND back.entry_id NOT IN (SELECT entry_id FROM entry_taken_back)
                      AND gone.entry_id NOT IN (SELECT entry_id FROM entry_taken_back)) AS found`);
  const { remove } = entryQueries(database);
  return database.transaction((entryId: string, at: number): "taken-back" | "not-a-fact" | "out-again" => {
    if (!selectIsFact.get({ id: entryId })!.found) return "not-a-fact";
    if (selectIsOutAgain.get({ id: entryId })!.found) return "out-again";
    remove(entryId, at);
    return "taken-back";
  }).immediate;
}

/** Undoes the transaction that it is thrown in. */
class Refused extends Error {
  constructor(readonly reason: string) {
    super(reason);
  }
}
