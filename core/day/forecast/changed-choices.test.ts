import fc from "fast-check";
import { expect, test } from "vitest";
import { crewOf, mayWorkAt } from "#core/day/crew/crew.ts";
import { birdsThatIceChills } from "#core/day/forecast/birds-that-ice-chills.ts";
import { birdsAfter, changedChoices, firstBirds, noChange } from "#core/day/forecast/changed-choices.ts";
import { BASIS, CHOICES, helper, LOT } from "#core/day/plan/days-of-tests.ts";
import { planForDate } from "#core/day/plan/plan-for-date.ts";
import type { DayChoices } from "#core/day/plan/plan-input.ts";
import { birdsOf, PLUCK_BY } from "#core/processing-line/line-day.ts";

const DATE = "2026-09-19";
const HELPERS = [
  helper(1, { name: "Tobias" }),
  helper(2, { name: "Maren" }),
  helper(3, { name: "Juno", bornYear: 2014 }),
  helper(4, { name: "Pell", usesKnives: false }),
];
const FARM = { helpers: HELPERS, year: 2026 };
const DAY: DayChoices = {
  ...CHOICES,
  lots: [
    { ...LOT, batchId: 1, birds: 20, cutUp: 6 },
    { ...LOT, batchId: 2, birds: 15, cutUp: 0 },
  ],
  startAt: Date.parse("2026-09-19T11:00:00Z"),
  people: 3,
  crew: [
    { personId: 1, name: "Tobias", stations: ["cones", "scald", "pluck"] },
    { personId: 2, name: "Maren", stations: ["gut", "rinse", "giblets", "feet"] },
    { personId: 3, name: "Juno", stations: ["pins"] },
  ],
};

test("a change that changes nothing leaves the day as it is", () =>
  expect(changedChoices(DAY, noChange(DAY), FARM)).toEqual(DAY));

test("birds are killed in their order, and those left over are all the others", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 35 }), (birds) => {
      const first = firstBirds(DAY.lots, birds);
      const after = birdsAfter(DAY.lots, birds);
      expect(birdsOf({ lots: first })).toBe(birds);
      expect(birdsOf({ lots: first }) + (after.length > 0 ? birdsOf({ lots: after }) : 0)).toBe(35);
      for (const lot of [...first, ...after]) expect(lot.cutUp).toBeLessThanOrEqual(lot.birds);
      const cutUp = (lots: typeof first) => lots.reduce((sum, lot) => sum + lot.cutUp, 0);
      expect(cutUp(first) + cutUp(after)).toBe(6);
    }),
  );
});

test("whoever is left stands only where they may, whatever changes, and no one means no day", () => {
  fc.assert(
    fc.property(
      fc.subarray([0, 1, 2]),
      fc.subarray([4, 99]),
      fc.constantFrom(...PLUCK_BY),
      (missing, coming, pluckBy) => {
        const changed = changedChoices(DAY, { ...noChange(DAY), missing, coming, pluckBy }, FARM);
        const left = 3 - missing.length + (coming.includes(4) ? 1 : 0);
        if (left === 0) {
          expect(changed).toBeUndefined();
          return;
        }
        expect(changed!.people).toBe(left);
        const crew = crewOf(changed!.crew, changed!.people, FARM);
        for (const [seat, { stations }] of changed!.crew.entries()) {
          expect(stations.length).toBeGreaterThan(0);
          expect(mayWorkAt(crew[seat]!.rules)).toEqual(expect.arrayContaining([...stations]));
        }
      },
    ),
  );
});

test("without Maren the others gut, and by hand everyone who may helps to pluck", () => {
  const changed = changedChoices(DAY, { ...noChange(DAY), missing: [1], pluckBy: "hand" }, FARM)!;
  expect(changed.crew[0]).toMatchObject({
    name: "Tobias",
    stations: expect.arrayContaining(["gut", "pluck"]),
  });
  // Juno is eleven: no blade and no machine, whoever is missing.
  expect(changed.crew[1]!.name).toBe("Juno");
  for (const station of ["gut", "pluck"]) expect(changed.crew[1]!.stations).not.toContain(station);
});

const ONE_LOT: DayChoices = { ...DAY, lots: [{ ...LOT, birds: 30 }] };

test("skinned birds need no scald, and nobody skins who uses no knives", () => {
  const crew = [
    { personId: 1, name: "Tobias", stations: ["cones", "scald", "gut"] },
    { personId: 4, name: "Pell", stations: ["pluck", "rinse"] },
  ] as const;
  const basis = { ...BASIS, helpers: HELPERS };
  const plan = (pluckBy: DayChoices["pluckBy"]) =>
    planForDate(basis, DATE, { ...ONE_LOT, people: 2, crew, pluckBy }).plan.line.setup;
  expect(plan("hand").day.people[1]!.stations).toContain("pluck");
  const skinned = plan("skin");
  expect(skinned.day.lots[0]).toMatchObject({ bath: undefined, minutes: { pluck: 5, scald: 0.1 } });
  expect(skinned.faults).toContainEqual(expect.objectContaining({ what: "no-one-at", station: "pluck" }));
});

test("more bags of ice chill more birds, up to all of them", () => {
  const birds = [0, 1, 2, 4, 100].map((bags) => birdsThatIceChills(BASIS, DATE, ONE_LOT, bags));
  expect(birds[0]).toBe(0);
  expect(birds.at(-1)).toBe(30);
  expect(birds).toEqual(birds.toSorted((one, other) => one - other));
  expect(new Set(birds).size).toBeGreaterThan(2);
});
