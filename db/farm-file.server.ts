import { MOST_LOTS } from "#core/processing-line/line-context.ts";
import { accessQueries } from "#db/access/access-queries.server.ts";
import { batchQueries } from "#db/batch/batch-queries.server.ts";
import { bookQueries } from "#db/book/book-queries.server.ts";
import { customerQueries } from "#db/customer/customer-queries.server.ts";
import { callOffQueries } from "#db/day/call-off-queries.server.ts";
import { changeQueries } from "#db/day/change-queries.server.ts";
import { dayQueries } from "#db/day/day-queries.server.ts";
import { joinQueries } from "#db/day/join-queries.server.ts";
import { markQueries } from "#db/day/mark-queries.server.ts";
import { pictureQueries } from "#db/day/picture-queries.server.ts";
import { restQueries } from "#db/day/rest-queries.server.ts";
import { runQueries } from "#db/day/run-queries.server.ts";
import { settleQueries } from "#db/day/settle-queries.server.ts";
import { taskQueries } from "#db/day/task-queries.server.ts";
import { addressQueries } from "#db/device/address-queries.server.ts";
import { readingQueries } from "#db/device/reading-queries.server.ts";
import { entryQueries, removeFact } from "#db/entry.server.ts";
import { farmQueries } from "#db/farm/farm-queries.server.ts";
import { freezerQueries } from "#db/freezer/freezer-queries.server.ts";
import { historyQueries } from "#db/history/history-queries.server.ts";
import { countsOf } from "#db/life/file-counts.server.ts";
import { openFile, type Writing } from "#db/open-file.server.ts";
import { orderQueries } from "#db/order/order-queries.server.ts";
import { byProductQueries } from "#db/pack/by-product-queries.server.ts";
import { canningQueries } from "#db/pack/canning-queries.server.ts";
import { cuttingQueries } from "#db/pack/cutting-queries.server.ts";
import { earlierQueries } from "#db/pack/earlier-queries.server.ts";
import { labelQueries } from "#db/pack/label-queries.server.ts";
import { packQueries } from "#db/pack/pack-queries.server.ts";
import { productQueries } from "#db/pack/product-queries.server.ts";
import { redoQueries } from "#db/pack/redo-queries.server.ts";
import { placeQueries } from "#db/place/place-queries.server.ts";
import { saleQueries } from "#db/sale/sale-queries.server.ts";
import { shareQueries } from "#db/sale/share-queries.server.ts";
import { peopleQueries } from "#db/season/people-queries.server.ts";
import { seasonQueries } from "#db/season/season-queries.server.ts";
import { supplyQueries } from "#db/supply/supply-queries.server.ts";

export type FarmFile = ReturnType<typeof openFarmFile>;

/**
 * Opens a farm's data file with all its queries.
 *
 * @param path of the file; `:memory:` for one that is thrown away
 * @param writing whose writes these are, and when
 */
export function openFarmFile(path: string, writing: Writing = {}) {
  const database = openFile(path, writing);
  const changes = database.prepare<[], { count: number }>("SELECT total_changes() AS count");
  return {
    ...farmQueries(database),
    ...placeQueries(database),
    ...batchQueries(database),
    ...dayQueries(database),
    ...joinQueries(database, MOST_LOTS),
    ...callOffQueries(database),
    run: runQueries(database),
    changing: changeQueries(database),
    picturing: pictureQueries(database),
    pack: packQueries(database),
    earlier: earlierQueries(database),
    catalog: productQueries(database),
    labels: labelQueries(database),
    redoing: redoQueries(database),
    cutting: cuttingQueries(database),
    byProducts: byProductQueries(database),
    canning: canningQueries(database),
    resting: restQueries(database),
    marking: markQueries(database),
    tasks: taskQueries(database),
    settling: settleQueries(database),
    freezers: freezerQueries(database),
    supplying: supplyQueries(database),
    books: bookQueries(database),
    season: seasonQueries(database),
    people: peopleQueries(database),
    customers: customerQueries(database),
    ordering: orderQueries(database),
    selling: saleQueries(database),
    sharing: shareQueries(database),
    readings: readingQueries(database),
    attached: addressQueries(database),
    access: accessQueries(database),
    history: historyQueries(database),
    removeFact: removeFact(database),
    /** Whether something was kept under an id before. */
    knowsEntry: entryQueries(database).isKnown,
    /** All of what is done inside, or nothing. */
    together: <Result>(work: () => Result): Result => database.transaction(work).immediate(),
    /** Differs from before whenever anything in the file may have changed, by this connection or another. */
    state: () => `${database.pragma("data_version", { simple: true })}:${changes.get()!.count}`,
    /** How much is in it. */
    counts: () => countsOf(database),
    close: () => database.close(),
  };
}
