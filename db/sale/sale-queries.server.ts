import type { Database } from "better-sqlite3";
import { PAYMENT_WAYS, type PaymentWay } from "#core/orders/payment-way.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

/** Packs that leave together for money. */
export interface SaleFacts {
  /** Undefined: whoever came to the stand. */
  readonly customerId: number | undefined;
  readonly orderId: number | undefined;
  readonly soldOn: string;
  readonly note: string;
}

export interface Sale extends SaleFacts {
  readonly id: number;
  readonly entryId: string;
  readonly packs: number;
  /** Asked for all of its packs. */
  readonly totalCents: number;
  /** Taken off again for packs that came back. */
  readonly creditCents: number;
}

/** A pack of a sale, with what was asked for it. */
export interface SoldPack {
  readonly outId: number;
  readonly packId: number;
  readonly cents: number;
}

/** Money that came in, or went back where it is less than 0. */
export interface PaymentFacts {
  readonly customerId: number | undefined;
  readonly saleId: number | undefined;
  /** A deposit on an order. */
  readonly orderId: number | undefined;
  readonly amountCents: number;
  readonly paidOn: string;
  readonly how: PaymentWay;
}

export interface Payment extends PaymentFacts {
  readonly id: number;
  readonly entryId: string;
}

export interface ReturnFacts {
  readonly returnedOn: string;
  readonly creditCents: number;
  readonly goes: "stock" | "discarded";
  readonly reason: string;
}

export interface PackReturn extends ReturnFacts {
  readonly entryId: string;
  readonly outId: number;
  readonly packId: number;
  readonly saleId: number;
}

/** What was sold on a day, less what came back on it, and what came in, by the way it was paid. */
export type DayTakings = { readonly day: string; readonly packs: number; readonly soldCents: number } & {
  readonly [Way in `${PaymentWay}Cents`]: number;
};

const REMOVED = "(SELECT entry_id FROM entry_taken_back)";

/** Prepares every statement of sales and payments once; call it once per connection. */
export function saleQueries(database: Database) {
  const entries = entryQueries(database);
  const salesWhere = (where: string) => `
    SELECT sale.id, sale.entry_id AS entryId, sale.customer_id AS customerId, sale.order_id AS orderId,
           sale.sold_on AS soldOn, sale.note, count(gone.id) AS packs, coalesce(sum(gone.paid_cents), 0) AS totalCents,
           coalesce((SELECT sum(back.credit_cents) FROM pack_return AS back JOIN pack_out AS one ON one.id = back.pack_out_id
                      WHERE one.sale_id = sale.id AND back.entry_id NOT IN ${REMOVED}), 0) AS creditCents
      FROM sale LEFT JOIN pack_out AS gone ON gone.sale_id = sale.id
     WHERE sale.entry_id NOT IN ${REMOVED} AND ${where}
     GROUP BY sale.id ORDER BY sale.sold_on DESC, sale.id DESC`;
  const selectSales = database.prepare<[string, string], Sale>(salesWhere("sale.sold_on BETWEEN ? AND ?"));
  const selectSalesTo = database.prepare<[number], Sale>(salesWhere("sale.customer_id = ?"));
  const selectSalesOf = database.prepare<[number], Sale>(salesWhere("sale.order_id = ?"));
  const selectSale = database.prepare<[number], Sale>(salesWhere("sale.id = ?"));
  const selectPacks = database.prepare<[number], SoldPack>(`
    SELECT id AS outId, pack_id AS packId, coalesce(paid_cents, 0) AS cents FROM pack_out WHERE sale_id = ? ORDER BY id`);
  const selectOut = database.prepare<[number], { saleId: number | undefined; cents: number }>(
    `SELECT sale_id AS saleId, coalesce(paid_cents, 0) AS cents FROM pack_out WHERE id = ? AND entry_id NOT IN ${REMOVED}`,
  );
  const selectReturns = database.prepare<[number], PackReturn>(`
    SELECT back.entry_id AS entryId, back.pack_out_id AS outId, gone.pack_id AS packId, gone.sale_id AS saleId,
           back.returned_on AS returnedOn, back.credit_cents AS creditCents, back.goes, back.reason
      FROM pack_return AS back JOIN pack_out AS gone ON gone.id = back.pack_out_id
     WHERE gone.sale_id = ? AND back.entry_id NOT IN ${REMOVED} ORDER BY back.id`);
  const paymentsWhere = (where: string) => `
    SELECT id, entry_id AS entryId, customer_id AS customerId, sale_id AS saleId, order_id AS orderId,
           amount_cents AS amountCents, paid_on AS paidOn, how
      FROM payment WHERE entry_id NOT IN ${REMOVED} AND ${where} ORDER BY paid_on DESC, id DESC`;
  const selectPaymentsBy = database.prepare<[number], Payment>(paymentsWhere("customer_id = ?"));
  const selectPaymentsFor = database.prepare<[number], Payment>(paymentsWhere("order_id = ?"));
  const selectPaymentsOf = database.prepare<[number], Payment>(paymentsWhere("sale_id = ?"));
  const selectTakings = database.prepare<{ from: string; to: string }, DayTakings>(`
    WITH moved AS (
      SELECT sale.sold_on AS day, 1 AS packs, coalesce(gone.paid_cents, 0) AS sold, 0 AS amount, '' AS how
        FROM sale JOIN pack_out AS gone ON gone.sale_id = sale.id
       WHERE sale.entry_id NOT IN ${REMOVED} AND sale.sold_on BETWEEN @from AND @to
      UNION ALL
      SELECT back.returned_on, 0, -back.credit_cents, 0, ''
        FROM pack_return AS back JOIN pack_out AS gone ON gone.id = back.pack_out_id JOIN sale ON sale.id = gone.sale_id
       WHERE back.entry_id NOT IN ${REMOVED} AND sale.entry_id NOT IN ${REMOVED} AND back.returned_on BETWEEN @from AND @to
      UNION ALL
      SELECT paid_on, 0, 0, amount_cents, how FROM payment
       WHERE entry_id NOT IN ${REMOVED} AND paid_on BETWEEN @from AND @to)
    SELECT day, sum(packs) AS packs, sum(sold) AS soldCents,
           ${PAYMENT_WAYS.map((way) => `sum(CASE how WHEN '${way}' THEN amount ELSE 0 END) AS ${way}Cents`).join()}
      FROM moved GROUP BY day ORDER BY day DESC`);
  const selectTakingYears = database.prepare<[], { day: string }>(`
    SELECT DISTINCT substr(sold_on, 1, 4) || '-01-01' AS day FROM sale WHERE entry_id NOT IN ${REMOVED}
    UNION SELECT DISTINCT substr(paid_on, 1, 4) || '-01-01' FROM payment WHERE entry_id NOT IN ${REMOVED}`);
  const selectOwed = database.prepare<[], { customerId: number; owedCents: number }>(`
    WITH moved AS (
      SELECT sale.customer_id, gone.paid_cents AS cents
        FROM sale JOIN pack_out AS gone ON gone.sale_id = sale.id WHERE sale.entry_id NOT IN ${REMOVED}
      UNION ALL
      SELECT sale.customer_id, -back.credit_cents
        FROM pack_return AS back JOIN pack_out AS gone ON gone.id = back.pack_out_id JOIN sale ON sale.id = gone.sale_id
       WHERE back.entry_id NOT IN ${REMOVED} AND sale.entry_id NOT IN ${REMOVED}
      UNION ALL
      SELECT customer_id, -amount_cents FROM payment WHERE entry_id NOT IN ${REMOVED})
    SELECT customer_id AS customerId, sum(cents) AS owedCents FROM moved
     WHERE customer_id IS NOT NULL GROUP BY customer_id HAVING sum(cents) <> 0`);
  const selectIsStored = database.prepare<[number], { stored: boolean }>(
    "SELECT EXISTS (SELECT 1 FROM pack_now WHERE pack_id = ? AND is_stored = 1) AS stored",
  );
  const selectIsCustomer = database.prepare<[number], { found: boolean }>(
    `SELECT EXISTS (SELECT 1 FROM customer WHERE id = ? AND entry_id NOT IN ${REMOVED}) AS found`,
  );
  const selectIsSale = database.prepare<[number], { found: boolean }>(
    `SELECT EXISTS (SELECT 1 FROM sale WHERE id = ? AND entry_id NOT IN ${REMOVED}) AS found`,
  );
  const selectIsReturned = database.prepare<[number], { found: boolean }>(
    `SELECT EXISTS (SELECT 1 FROM pack_return WHERE pack_out_id = ? AND entry_id NOT IN ${REMOVED}) AS found`,
  );
  const selectOfEntry = database.prepare<[string], { id: number }>("SELECT id FROM sale WHERE entry_id = ?");
  const insertSale = database.prepare<SaleFacts & { entryId: string }>(`
    INSERT INTO sale (entry_id, customer_id, order_id, sold_on, note)
    VALUES (@entryId, @customerId, @orderId, @soldOn, @note)`);
  const insertOut = database.prepare<{
    entryId: string;
    packId: number;
    outOn: string;
    saleId: number;
    cents: number;
  }>(`
    INSERT INTO pack_out (entry_id, pack_id, out_on, how, sale_id, paid_cents)
    VALUES (@entryId, @packId, @outOn, 'sold', @saleId, @cents)`);
  const insertPayment = database.prepare<PaymentFacts & { entryId: string }>(`
    INSERT INTO payment (entry_id, customer_id, sale_id, order_id, amount_cents, paid_on, how)
    VALUES (@entryId, @customerId, @saleId, @orderId, @amountCents, @paidOn, @how)`);
  const insertClosed = database.prepare<{ entryId: string; orderId: number; wantedOn: string }>(`
    INSERT INTO order_closed (entry_id, order_id, wanted_on, how)
    VALUES (@entryId, @orderId, @wantedOn, 'handed-over')`);
  const insertReturn = database.prepare<ReturnFacts & { entryId: string; outId: number }>(`
    INSERT INTO pack_return (entry_id, pack_out_id, returned_on, credit_cents, goes, reason)
    VALUES (@entryId, @outId, @returnedOn, @creditCents, @goes, @reason)`);

  return {
    /** Sales from one day to another, both included, newest first. */
    sales: (from: string, to: string): Sale[] => selectSales.all(from, to),
    packsOf: (saleId: number): SoldPack[] => selectPacks.all(saleId),
    ofEntry: (entryId: string): number | undefined => selectOfEntry.get(entryId)?.id,
    sale: (saleId: number): Sale | undefined => selectSale.get(saleId),
    salesTo: (customerId: number): Sale[] => selectSalesTo.all(customerId),
    salesOfOrder: (orderId: number): Sale[] => selectSalesOf.all(orderId),
    returnsOf: (saleId: number): PackReturn[] => selectReturns.all(saleId),
    paymentsBy: (customerId: number): Payment[] => selectPaymentsBy.all(customerId),
    paymentsForOrder: (orderId: number): Payment[] => selectPaymentsFor.all(orderId),
    paymentsOf: (saleId: number): Payment[] => selectPaymentsOf.all(saleId),
    /** What was sold and what came in from one day to another, by day, newest first. */
    takings: (from: string, to: string): DayTakings[] => selectTakings.all({ from, to }),
    /** A day of each year in which something was sold or paid. */
    takingDays: (): string[] => selectTakingYears.all().map(({ day }) => day),
    /** What each customer owes, or has paid too much where it is less than 0; those who are even are left out. */
    owed: (): { customerId: number; owedCents: number }[] => selectOwed.all(),
    /**
     * Sells packs, all or none.
     *
     * @param paid what was paid at once; undefined where it is owed
     * @param closes the time of an order that is done with by this
     */
    sell: (
      entry: Entry,
      sale: SaleFacts,
      packs: readonly { readonly packId: number; readonly cents: number }[],
      {
        paid,
        closes,
      }: { paid?: { amountCents: number; how: PaymentWay } | undefined; closes?: string | undefined },
    ): Recorded<"not-in-store" | "customer-removed"> =>
      entries.once(entry, ["sale", sale, packs, paid, closes], () => {
        if (sale.customerId !== undefined && !selectIsCustomer.get(sale.customerId)!.found)
          return "customer-removed";
        insertSale.run({ ...sale, entryId: entry.entryId });
        const { id: saleId } = selectOfEntry.get(entry.entryId)!;
        for (const { packId, cents } of packs) {
          if (!selectIsStored.get(packId)!.stored) return "not-in-store";
          insertOut.run({ entryId: entry.entryId, packId, outOn: sale.soldOn, saleId, cents });
        }
        if (paid && paid.amountCents !== 0)
          insertPayment.run({ ...sale, ...paid, saleId, paidOn: sale.soldOn, entryId: entry.entryId });
        if (closes !== undefined && sale.orderId !== undefined)
          insertClosed.run({ entryId: entry.entryId, orderId: sale.orderId, wantedOn: closes });
        return undefined;
      }),
    /** Money that came in by itself: what was owed, or a deposit. */
    pay: (entry: Entry, payment: PaymentFacts): Recorded<"customer-removed" | "sale-removed"> =>
      entries.once(entry, ["payment", payment], () => {
        if (payment.saleId !== undefined && !selectIsSale.get(payment.saleId)!.found) return "sale-removed";
        if (payment.customerId !== undefined && !selectIsCustomer.get(payment.customerId)!.found)
          return "customer-removed";
        insertPayment.run({ ...payment, entryId: entry.entryId });
        return undefined;
      }),
    /** A sold pack that came back; once. */
    takeReturn: (
      entry: Entry,
      outId: number,
      back: ReturnFacts,
    ): Recorded<"not-sold" | "returned-already" | "credit-too-large"> =>
      entries.once(entry, ["return", outId, back], () => {
        const out = selectOut.get(outId);
        if (out?.saleId === undefined) return "not-sold";
        if (selectIsReturned.get(outId)!.found) return "returned-already";
        if (back.creditCents > out.cents) return "credit-too-large";
        insertReturn.run({ ...back, outId, entryId: entry.entryId });
        return undefined;
      }),
  };
}
