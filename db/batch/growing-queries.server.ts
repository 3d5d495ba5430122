import type { Database } from "better-sqlite3";
import { birdsByPen } from "#core/growth/birds-by-pen.ts";

interface Fact {
  readonly entryId: string;
}
export interface BatchNote extends Fact {
  readonly notedOn: string;
  readonly kind: "note" | "vaccine";
  readonly note: string;
}
/** An empty pen is where the birds were before they had one. */
export interface PenMove extends Fact {
  readonly movedOn: string;
  readonly birdCount: number;
  readonly fromPen: string;
  readonly toPen: string;
}
export interface FeedOpened extends Fact {
  readonly openedOn: string;
  readonly bagCount: number;
}
/** Null is the farm's stock. */
export interface FeedMove extends Fact {
  readonly movedOn: string;
  readonly fromBatchId: number | undefined;
  readonly toBatchId: number | undefined;
  readonly movedMilligrams: number;
  readonly amountCents: number;
}
export interface Arrival extends Fact {
  readonly arrivedOn: string;
  readonly arrivedCount: number;
}

/** What is recorded of a batch between its arrival and its day, each list in order of time. */
export interface GrowingStory {
  readonly arrivals: readonly Arrival[];
  readonly notes: readonly BatchNote[];
  readonly penMoves: readonly PenMove[];
  readonly feedOpened: readonly FeedOpened[];
  readonly feedMoved: readonly FeedMove[];
}

/** Prepares the statements of a growing batch; the rules about them are in the batch's own queries. */
export function growingQueries(database: Database) {
  const current = "entry_id NOT IN (SELECT entry_id FROM entry_taken_back)";
  const selectArrivals = database.prepare<[number], Arrival>(`
    SELECT entry_id AS entryId, arrived_on AS arrivedOn, arrived_count AS arrivedCount
      FROM batch_arrival WHERE batch_id = ? AND ${current} ORDER BY arrived_on, id`);
  const selectNotes = database.prepare<[number], BatchNote>(`
    SELECT entry_id AS entryId, noted_on AS notedOn, kind, note
      FROM batch_note WHERE batch_id = ? AND ${current} ORDER BY noted_on, id`);
  const selectPenMoves = database.prepare<[number], PenMove>(`
    SELECT entry_id AS entryId, moved_on AS movedOn, bird_count AS birdCount, from_pen AS fromPen, to_pen AS toPen
      FROM batch_pen_move WHERE batch_id = ? AND ${current} ORDER BY moved_on, id`);
  const selectOpened = database.prepare<[number], FeedOpened>(`
    SELECT entry_id AS entryId, opened_on AS openedOn, bag_count AS bagCount
      FROM batch_feed_opened WHERE batch_id = ? AND ${current} ORDER BY opened_on, id`);
  const moved = (where: string) => `
    SELECT entry_id AS entryId, moved_on AS movedOn, from_batch_id AS fromBatchId, to_batch_id AS toBatchId,
           moved_milligrams AS movedMilligrams, amount_cents AS amountCents
      FROM feed_moved WHERE ${where} AND ${current} ORDER BY moved_on, id`;
  const selectFeedMoved = database.prepare<{ id: number }, FeedMove>(
    moved("(from_batch_id = @id OR to_batch_id = @id)"),
  );
  const selectStock = database.prepare<[], { milligrams: number; cents: number }>(`
    SELECT coalesce(sum(CASE WHEN to_batch_id IS NULL THEN moved_milligrams ELSE -moved_milligrams END), 0) AS milligrams,
           coalesce(sum(CASE WHEN to_batch_id IS NULL THEN amount_cents ELSE -amount_cents END), 0) AS cents
      FROM feed_moved WHERE (from_batch_id IS NULL OR to_batch_id IS NULL) AND ${current}`);
  const insertArrival = database.prepare(`
    INSERT INTO batch_arrival (entry_id, batch_id, arrived_on, arrived_count)
    VALUES (@entryId, @batchId, @arrivedOn, @arrivedCount)`);
  const insertNote = database.prepare(`
    INSERT INTO batch_note (entry_id, batch_id, noted_on, kind, note) VALUES (@entryId, @batchId, @notedOn, @kind, @note)`);
  const insertPenMove = database.prepare(`
    INSERT INTO batch_pen_move (entry_id, batch_id, moved_on, bird_count, from_pen, to_pen)
    VALUES (@entryId, @batchId, @movedOn, @birdCount, @fromPen, @toPen)`);
  const insertOpened = database.prepare(`
    INSERT INTO batch_feed_opened (entry_id, batch_id, opened_on, bag_count)
    VALUES (@entryId, @batchId, @openedOn, @bagCount)`);
  const insertFeedMove = database.prepare(`
    INSERT INTO feed_moved (entry_id, moved_on, from_batch_id, to_batch_id, moved_milligrams, amount_cents)
    VALUES (@entryId, @movedOn, @fromBatchId, @toBatchId, @movedMilligrams, @amountCents)`);
  const written = (statement: { run: (row: object) => unknown }, row: object): undefined => {
    statement.run(row);
    return undefined;
  };
  const feedMoved = (batchId: number) => selectFeedMoved.all({ id: batchId });

  return {
    story: (batchId: number): GrowingStory => ({
      arrivals: selectArrivals.all(batchId),
      notes: selectNotes.all(batchId),
      penMoves: selectPenMoves.all(batchId),
      feedOpened: selectOpened.all(batchId),
      feedMoved: feedMoved(batchId),
    }),
    feedMoved,
    stock: () => selectStock.get()!,

    birdsByPen: (batchId: number) => birdsByPen(selectPenMoves.all(batchId)),
    /** Pens with birds in them. */
    pens: (batchId: number): { pen: string; birdCount: number }[] =>
      [...birdsByPen(selectPenMoves.all(batchId))]
        .map(([pen, birdCount]) => ({ pen, birdCount }))
        .filter(({ birdCount }) => birdCount > 0),

    insertArrival: (entryId: string, batchId: number, arrival: Omit<Arrival, "entryId">) =>
      written(insertArrival, { entryId, batchId, ...arrival }),
    insertNote: (entryId: string, batchId: number, note: Omit<BatchNote, "entryId">) =>
      written(insertNote, { entryId, batchId, ...note }),
    insertPenMove: (entryId: string, batchId: number, move: Omit<PenMove, "entryId">) =>
      written(insertPenMove, { entryId, batchId, ...move }),
    insertOpened: (entryId: string, batchId: number, opened: Omit<FeedOpened, "entryId">) =>
      written(insertOpened, { entryId, batchId, ...opened }),
    insertFeedMove: (entryId: string, move: Omit<FeedMove, "entryId">) =>
      written(insertFeedMove, { entryId, ...move }),
  };
}
