import { expect, test } from "vitest";
import { dayFields, dayForm } from "#app/days/plan/choices/day-form.ts";

const RED = {
  batchId: 1,
  batchName: "Red 26-B",
  kind: "slow",
  hatchedOn: "2026-06-27",
  freeCount: 58,
  pens: [
    { name: "hill", birds: 30 },
    { name: "east", birds: 28 },
    { name: "barn", birds: 0 },
  ],
} as const;
const ROOSTERS = { ...RED, batchId: 2, batchName: "Roosters", hatchedOn: "2026-05-30", freeCount: 2 };
const form = dayForm({ timeZone: "America/New_York", unitSystem: "us", lots: [RED, ROOSTERS] });
const LOT = {
  batchId: "1",
  birdCount: "58",
  cutUpCount: "12",
  scaldMethod: "middle",
  withdrawalMethod: "short",
  whichBirds: "as-they-come",
};
const TYPED = {
  processedOn: "2026-09-19",
  startTime: "07:00",
  lots: [LOT],
  peopleCount: "5",
  coneCount: "4",
  tablePlaceCount: "3",
  breakMinutes: "40",
  breakAt: "12:00",
  pinPlaceCount: "2",
  pluckBy: "drum",
  changeWaterBirds: "",
  crew: '[{"personId":3,"name":"Ines","stations":["gut","rinse"]}]',
};

/** The day's lots, each changed in something. */
function lots(...changes: Record<string, string>[]) {
  return { lots: changes.map((change) => ({ ...LOT, ...change })) };
}

/** Faults by field. */
function faults(change: Record<string, unknown>): Record<string, string> {
  const { error } = form.safeParse({ ...TYPED, ...change });
  return Object.fromEntries((error?.issues ?? []).map(({ path, message }) => [path.join("."), message]));
}

test("what is typed reads into the choices of a day, with its first bird as an instant", () => {
  expect(form.parse(TYPED)).toEqual({
    processedOn: "2026-09-19",
    startAt: Date.UTC(2026, 8, 19, 11),
    lots: [
      {
        batchId: 1,
        birds: 58,
        cutUp: 12,
        scaldMethod: "middle",
        scaldCelsius: undefined,
        withdrawalMethod: "short",
        whichBirds: "as-they-come",
        keepsGiblets: false,
        keepsFeet: false,
        ownerId: undefined,
        pens: [],
      },
    ],
    people: 5,
    cones: 4,
    tablePlaces: 3,
    breakMinutes: 40,
    breakAtMinute: 720,
    pinPlaces: 2,
    packsSameDay: false,
    isRainExpected: false,
    rinsesFirst: false,
    coolsAfter: false,
    pluckBy: "drum",
    changeWaterBirds: undefined,
    brineFraction: undefined,
    crew: [{ personId: 3, name: "Ines", stations: ["gut", "rinse"] }],
  });
});

test.each([
  [lots({ birdCount: "59" }), { "lots.0.birdCount": "Only 58 left alive and not scheduled for another day" }],
  [lots({ birdCount: "0" }), { "lots.0.birdCount": "Enter at least 1" }],
  [lots({ birdCount: "10", cutUpCount: "11" }), { "lots.0.cutUpCount": "Only 10 birds to cut up" }],
  [
    lots({}, { batchId: "2", birdCount: "3", cutUpCount: "0" }),
    { "lots.1.birdCount": "Only 2 left alive and not scheduled for another day" },
  ],
  [
    lots({ scaldBath: "155 °F" }),
    {
      "lots.0.scaldBath": "That bath cooks the skin of these birds whatever the time. Choose a cooler one",
    },
  ],
  [
    lots({ batchId: "9", birdCount: "1", cutUpCount: "0" }),
    { "lots.0.birdCount": "This batch is no longer part of the day. Reload the page" },
  ],
  [{ lots: [] }, { lots: "A day needs birds of at least one batch" }],
  [{ processedOn: "2026-06-26" }, { processedOn: "They hatch on 2026-06-27; choose a later date" }],
  [
    { processedOn: "2027-03-14", startTime: "02:30" },
    { startTime: "The clocks change that night, and 02:30 does not exist. Choose 03:00 or later" },
  ],
  [lots({ scaldMethod: "boiling" }), { "lots.0.scaldMethod": "Choose how you scald" }],
  [{ peopleCount: "0" }, { peopleCount: "Enter at least 1" }],
])("%j is answered beside its field", (change, expected) => {
  expect(faults(change)).toEqual(expected);
});

test("a lot comes from the pens that are ticked, where enough birds stand", () => {
  const pensOf = (...ticked: [string, string][]) =>
    form.parse({ ...TYPED, ...lots(Object.fromEntries(ticked)) }).lots[0]!.pens;
  expect(pensOf(["pen0", "hill"], ["pen1", "east"])).toEqual(["hill", "east"]);
  expect(faults(lots({ pen1: "east" }))).toEqual({
    "lots.0.pen0": "Only 28 birds there. Tick another pen, or none",
  });
  const row = {
    ...form.parse({ ...TYPED, ...lots({ pen2: "barn", pen1: "east", birdCount: "20" }) }),
    crew: [],
  };
  const { "lots[0].pen0": first, "lots[0].pen1": second } = dayFields(row, {
    timeZone: "America/New_York",
    unitSystem: "us",
  });
  expect([first, second]).toEqual(["east", "barn"]);
});

test("several faults are all said at once, each under its own field", () => {
  expect(Object.keys(faults({ ...lots({ birdCount: "some" }), coneCount: "", startTime: "soon" }))).toEqual([
    "startTime",
    "lots.0.birdCount",
    "coneCount",
  ]);
});
