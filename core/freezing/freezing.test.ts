import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { HOUR } from "#core/calendar/milliseconds.ts";
import { freezeLoad, warmingOfFrozen } from "#core/freezing/freeze-load.ts";
import { fittingInLayer, freezeAdvice, freezePlan } from "#core/freezing/freeze-plan.ts";
import { freezeHours } from "#core/freezing/freeze-reckoning.ts";

const BIRD = { kilograms: 2.2, shape: "sphere", halfThicknessMeters: 0.065 } as const;
const CHEST = { airCelsius: -18, spareWatts: 90, air: "still" } as const;
const birds = (count: number) =>
  Array.from({ length: count }, (_, index) => ({ id: index + 1, ...BIRD, spaces: 1 }));
const chest = (id: number, change = {}) => ({ id, ...CHEST, room: 40, frozenKilograms: 40, ...change });
const start = { startAt: 0, nights: 1, startCelsius: 3 };

test("the thickest pack decides where the freezer is strong, and the watts where it is not", () => {
  const flat = { kilograms: 0.5, shape: "slab", halfThicknessMeters: 0.018 } as const;
  const strong = freezeLoad([BIRD, flat], { ...CHEST, spareWatts: 2000 }, 3);
  expect(strong).toMatchObject({ possible: true, limitedBy: "meat" });
  expect(strong.possible && strong.meatHours).toBe(
    (freezeLoad([BIRD], { ...CHEST, spareWatts: 2000 }, 3) as { meatHours: number }).meatHours,
  );
  expect(freezeLoad(birds(31), CHEST, 3)).toMatchObject({ possible: true, limitedBy: "freezer" });
  expect(freezeLoad(birds(1), { ...CHEST, spareWatts: 0 }, 3)).toMatchObject({ reason: "no-watts" });
  expect(freezeLoad(birds(1), { ...CHEST, airCelsius: -10 }, 3)).toMatchObject({ reason: "air-too-warm" });
  expect(freezeLoad(birds(1), CHEST, -12)).toMatchObject({ possible: true, hours: 0 });
});

test("a plan puts each pack in one freezer or leaves it over, and no freezer is filled past its room", () => {
  const count = fc.integer({ min: 1, max: 60 });
  fc.assert(
    fc.property(
      count,
      fc.integer({ min: 0, max: 40 }),
      fc.integer({ min: 1, max: 4 }),
      (packs, room, nights) => {
        const freezers = [chest(1, { room }), chest(2, { room: 10, spareWatts: 60 })];
        const plan = freezePlan(birds(packs), freezers, { ...start, nights });
        const placed = plan.loads.flatMap(({ packIds }) => packIds);
        expect([...placed, ...plan.leftOver].toSorted((one, other) => one - other)).toEqual(
          birds(packs).map(({ id }) => id),
        );
        for (const { id, room: spaces } of freezers) {
          const own = plan.loads
            .filter(({ freezerId }) => freezerId === id)
            .flatMap(({ packIds }) => packIds);
          expect(own.length).toBeLessThanOrEqual(spaces);
        }
        expect(plan.hardAt === undefined).toBe(plan.leftOver.length > 0);
      },
    ),
  );
});

describe("advice follows the model", () => {
  test("splitting never makes the last pack hard sooner; a second freezer does where watts limit", () => {
    const [one, two] = [1, 2].map((nights) => freezePlan(birds(31), [chest(1)], { ...start, nights }));
    expect(two!.hardAt!).toBeGreaterThan(one!.hardAt! - 1);
    // Each night's load is cold by its own morning, or nearly.
    expect(two!.loads[0]!.hardAt! / HOUR).toBeLessThan(one!.loads[0]!.hardAt! / HOUR / 1.8);
    expect(freezePlan(birds(31), [chest(1), chest(2)], start).hardAt!).toBeLessThan(one!.hardAt!);
    const advice = freezeAdvice(one!, birds(31), [chest(1)], 3)!;
    expect(advice.secondFreezerHours).toBeLessThan(one!.hardAt! / HOUR);
    expect(advice.movingAirHours).toBeUndefined();
  });

  test("air helps where the meat limits, and a second freezer does not", () => {
    const strong = chest(1, { spareWatts: 2000, air: "stacked" });
    const plan = freezePlan(birds(3), [strong], start);
    const advice = freezeAdvice(plan, birds(3), [strong], 3)!;
    expect(advice.movingAirHours!).toBeLessThan(advice.oneLayerHours!);
    expect(advice.secondFreezerHours).toBeUndefined();
  });

  test("what lies there warms only if the load gives off more than the freezer takes", () => {
    const big = freezeLoad(birds(31), CHEST, 3);
    expect(warmingOfFrozen(big, CHEST, 40)).toBeGreaterThan(0);
    expect(warmingOfFrozen(big, CHEST, 2000)).toBeLessThan(warmingOfFrozen(big, CHEST, 40));
    expect(warmingOfFrozen(freezeLoad(birds(2), CHEST, 3), CHEST, 40)).toBe(0);
    expect(warmingOfFrozen(big, CHEST, 0)).toBe(0);
  });
});

test("one layer holds what its area does, and what goes beyond it is counted as stacked", () => {
  // 2.2 kg over 1050 kg/m³ and 0.13 m thick covers 0.01612 m²; 0.5 m² at 0.7 take 0.35: 21 birds.
  expect(fittingInLayer(birds(31), 0.5)).toBe(21);
  expect(fittingInLayer(birds(31), undefined)).toBe(31);
  const roomy = { spareWatts: 2000, layerSquareMeters: 0.5 };
  const plan = (nights: number) => freezePlan(birds(31), [chest(1, roomy)], { ...start, nights });
  expect(plan(1).loads[0]).toMatchObject({ beyondLayer: 10 });
  expect(plan(2).loads.map(({ beyondLayer }) => beyondLayer)).toEqual([0, 0]);
  const hours = (of: ReturnType<typeof plan>) => of.loads[0]!.load as { meatHours: number };
  expect(hours(plan(1)).meatHours).toBeGreaterThan(hours(plan(2)).meatHours * 1.5);
});

test("hours say by which rule they come about, with the freezer's own numbers told from ours", () => {
  const said = {
    airCelsius: { value: -18, provenance: "farm-setting" },
    spareWatts: { value: 90, provenance: "our-estimate" },
  } as const;
  const hours = (count: number) => freezeHours(birds(count), freezeLoad(birds(count), CHEST, 3), said, 3);
  expect(hours(31)).toMatchObject({ rule: "frozen-by-the-freezer", unit: "hours" });
  const inputs = new Map(
    hours(31)!.inputs.map(({ name, value, provenance }) => [name, { value, provenance }]),
  );
  expect(inputs.get("spare-power-of-the-freezer")).toEqual({ value: 90, provenance: "our-estimate" });
  // Heat over power is the hours.
  expect((inputs.get("heat-to-remove")!.value * 1000) / 90).toBeCloseTo(hours(31)!.value, 9);
  expect(hours(1)).toMatchObject({ rule: "frozen-by-the-meat" });
  expect(
    freezeHours(birds(1), freezeLoad(birds(1), { ...CHEST, spareWatts: 0 }, 3), said, 3),
  ).toBeUndefined();
});
