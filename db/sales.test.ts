import fc from "fast-check";
import { expect, test } from "vitest";
import { openFarmFile } from "#db/farm-file.server.ts";
import { BATCH, CHOICES, entry } from "#db/file-of-tests.ts";

/*
 * Packs are sold, paid for at once or later, come back, and any of it is undone, in any order. What is owed, what was taken in, and what
 * lies in stock are always what the things that stand add up to.
 */

const PACKS = 6;
const EVER = ["2000-01-01", "2099-12-31"] as const;

interface Sold {
  readonly entryId: string;
  readonly packs: readonly { packId: number; cents: number }[];
  readonly paidCents: number;
}
interface Back {
  readonly entryId: string;
  readonly sale: Sold;
  readonly packId: number;
  readonly cents: number;
  readonly goes: "stock" | "discarded";
}

const deed = fc.record({
  what: fc.constantFrom("sell", "sell", "sell", "pay", "return", "return", "undo"),
  which: fc.nat(60),
  cents: fc.integer({ min: 1, max: 4000 }),
  isSure: fc.boolean(),
});

test("money and packs balance in any order of sales, payments, returns, and undoing", () => {
  fc.assert(
    fc.property(fc.array(deed, { maxLength: 30 }), (deeds) => {
      const file = openFarmFile(":memory:");
      file.addBatch(entry(), BATCH);
      file.addDay(entry(), "UTC", CHOICES);
      file.customers.add(entry(), { name: "June", kind: "customer", contact: "", note: "" });
      for (let one = 0; one < PACKS; one += 1)
        file.pack.recordPacks(entry(), 1, [
          {
            productId: 11,
            lotId: 1,
            birdNumber: undefined,
            pieces: 4,
            purpose: "sale",
            weightMilligrams: 900_000,
            tareMilligrams: 0,
            volumeMilliliters: undefined,
            asTyped: "900g",
            reason: "",
            placeId: undefined,
            packedBy: undefined,
            priceCents: undefined,
            priceUnit: "pound",
          },
        ]);
      const sales: Sold[] = [];
      const backs: Back[] = [];
      const payments: { entryId: string; cents: number }[] = [];
      const undone = new Set<string>();
      const stands = ({ entryId }: { entryId: string }) => !undone.has(entryId);
      const isBack = (sale: Sold, packId: number) =>
        backs.find((back) => stands(back) && back.sale === sale && back.packId === packId);
      const isOut = (packId: number) =>
        sales.some(
          (sale) =>
            stands(sale) &&
            sale.packs.some((pack) => pack.packId === packId) &&
            isBack(sale, packId)?.goes !== "stock",
        );
      for (const { what, which, cents, isSure } of deeds) {
        const made = entry();
        if (what === "sell") {
          const packs = [(which % PACKS) + 1, ((which * 7 + 3) % PACKS) + 1]
            .filter((id, index, all) => all.indexOf(id) === index)
            .map((packId) => ({ packId, cents }));
          const paidCents = isSure ? cents : 0;
          const outcome = file.selling.sell(
            made,
            { customerId: 1, orderId: undefined, soldOn: "2026-07-04", note: "" },
            packs,
            { paid: isSure ? { amountCents: paidCents, how: "cash" } : undefined },
          );
          // Nothing of a sale is kept where one of its packs is gone.
          expect(outcome.recorded).toBe(packs.every(({ packId }) => !isOut(packId)));
          if (outcome.recorded) sales.push({ entryId: made.entryId, packs, paidCents });
        } else if (what === "pay") {
          file.selling.pay(made, {
            customerId: 1,
            saleId: undefined,
            orderId: undefined,
            amountCents: isSure ? cents : -cents,
            paidOn: "2026-07-05",
            how: "check",
          });
          payments.push({ entryId: made.entryId, cents: isSure ? cents : -cents });
        } else if (what === "return") {
          const standing = sales.filter(stands);
          const sale = standing[which % Math.max(1, standing.length)];
          if (!sale) continue;
          const pack = sale.packs[which % sale.packs.length]!;
          const id = file.selling.ofEntry(sale.entryId)!;
          const { outId } = file.selling.packsOf(id).find(({ packId }) => packId === pack.packId)!;
          const credit = Math.min(cents, pack.cents);
          const goes = isSure ? "stock" : "discarded";
          const outcome = file.selling.takeReturn(made, outId, {
            returnedOn: "2026-07-06",
            creditCents: credit,
            goes,
            reason: "leak",
          });
          expect(outcome.recorded).toBe(isBack(sale, pack.packId) === undefined);
          if (outcome.recorded)
            backs.push({ entryId: made.entryId, sale, packId: pack.packId, cents: credit, goes });
        } else {
          const all = [...sales, ...payments, ...backs].filter(stands);
          const chosen = all[which % Math.max(1, all.length)];
          // What came back and was sold again can't have come back any less.
          const soldAgain = backs.find(
            (back) => back === chosen && back.goes === "stock" && isOut(back.packId),
          );
          if (!chosen) continue;
          const isOnlySale = soldAgain === undefined || !stands(soldAgain.sale);
          expect(file.removeFact(chosen.entryId, made.at)).toBe(isOnlySale ? "taken-back" : "out-again");
          if (!isOnlySale) continue;
          undone.add(chosen.entryId);
        }
      }
      const sum = (numbers: readonly number[]) => numbers.reduce((all, one) => all + one, 0);
      const asked = sum(sales.filter(stands).flatMap(({ packs }) => packs.map(({ cents }) => cents)));
      const credited = sum(
        backs.filter((back) => stands(back) && stands(back.sale)).map(({ cents }) => cents),
      );
      const paid = sum([
        ...sales.filter(stands).map(({ paidCents }) => paidCents),
        ...payments.filter(stands).map(({ cents }) => cents),
      ]);
      expect(file.selling.owed()[0]?.owedCents ?? 0).toBe(asked - credited - paid);
      const takings = file.selling.takings(...EVER);
      expect(sum(takings.map(({ soldCents }) => soldCents))).toBe(asked - credited);
      expect(sum(takings.map(({ cashCents, checkCents }) => cashCents + checkCents))).toBe(paid);
      const inStock = file.freezers.stored().map(({ id }) => id);
      for (let packId = 1; packId <= PACKS; packId += 1)
        expect(inStock.includes(packId), `pack ${packId}`).toBe(!isOut(packId));
      file.close();
    }),
    { numRuns: 25 },
  );
});
