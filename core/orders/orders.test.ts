import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { fillOrders, type WantedLine } from "#core/orders/fill-orders.ts";
import { type Ask, matchByPriority } from "#core/orders/match-by-priority.ts";
import { wantedOn } from "#core/orders/order-dates.ts";
import { seededRandom } from "#core/quantity/seeded-random.ts";

const sum = (numbers: readonly number[]) => numbers.reduce((all, one) => all + one, 0);

/** The most that can be given to all of these together, by trying every way: for a handful of things. */
function mostGiven(asks: readonly Ask[], supply: readonly number[]): number {
  const [first, ...rest] = asks;
  if (!first) return 0;
  const [one, ...others] = first.classes;
  if (one === undefined || first.count === 0) return mostGiven(rest, supply);
  const most = Math.min(first.count, supply[one]!);
  return Math.max(
    ...Array.from(
      { length: most + 1 },
      (_, taken) =>
        taken +
        mostGiven(
          [{ count: first.count - taken, classes: others }, ...rest],
          supply.with(one, supply[one]! - taken),
        ),
    ),
  );
}

describe("what is handed out by priority", () => {
  test("nobody who stands before gets less than could be given, and nothing is given twice", () => {
    const asks = fc.array(
      fc.record({ count: fc.nat(4), classes: fc.uniqueArray(fc.nat(2), { maxLength: 3 }) }),
      { maxLength: 4 },
    );
    const supply = fc.array(fc.nat(4), { minLength: 3, maxLength: 3 });
    fc.assert(
      fc.property(asks, supply, (all, things) => {
        const given = matchByPriority(all, things);
        for (const [one, count] of things.entries())
          expect(sum(given.map((of) => of[one]!))).toBeLessThanOrEqual(count);
        let before = 0;
        for (const [index, ask] of all.entries()) {
          const got = sum(given[index]!);
          expect(got).toBeLessThanOrEqual(ask.count);
          for (const [one, count] of given[index]!.entries())
            if (count > 0) expect(ask.classes).toContain(one);
          // Whoever stands first gets as much as can be given at all, and so on.
          const most = mostGiven(all.slice(0, index + 1), things);
          expect(before + got).toBe(most);
          before = most;
        }
      }),
    );
  });
});

const LB = 0.45359237;
const line = (key: string, packs: number, more: Partial<WantedLine> = {}): WantedLine => ({
  key,
  productId: 1,
  packs,
  leastKilograms: undefined,
  mostKilograms: undefined,
  wantedOn: "2026-09-25",
  ...more,
});
const birds = (pounds: readonly number[]) =>
  pounds.map((weight, index) => ({ id: index + 1, productId: 1, kilograms: weight * LB }));
describe("orders are filled", () => {
  test("from the freezer, by who wants it first, and sizes are exchanged where that helps another", () => {
    // The gate takes any bird; the inn, a day later, only 4 to 5 lb. Of 3.5, 4.2 and 4.8 lb the gate is given the smallest.
    const [gate, inn] = fillOrders(
      [
        line("gate", 1, { wantedOn: "2026-09-20" }),
        line("inn", 2, { leastKilograms: 4 * LB, mostKilograms: 5 * LB }),
      ],
      birds([4.2, 3.5, 4.8]),
      [],
      seededRandom(7),
    );
    expect(gate).toMatchObject({ packIds: [2], missing: 0, shortfall: undefined, chance: undefined });
    expect(inn).toMatchObject({ packIds: [1, 3], missing: 0 });
  });

  test("with a bird of just the size that was asked for", () => {
    const asked = line("inn", 2, { leastKilograms: 4 * LB, mostKilograms: 5 * LB });
    // 1,814,369 mg are 4 lb, rounded; 4.99 lb is inside and 5.01 lb is not.
    const stock = [
      { id: 1, productId: 1, kilograms: 1.814369 },
      { id: 2, productId: 1, kilograms: 5.01 * LB },
      { id: 3, productId: 1, kilograms: 4.99 * LB },
    ];
    expect(fillOrders([asked], stock, [], seededRandom(7))[0]!.packIds).toEqual([1, 3]);
  });

  test("or say why not: none made, wrong size, too late, too few", () => {
    const why = (...given: Parameters<typeof fillOrders>) => fillOrders(...given)[0]!.shortfall;
    const coming = { dayId: 3, productId: 1, packs: 5, spread: undefined, meanSdLn: 0 };
    expect(why([line("a", 1)], [], [], seededRandom(7))).toEqual({ why: "none-made" });
    expect(why([line("a", 2, { leastKilograms: 5 * LB })], birds([4, 4.1]), [], seededRandom(7))).toEqual({
      why: "wrong-size",
    });
    expect(why([line("a", 2)], birds([4]), [{ ...coming, readyOn: "2026-09-26" }], seededRandom(7))).toEqual({
      why: "too-late",
      readyOn: "2026-09-26",
    });
    expect(why([line("a", 9)], birds([4]), [{ ...coming, readyOn: "2026-09-20" }], seededRandom(7))).toEqual({
      why: "too-few",
    });
  });

  test("too few of a size that others ahead were given are too few, and not of the wrong size", () => {
    const size = { leastKilograms: 4 * LB, mostKilograms: 5 * LB };
    const [first, second] = fillOrders(
      [line("first", 3, size), line("second", 2, size)],
      birds([4.2, 4.4, 4.6, 3]),
      [],
      seededRandom(7),
    );
    expect([first!.missing, second!.missing]).toEqual([0, 2]);
    expect(second!.shortfall).toEqual({ why: "too-few" });
  });

  test("all there is goes to whoever asks for all, once those before are served", () => {
    const [some, all] = fillOrders(
      [
        line("all", Number.POSITIVE_INFINITY, { wantedOn: "2026-09-30" }),
        line("some", 1, { wantedOn: "2026-09-20" }),
      ],
      birds([4, 4, 4]),
      [],
      seededRandom(7),
    ).toReversed();
    expect([some!.packIds.length, all!.packIds.length, all!.missing]).toEqual([1, 2, 0]);
  });

  test("from a day to come, with the chance that its birds are of the size", () => {
    // 20 birds of 4.5 lb, 0.5 lb about it: 68.3 % lie within 4 and 5 lb, so 13.65 are expected; 12 or more in about 6 of 7 flocks.
    const day = {
      dayId: 3,
      productId: 1,
      readyOn: "2026-09-20",
      packs: 20,
      spread: { sexes: [{ share: 1, mean: 4.5 * LB, sd: 0.5 * LB }] },
      meanSdLn: 0,
    };
    const asked = (packs: number) =>
      fillOrders(
        [line("inn", packs, { leastKilograms: 4 * LB, mostKilograms: 5 * LB })],
        [],
        [day],
        seededRandom(7),
      )[0]!;
    const twelve = asked(12);
    expect(twelve.coming).toEqual([{ dayId: 3, readyOn: "2026-09-20", packs: 12 }]);
    // Binomial: P(X >= 12 of 20 at 0.683) = 0.85.
    expect(twelve.chance).toBeGreaterThan(0.72);
    expect(twelve.chance).toBeLessThan(0.97);
    expect(asked(18).chance).toBeLessThan(0.15);
    expect(asked(18).coming[0]!.packs).toBeGreaterThanOrEqual(13);
    expect(asked(18).coming[0]!.packs).toBeLessThanOrEqual(15);
    // A mean that is not known that well makes a close call less sure, and a hopeless one less hopeless.
    const unsure = fillOrders(
      [line("inn", 12, { leastKilograms: 4 * LB, mostKilograms: 5 * LB })],
      [],
      [{ ...day, meanSdLn: 0.15 }],
      seededRandom(7),
    )[0]!;
    expect(unsure.chance).toBeLessThan(twelve.chance!);
  });
});

describe("a standing order", () => {
  const dates = (
    firstOn: string,
    rhythm: Parameters<typeof wantedOn>[0]["rhythm"],
    upTo: string,
    until?: string,
  ) => wantedOn({ firstOn, rhythm, until }, upTo);

  test("keeps its day of the month, comes by the week or two, and ends", () => {
    expect(dates("2026-01-31", "month", "2026-04-30")).toEqual([
      "2026-01-31",
      "2026-02-28",
      "2026-03-31",
      "2026-04-30",
    ]);
    expect(dates("2026-09-04", "two-weeks", "2026-10-02")).toEqual([
      "2026-09-04",
      "2026-09-18",
      "2026-10-02",
    ]);
    expect(dates("2026-09-04", "week", "2026-12-31", "2026-09-11")).toEqual(["2026-09-04", "2026-09-11"]);
    expect(dates("2026-09-04", "once", "2026-12-31")).toEqual(["2026-09-04"]);
    expect(dates("2026-09-04", "once", "2026-09-03")).toEqual([]);
    // A weekly order is still there after twenty years: 7,305 days are 1,043 weeks.
    expect(dates("2006-09-04", "week", "2026-09-04")).toHaveLength(1044);
  });
});
