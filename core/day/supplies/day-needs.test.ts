import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { birdsTooBig, type DayUse, dayNeeds, type Supply } from "#core/day/supplies/day-needs.ts";
import { stockAfter } from "#core/packing/supply-stock.ts";

const USE: DayUse = {
  hypochloriteFraction: { value: 0.06, provenance: "our-estimate" },
  wholeKilograms: [1.5, 1.8, 2.0, 2.2, 2.6],
  cutBirds: 2,
  gibletBirds: 7,
  people: 3,
  lineHours: 4,
  iceBags: 6,
  saltKilograms: 0,
  propaneKilograms: undefined,
  spareShare: 0,
};

const supply = (id: number, change: Partial<Supply>): Supply => ({
  id,
  name: `supply ${id}`,
  kind: "bag",
  mostKilograms: undefined,
  packAmount: 10,
  packCents: 500,
  inStock: 0,
  ...change,
});
const small = supply(1, { mostKilograms: 2, inStock: 1 });
const large = supply(2, { mostKilograms: 2.5, inStock: 20 });
const amounts = (use: DayUse, supplies: readonly Supply[] = []) =>
  Object.fromEntries(dayNeeds(use, supplies).map(({ kind, amount }) => [kind, amount]));

describe("what a day uses", () => {
  test("by hand: five whole and two cut up, three people, four hours", () => {
    expect(amounts(USE)).toEqual({
      ice: 6,
      bag: 5,
      tie: 5,
      tube: 5,
      // Six for the two cut up, and one of giblets of seven birds.
      vacuum_bag: 7,
      label: 12,
      // 200 ml of water at 100 mg/l a mix would be 1/3 of a ml; twice 20 l take 65 ml.
      bleach: 65,
      glove: 9,
      towel: 1,
      bin_bag: 3,
    });
  });

  test("takes propane for a burner and salt for a brine, in grams", () => {
    expect(amounts({ ...USE, propaneKilograms: 1.2345, saltKilograms: 0.75 })).toMatchObject({
      propane: 1235,
      salt: 750,
    });
  });

  test("puts each bird into the smallest bag that holds it, and says which are too big for all", () => {
    const needs = dayNeeds(USE, [large, small]).filter(({ kind }) => kind === "bag");
    expect(
      needs.map(({ supply: of, amount, short, packs, cents }) => [of?.id, amount, short, packs, cents]),
    ).toEqual([
      [1, 3, 2, 1, 500],
      [2, 2, 0, 0, 0],
    ]);
    expect(birdsTooBig(USE, [small, large])).toBe(1);
    expect(birdsTooBig(USE, [])).toBe(0);
  });

  test("has one row for what the farm keeps no count of, and none short where nobody counted", () => {
    const [tie] = dayNeeds(USE, [supply(3, { kind: "tie", inStock: undefined })]).filter(
      ({ kind }) => kind === "tie",
    );
    expect(tie).toMatchObject({ amount: 5, short: undefined, packs: 0, cents: 0 });
    expect(dayNeeds(USE, []).every(({ supply: of, short }) => of === undefined && short === undefined)).toBe(
      true,
    );
  });

  test("a stronger bleach, by its label, needs less of it for the same water", () => {
    const bleachOf = (value: number) =>
      amounts({ ...USE, hypochloriteFraction: { value, provenance: "farm-setting" } }).bleach!;
    // By hand: p (1 + 1.4 p) is 0.06504 at 6 % and 0.09203 at 8.25 %.
    expect(bleachOf(0.0825) / bleachOf(0.06)).toBeCloseTo(0.06504 / 0.09203, 2);
  });

  test("uses up one stock before the next, and never loses a piece between them", () => {
    const stock = fc.integer({ min: 0, max: 12 });
    fc.assert(
      fc.property(stock, stock, fc.integer({ min: 1, max: 40 }), (first, second, birds) => {
        const use = { ...USE, wholeKilograms: Array.from({ length: birds }, () => 2) };
        const ties = dayNeeds(use, [
          supply(3, { kind: "tie", inStock: first }),
          supply(4, { kind: "tie", inStock: second, packAmount: 7 }),
        ]).filter(({ kind }) => kind === "tie");
        expect(ties.reduce((sum, { amount }) => sum + amount, 0)).toBe(birds);
        // Each row's sum says what is taken of its own stock.
        for (const { amount, working } of ties) expect(working.value).toBe(amount);
        const short = ties.reduce((sum, need) => sum + (need.short ?? 0), 0);
        expect(short).toBe(Math.max(0, birds - first - second));
        const bought = ties.reduce((sum, { packs }) => sum + packs * 7, 0);
        expect(bought).toBeGreaterThanOrEqual(short);
        expect(bought).toBeLessThan(short + 7);
      }),
    );
  });
});

describe("the stock", () => {
  test("is what was counted last, and what was bought and used since", () => {
    expect(stockAfter([])).toBeUndefined();
    expect(stockAfter([{ kind: "used", amount: 3 }])).toBeUndefined();
    expect(
      stockAfter([
        { kind: "bought", amount: 10 },
        { kind: "used", amount: 4 },
        { kind: "counted", amount: 5 },
        { kind: "bought", amount: 2 },
        { kind: "used", amount: 9 },
      ]),
    ).toBe(0);
  });
});
