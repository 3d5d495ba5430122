import { expect, test } from "vitest";
import { dayForm } from "#app/days/plan/choices/day-form.ts";

const form = dayForm({ timeZone: "America/New_York", hatchedOn: "2026-06-27", freeCount: 58 });
const TYPED = {
  processedOn: "2026-09-19",
  startTime: "07:00",
  birdCount: "58",
  cutUpCount: "12",
  peopleCount: "5",
  coneCount: "4",
  tablePlaceCount: "3",
  breakMinutes: "40",
  scaldMethod: "middle",
  withdrawalMethod: "short",
  whichBirds: "as-they-come",
  breakAt: "12:00",
  pinPlaceCount: "2",
  pluckBy: "drum",
  changeWaterBirds: "",
  crew: '[{"personId":3,"name":"Ines","stations":["gut","rinse"]}]',
};

/** Faults by field. */
function faults(change: Partial<Record<keyof typeof TYPED, string>>): Record<string, string> {
  const { error } = form.safeParse({ ...TYPED, ...change });
  return Object.fromEntries((error?.issues ?? []).map(({ path, message }) => [path.join("."), message]));
}

test("what is typed reads into the choices of a day, with its first bird as an instant", () => {
  expect(form.parse(TYPED)).toEqual({
    processedOn: "2026-09-19",
    startAt: Date.UTC(2026, 8, 19, 11),
    birds: 58,
    cutUp: 12,
    people: 5,
    cones: 4,
    tablePlaces: 3,
    breakMinutes: 40,
    scaldMethod: "middle",
    withdrawalMethod: "short",
    whichBirds: "as-they-come",
    breakAtMinute: 720,
    pinPlaces: 2,
    keepsGiblets: false,
    keepsFeet: false,
    packsSameDay: false,
    isRainExpected: false,
    pluckBy: "drum",
    changeWaterBirds: undefined,
    brineFraction: undefined,
    crew: [{ personId: 3, name: "Ines", stations: ["gut", "rinse"] }],
  });
});

test.each([
  [{ birdCount: "59" }, { birdCount: "Only 58 left alive and not scheduled for another day" }],
  [{ birdCount: "10", cutUpCount: "11" }, { cutUpCount: "Only 10 birds to cut up" }],
  [{ processedOn: "2026-06-26" }, { processedOn: "They hatch on 2026-06-27; choose a later date" }],
  [
    { processedOn: "2027-03-14", startTime: "02:30" },
    { startTime: "The clocks change that night, and 02:30 does not exist. Choose 03:00 or later" },
  ],
  [{ scaldMethod: "boiling" }, { scaldMethod: "Choose how you scald" }],
  [{ peopleCount: "0" }, { peopleCount: "Enter at least 1" }],
])("%j is answered beside its field", (change, expected) => {
  expect(faults(change)).toEqual(expected);
});

test("several faults are all said at once, each under its own field", () => {
  expect(Object.keys(faults({ birdCount: "some", coneCount: "", startTime: "soon" }))).toEqual([
    "startTime",
    "birdCount",
    "coneCount",
  ]);
});
