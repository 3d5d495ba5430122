import type { Database } from "better-sqlite3";
import type { OrderRhythm } from "#core/orders/order-dates.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

/** So much of a product. */
export interface OrderLineFacts {
  readonly productId: number;
  /** Undefined: every one there is. */
  readonly packs: number | undefined;
  /** The size wished; undefined where any will do. */
  readonly leastMilligrams: number | undefined;
  readonly mostMilligrams: number | undefined;
}

export interface OrderLine extends OrderLineFacts {
  readonly id: number;
  readonly entryId: string;
  readonly orderId: number;
}

export interface OrderFacts {
  readonly customerId: number;
  readonly orderedOn: string;
  /** When it is wanted, the first time. */
  readonly firstOn: string;
  readonly rhythm: OrderRhythm;
  readonly until: string | undefined;
  readonly note: string;
}

export interface Order extends OrderFacts {
  readonly id: number;
  readonly entryId: string;
  readonly customerName: string;
}

/** How one time of an order ended. */
export const ORDER_ENDS = ["handed-over", "left-out"] as const;
export type OrderEnd = (typeof ORDER_ENDS)[number];

export interface ClosedOrder {
  readonly entryId: string;
  readonly orderId: number;
  /** The day it was wanted on. */
  readonly wantedOn: string;
  readonly how: OrderEnd;
}

type OrderRefusal = "customer-removed" | "product-removed";

/** Characters of an entry's id that one made from it keeps. */
const MOST_OF_ID = 55;

const REMOVED = "(SELECT entry_id FROM entry_taken_back)";

/** Prepares every statement of orders once; call it once per connection. */
export function orderQueries(database: Database) {
  const entries = entryQueries(database);
  const selectOrders = database.prepare<[], Order>(`
    SELECT one.id, one.entry_id AS entryId, customer_id AS customerId, customer.name AS customerName,
           ordered_on AS orderedOn, first_on AS firstOn, rhythm, until_day AS until, one.note
      FROM customer_order AS one JOIN customer ON customer.id = one.customer_id
     WHERE one.entry_id NOT IN ${REMOVED} ORDER BY one.id`);
  const selectLines = database.prepare<[], OrderLine>(`
    SELECT id, entry_id AS entryId, order_id AS orderId, product_id AS productId, pack_count AS packs,
           least_milligrams AS leastMilligrams, most_milligrams AS mostMilligrams
      FROM order_line WHERE entry_id NOT IN ${REMOVED} ORDER BY id`);
  const selectClosed = database.prepare<[], ClosedOrder>(`
    SELECT entry_id AS entryId, order_id AS orderId, wanted_on AS wantedOn, how
      FROM order_closed WHERE entry_id NOT IN ${REMOVED} ORDER BY id`);
  const selectOfEntry = database.prepare<[string], { id: number }>(
    "SELECT id FROM customer_order WHERE entry_id = ?",
  );
  const selectIsCustomer = database.prepare<[number], { found: boolean }>(
    `SELECT EXISTS (SELECT 1 FROM customer WHERE id = ? AND entry_id NOT IN ${REMOVED}) AS found`,
  );
  const selectIsProduct = database.prepare<[number], { found: boolean }>(`
    SELECT EXISTS (SELECT 1 FROM product WHERE id = ? AND (entry_id IS NULL OR entry_id NOT IN ${REMOVED})) AS found`);
  const insertOrder = database.prepare<OrderFacts & { entryId: string }>(`
    INSERT INTO customer_order (entry_id, customer_id, ordered_on, first_on, rhythm, until_day, note)
    VALUES (@entryId, @customerId, @orderedOn, @firstOn, @rhythm, @until, @note)`);
  const insertLine = database.prepare<OrderLineFacts & { entryId: string; orderId: number }>(`
    INSERT INTO order_line (entry_id, order_id, product_id, pack_count, least_milligrams, most_milligrams)
    VALUES (@entryId, @orderId, @productId, @packs, @leastMilligrams, @mostMilligrams)`);
  const insertClosed = database.prepare<Omit<ClosedOrder, "entryId"> & { entryId: string }>(
    "INSERT INTO order_closed (entry_id, order_id, wanted_on, how) VALUES (@entryId, @orderId, @wantedOn, @how)",
  );
  const selectIsClosed = database.prepare<{ orderId: number; wantedOn: string }, { found: boolean }>(`
    SELECT EXISTS (SELECT 1 FROM order_closed WHERE order_id = @orderId AND wanted_on = @wantedOn
                      AND entry_id NOT IN ${REMOVED}) AS found`);

  const addLine = (entry: Entry, orderId: number, line: OrderLineFacts) =>
    entries.once<"product-removed">(entry, ["order-line", orderId, line], () => {
      if (!selectIsProduct.get(line.productId)!.found) return "product-removed";
      insertLine.run({ ...line, entryId: entry.entryId, orderId });
      return undefined;
    });

  return {
    /** Orders that stand, by when they came in. */
    orders: (): Order[] => selectOrders.all(),
    lines: (): OrderLine[] => selectLines.all(),
    closed: (): ClosedOrder[] => selectClosed.all(),
    ofEntry: (entryId: string): number | undefined => selectOfEntry.get(entryId)?.id,
    /** An order with its first line, which is an entry of its own and can be removed alone. */
    add: (entry: Entry, order: OrderFacts, line: OrderLineFacts): Recorded<OrderRefusal> =>
      entries.once<OrderRefusal>(entry, ["order", order], () => {
        if (!selectIsCustomer.get(order.customerId)!.found) return "customer-removed";
        insertOrder.run({ ...order, entryId: entry.entryId });
        const ofLine = { ...entry, entryId: `${entry.entryId.slice(0, MOST_OF_ID)}-line` };
        const outcome = addLine(ofLine, selectOfEntry.get(entry.entryId)!.id, line);
        return outcome.recorded || outcome.reason === "entry-used" ? undefined : outcome.reason;
      }),
    /** Another product on an order. */
    addLine: (
      entry: Entry,
      orderId: number,
      line: OrderLineFacts,
    ): Recorded<"product-removed" | "order-removed"> =>
      selectOrders.all().some(({ id }) => id === orderId)
        ? addLine(entry, orderId, line)
        : { recorded: false, reason: "order-removed" },
    /** Ends one time of an order; ended already, nothing more is written of it. */
    close: (
      entry: Entry,
      closed: { orderId: number; wantedOn: string; how: OrderEnd },
    ): Recorded<"closed-already"> =>
      entries.once(entry, ["order-closed", closed], () => {
        if (selectIsClosed.get(closed)!.found) return "closed-already";
        insertClosed.run({ ...closed, entryId: entry.entryId });
        return undefined;
      }),
  };
}
