import type { Database } from "better-sqlite3";
import type { BirdKind } from "#core/growth/bird-kind.ts";
import {
  type BatchNote,
  type FeedMove,
  type FeedOpened,
  type GrowingStory,
  growingQueries,
  type PenMove,
} from "#db/batch/growing-queries.server.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

export interface Batch {
  readonly id: number;
  readonly name: string;
  readonly kind: BirdKind;
  readonly maleSharePermille: number;
  readonly hatchedOn: string;
  readonly orderedCount: number | undefined;
  /** How many came; of a batch that is still awaited, how many are expected. */
  readonly arrivedCount: number;
  /** The day on which chicks on order are due, until someone records that they came; then undefined. */
  readonly awaitedOn: string | undefined;
  readonly chickCostCents: number;
  /** Arrived, less losses, less those already dressed. */
  readonly aliveCount: number;
  readonly lostCount: number;
  /** Counts on with each change. */
  readonly revision: number;
}

export type NewBatch = Omit<Batch, "id" | "aliveCount" | "lostCount" | "revision">;

/** What of a batch can be put right later: all that was typed of it but how many chicks came, which has entries of its own. */
export type BatchChange = Pick<
  Batch,
  "id" | "revision" | "name" | "kind" | "maleSharePermille" | "hatchedOn" | "orderedCount" | "chickCostCents"
>;

interface Fact {
  readonly entryId: string;
}
export interface Loss extends Fact {
  readonly lostOn: string;
  readonly birdCount: number;
  readonly cause: string;
}
export interface FeedPurchase extends Fact {
  readonly boughtOn: string;
  readonly bagCount: number;
  readonly bagMilligrams: number;
  readonly bagPriceCents: number;
  /** Starter, grower; empty where no one said. */
  readonly feedKind: string;
}
export interface FeedLeft extends Fact {
  readonly countedOn: string;
  readonly leftMilligrams: number;
}
export interface BatchCost extends Fact {
  readonly spentOn: string;
  readonly what: string;
  readonly amountCents: number;
}
export interface BatchWeighing extends Fact {
  readonly weighedOn: string;
  readonly liveWeightMilligrams: number;
  readonly asTyped: string;
}

/** Everything recorded of a batch, each list in order of time. */
export interface BatchStory extends GrowingStory {
  readonly losses: readonly Loss[];
  readonly feed: readonly FeedPurchase[];
  readonly feedLeft: readonly FeedLeft[];
  readonly costs: readonly BatchCost[];
  readonly weighings: readonly BatchWeighing[];
}

/**
 * Birds of a batch that a day takes: those planned while it is open, those dressed or condemned once it is settled. Birds
 * that were tapped count for the day's lots in the order of their kill, and any beyond the plan for the last.
 */
const TAKEN_BY_DAYS = `
  SELECT batch_id, day_id, planned_count, settlement_id IS NOT NULL AS is_settled,
         CASE WHEN settlement_id IS NOT NULL
           THEN coalesce((SELECT bird_count FROM settled_lot
                           WHERE settled_lot.settlement_id = taking.settlement_id AND settled_lot.lot_id = taking.lot_id), 0)
           ELSE max(
             (SELECT count(*) FROM pack_now WHERE pack_now.lot_id = taking.lot_id AND pack_now.bird_number IS NOT NULL),
             max(0, min((SELECT coalesce(sum(coalesce(event.bird_count, 1)), 0) FROM day_fact AS event WHERE event.day_id = taking.day_id AND event.kind = 'bird'
                          AND event.entry_id NOT IN (SELECT entry_id FROM entry_taken_back)) - before_count,
                        CASE WHEN is_last THEN 100000 ELSE planned_count END))
           ) END AS dressed_count
    FROM (SELECT lot.id AS lot_id, lot.batch_id, lot.day_id, lot.bird_count AS planned_count, settlement.id AS settlement_id,
                 (SELECT coalesce(sum(bird_count), 0) FROM day_lot AS earlier
                   WHERE earlier.day_id = lot.day_id AND earlier.removed_at IS NULL AND earlier.place < lot.place) AS before_count,
                 NOT EXISTS (SELECT 1 FROM day_lot AS later
                   WHERE later.day_id = lot.day_id AND later.removed_at IS NULL AND later.place > lot.place) AS is_last
            FROM day_lot AS lot
            JOIN processing_day AS day ON day.id = lot.day_id
            LEFT JOIN day_settlement AS settlement
                   ON settlement.day_id = lot.day_id AND settlement.entry_id NOT IN (SELECT entry_id FROM entry_taken_back)
           WHERE lot.removed_at IS NULL AND day.joined_day_id IS NULL
             AND day.entry_id NOT IN (SELECT entry_id FROM entry_taken_back)) AS taking`;

/** Prepares every statement of the batches once; call it once per connection. */
export function batchQueries(database: Database) {
  const entries = entryQueries(database);
  const growing = growingQueries(database);
  const current = "entry_id NOT IN (SELECT entry_id FROM entry_taken_back)";
  const batchSql = (where: string) => `
    SELECT id, name, kind, male_share_permille AS maleSharePermille, hatched_on AS hatchedOn,
           ordered_count AS orderedCount, arrived_count AS arrivedCount, chick_cost_cents AS chickCostCents,
           awaited_on AS awaitedOn, revision,
           lost_count AS lostCount, arrived_count - lost_count - dressed_count AS aliveCount
      FROM (SELECT batch.id, batch.name, kind, male_share_permille, hatched_on, ordered_count, chick_cost_cents, revision,
                   coalesce(arrival.arrived_count, batch.arrived_count) AS arrived_count,
                   CASE WHEN arrival.id IS NULL THEN awaited_on END AS awaited_on,
                   (SELECT coalesce(sum(bird_count), 0) FROM batch_loss
                     WHERE batch_id = batch.id AND ${current}) AS lost_count,
                   (SELECT coalesce(sum(dressed_count), 0) FROM (${TAKEN_BY_DAYS})
                     WHERE batch_id = batch.id) AS dressed_count
              FROM batch
              LEFT JOIN batch_arrival AS arrival
                     ON arrival.batch_id = batch.id
                    AND arrival.entry_id NOT IN (SELECT entry_id FROM entry_taken_back)
             WHERE batch.${current} AND ${where})
     ORDER BY hatched_on, id`;
  const selectBatches = database.prepare<[], Batch>(batchSql("true"));
  const selectBatch = database.prepare<[number], Batch>(batchSql("batch.id = ?"));
  const selectByEntry = database.prepare<[string], Batch>(batchSql("batch.entry_id = ?"));
  const selectIsNameUsed = database.prepare<[string], { taken: boolean }>(
    `SELECT EXISTS (SELECT 1 FROM batch WHERE name = ? AND ${current}) AS taken`,
  );
  const selectIsNameUsedBy = database.prepare<[string, number], { taken: boolean }>(
    `SELECT EXISTS (SELECT 1 FROM batch WHERE name = ? AND id <> ? AND ${current}) AS taken`,
  );
  const selectFirstMoment = database.prepare<{ batchId: number }, { day: string | undefined }>(`
    SELECT min(day) AS day FROM (
      SELECT min(lost_on) AS day FROM batch_loss WHERE batch_id = @batchId AND ${current}
      UNION ALL SELECT min(weighed_on) FROM batch_weighing WHERE batch_id = @batchId AND ${current}
      UNION ALL SELECT min(counted_on) FROM batch_feed_left WHERE batch_id = @batchId AND ${current}
      UNION ALL SELECT min(processed_on) FROM processing_day WHERE ${current}
         AND id IN (SELECT day_id FROM day_lot WHERE batch_id = @batchId AND removed_at IS NULL))`);
  const updateBatch = database.prepare<BatchChange>(`
    UPDATE batch SET name = @name, kind = @kind, male_share_permille = @maleSharePermille, hatched_on = @hatchedOn,
           ordered_count = @orderedCount, chick_cost_cents = @chickCostCents, revision = revision + 1,
           -- Day-olds by post come the day after they hatch.
           awaited_on = CASE WHEN awaited_on IS NOT NULL THEN date(@hatchedOn, '+1 day') END
     WHERE id = @id AND revision = @revision`);
  const selectTaken = database.prepare<[number], { batchId: number; birds: number }>(
    `SELECT batch_id AS batchId, dressed_count AS birds FROM (${TAKEN_BY_DAYS}) WHERE day_id = ?`,
  );
  const selectSetAside = database.prepare<[number, number], { setAside: number }>(`
    WITH taken AS (${TAKEN_BY_DAYS})
    SELECT coalesce(sum(CASE WHEN is_settled THEN dressed_count ELSE max(planned_count, dressed_count) END), 0) AS setAside
      FROM taken WHERE batch_id = ? AND day_id <> ?`);
  const selectLosses = database.prepare<[number], Loss>(`
    SELECT entry_id AS entryId, lost_on AS lostOn, bird_count AS birdCount, cause
      FROM batch_loss WHERE batch_id = ? AND ${current} ORDER BY lost_on, id`);
  const selectFeed = database.prepare<[number], FeedPurchase>(`
    SELECT entry_id AS entryId, bought_on AS boughtOn, bag_count AS bagCount, bag_milligrams AS bagMilligrams,
           bag_price_cents AS bagPriceCents, feed_kind AS feedKind
      FROM batch_feed WHERE batch_id = ? AND ${current} ORDER BY bought_on, id`);
  const selectFeedLeft = database.prepare<[number], FeedLeft>(`
    SELECT entry_id AS entryId, counted_on AS countedOn, left_milligrams AS leftMilligrams
      FROM batch_feed_left WHERE batch_id = ? AND ${current} ORDER BY counted_on, id`);
  const selectCosts = database.prepare<[number], BatchCost>(`
    SELECT entry_id AS entryId, spent_on AS spentOn, what, amount_cents AS amountCents
      FROM batch_cost WHERE batch_id = ? AND ${current} ORDER BY spent_on, id`);
  const selectWeighings = database.prepare<[number], BatchWeighing>(`
    SELECT entry_id AS entryId, weighed_on AS weighedOn, live_weight_milligrams AS liveWeightMilligrams,
           as_typed AS asTyped
      FROM batch_weighing WHERE batch_id = ? AND ${current} ORDER BY weighed_on, id`);
  const insertBatch = database.prepare<NewBatch & Fact>(`
    INSERT INTO batch (entry_id, name, kind, male_share_permille, hatched_on, ordered_count, arrived_count, awaited_on,
                       chick_cost_cents)
    VALUES (@entryId, @name, @kind, @maleSharePermille, @hatchedOn, @orderedCount, @arrivedCount, @awaitedOn,
            @chickCostCents)`);
  const insertLoss = database.prepare<Loss & { batchId: number }>(`
    INSERT INTO batch_loss (entry_id, batch_id, lost_on, bird_count, cause)
    VALUES (@entryId, @batchId, @lostOn, @birdCount, @cause)`);
  const insertFeed = database.prepare<FeedPurchase & { batchId: number }>(`
    INSERT INTO batch_feed (entry_id, batch_id, bought_on, bag_count, bag_milligrams, bag_price_cents, feed_kind)
    VALUES (@entryId, @batchId, @boughtOn, @bagCount, @bagMilligrams, @bagPriceCents, @feedKind)`);
  const insertFeedLeft = database.prepare<FeedLeft & { batchId: number }>(`
    INSERT INTO batch_feed_left (entry_id, batch_id, counted_on, left_milligrams)
    VALUES (@entryId, @batchId, @countedOn, @leftMilligrams)`);
  const insertCost = database.prepare<BatchCost & { batchId: number }>(`
    INSERT INTO batch_cost (entry_id, batch_id, spent_on, what, amount_cents)
    VALUES (@entryId, @batchId, @spentOn, @what, @amountCents)`);
  const insertWeighing = database.prepare<BatchWeighing & { batchId: number }>(`
    INSERT INTO batch_weighing (entry_id, batch_id, weighed_on, live_weight_milligrams, as_typed)
    VALUES (@entryId, @batchId, @weighedOn, @liveWeightMilligrams, @asTyped)`);

  const batch = (id: number): Batch | undefined => selectBatch.get(id);
  const freeForDay = (batchId: number, dayId = 0): number => {
    const flock = batch(batchId);
    return flock ? flock.arrivedCount - flock.lostCount - selectSetAside.get(batchId, dayId)!.setAside : 0;
  };
  /** Feed that came to a batch less what went on from it, milligrams. */
  const feedStock = (batchId: number): number =>
    selectFeed.all(batchId).reduce((sum, purchase) => sum + purchase.bagCount * purchase.bagMilligrams, 0) +
    growing
      .feedMoved(batchId)
      .reduce((sum, move) => sum + (move.toBatchId === batchId ? 1 : -1) * move.movedMilligrams, 0);

  return {
    batches: (): Batch[] => selectBatches.all(),
    batch,
    batchOfEntry: (entryId: string): Batch | undefined => selectByEntry.get(entryId),
    /** Birds of a batch that a day may have: arrived, less losses, less what every other day has set aside or dressed. */
    freeForDay,
    /** Birds that a day has taken of each batch so far, tapped or packed, or as it was settled. */
    takenOn: (dayId: number): ReadonlyMap<number, number> =>
      new Map(selectTaken.all(dayId).map(({ batchId, birds }) => [batchId, birds])),

    story: (batchId: number): BatchStory => ({
      losses: selectLosses.all(batchId),
      feed: selectFeed.all(batchId),
      feedLeft: selectFeedLeft.all(batchId),
      costs: selectCosts.all(batchId),
      weighings: selectWeighings.all(batchId),
      ...growing.story(batchId),
    }),

    /** Chicks that were awaited came; removed, they are awaited again. */
    recordArrival: (
      entry: Entry,
      batchId: number,
      arrival: { arrivedOn: string; arrivedCount: number },
    ): Recorded<"not-awaited"> =>
      entries.once(entry, ["arrival", batchId, arrival], () => {
        if (!batch(batchId)?.awaitedOn) return "not-awaited";
        growing.insertArrival(entry.entryId, batchId, arrival);
        return undefined;
      }),

    recordNote: (entry: Entry, batchId: number, note: Omit<BatchNote, "entryId">): Recorded =>
      entries.once(entry, ["note", batchId, note], () => growing.insertNote(entry.entryId, batchId, note)),

    recordFeedOpened: (entry: Entry, batchId: number, opened: Omit<FeedOpened, "entryId">): Recorded =>
      entries.once(entry, ["feed-opened", batchId, opened], () =>
        growing.insertOpened(entry.entryId, batchId, opened),
      ),

    /** Birds go from one pen to another; a pen can't give more than stand in it. */
    recordPenMove: (
      entry: Entry,
      batchId: number,
      move: Omit<PenMove, "entryId">,
    ): Recorded<"more-than-in-pen"> =>
      entries.once(entry, ["pen-move", batchId, move], () => {
        const pens = growing.birdsByPen(batchId);
        // A pen that is short counts as such: else a move that was removed could not be recorded again.
        const penned = [...pens.values()].reduce((sum, birds) => sum + birds, 0);
        const there =
          move.fromPen === "" ? (batch(batchId)?.aliveCount ?? 0) - penned : (pens.get(move.fromPen) ?? 0);
        if (move.birdCount > there) return "more-than-in-pen";
        return growing.insertPenMove(entry.entryId, batchId, move);
      }),

    /** Feed goes to another batch or into stock, or comes out of stock, with its money. */
    recordFeedMove: (entry: Entry, move: Omit<FeedMove, "entryId">): Recorded<"more-than-there"> =>
      entries.once(entry, ["feed-move", move], () => {
        const there =
          move.fromBatchId === undefined ? growing.stock().milligrams : feedStock(move.fromBatchId);
        if (move.movedMilligrams > there) return "more-than-there";
        return growing.insertFeedMove(entry.entryId, move);
      }),

    /** Feed in no batch's name, and what it cost. */
    feedInStock: () => growing.stock(),
    pens: (batchId: number) => growing.pens(batchId),

    addBatch: (entry: Entry, batch: NewBatch): Recorded<"name-taken"> =>
      entries.once(entry, ["batch", batch], () => {
        if (selectIsNameUsed.get(batch.name)!.taken) return "name-taken";
        insertBatch.run({ entryId: entry.entryId, ...batch });
        return undefined;
      }),

    /** Puts right what was typed of a batch, if no one else has since the revision that was seen. */
    changeBatch: (
      entry: Entry,
      { revision, ...batch }: BatchChange,
    ): Recorded<"name-taken" | "changed-meanwhile" | "hatched-later"> =>
      entries.once<"name-taken" | "changed-meanwhile" | "hatched-later">(
        entry,
        ["batch-changed", batch],
        () => {
          if (selectIsNameUsedBy.get(batch.name, batch.id)!.taken) return "name-taken";
          const first = selectFirstMoment.get({ batchId: batch.id })!.day;
          if (first !== undefined && first < batch.hatchedOn) return "hatched-later";
          return updateBatch.run({ revision, ...batch }).changes === 1 ? undefined : "changed-meanwhile";
        },
      ),
    /** The first day on which something is recorded or planned of a batch; undefined where nothing is. */
    firstDayOf: (batchId: number): string | undefined => selectFirstMoment.get({ batchId })!.day,

    recordLoss: (entry: Entry, batchId: number, loss: Omit<Loss, "entryId">): Recorded<"more-than-alive"> =>
      entries.once(entry, ["loss", batchId, loss], () => {
        if (loss.birdCount > (batch(batchId)?.aliveCount ?? 0)) return "more-than-alive";
        insertLoss.run({ entryId: entry.entryId, batchId, ...loss });
        return undefined;
      }),

    recordFeed: (entry: Entry, batchId: number, purchase: Omit<FeedPurchase, "entryId">): Recorded =>
      entries.once(entry, ["feed", batchId, purchase], () => {
        insertFeed.run({ entryId: entry.entryId, batchId, ...purchase });
        return undefined;
      }),

    recordFeedLeft: (
      entry: Entry,
      batchId: number,
      left: Omit<FeedLeft, "entryId">,
    ): Recorded<"more-than-bought"> =>
      entries.once(entry, ["feed-left", batchId, left], () => {
        if (left.leftMilligrams > feedStock(batchId)) return "more-than-bought";
        insertFeedLeft.run({ entryId: entry.entryId, batchId, ...left });
        return undefined;
      }),

    recordCost: (entry: Entry, batchId: number, cost: Omit<BatchCost, "entryId">): Recorded =>
      entries.once(entry, ["batch-cost", batchId, cost], () => {
        insertCost.run({ entryId: entry.entryId, batchId, ...cost });
        return undefined;
      }),

    /** Records all of them or none. */
    recordWeighings: (
      entry: Entry,
      batchId: number,
      weighings: readonly Omit<BatchWeighing, "entryId">[],
    ): Recorded =>
      entries.once(entry, ["weighings", batchId, weighings], () => {
        for (const weighing of weighings)
          insertWeighing.run({ entryId: entry.entryId, batchId, ...weighing });
        return undefined;
      }),
  };
}
