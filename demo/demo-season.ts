import { addDays } from "#core/calendar/local-day.ts";
import { milligramsFromPounds } from "#core/quantity/conversion.ts";
import type { FarmFile } from "#db/farm-file.server.ts";
import { type entryMaker, must } from "#demo/demo-file.ts";

type MakeEntry = ReturnType<typeof entryMaker>;

const [MONDAY, TUESDAY, WEDNESDAY, THURSDAY, FRIDAY, SATURDAY, SUNDAY] = [1, 2, 4, 8, 16, 32, 64];
const centsPerKilogram = (centsPerPound: number) => Math.round(centsPerPound / 0.45359237);

const ANY = {
  usesKnives: true,
  scalds: true,
  lifts: true,
  bornYear: undefined,
  besideAdult: [],
  fromMinute: undefined,
  toMinute: undefined,
} as const;
/** Kept in stock: kind, name, pack, its price in cents, what there is, and for bags the heaviest bird. Short of ice and of bags. */
const SUPPLIES = [
  ["ice", "Ice, 20 lb bags", 1, 450, 2, undefined],
  ["bag", "Poultry bags, small", 50, 1150, 14, milligramsFromPounds(4.25)],
  ["bag", "Poultry bags, large", 50, 1400, 22, milligramsFromPounds(6.5)],
  ["tie", "Clip ties", 100, 480, 140, undefined],
  ["tube", "Vent tubes", 6, 300, 6, undefined],
  ["label", "Labels", 250, 1900, 180, undefined],
  ["vacuum_bag", "Vacuum bags", 100, 1600, 55, undefined],
  ["bleach", "Plain bleach", 1890, 320, 1200, undefined],
  ["glove", "Gloves", 50, 1450, 31, undefined],
  ["towel", "Paper towels", 6, 840, 4, undefined],
  ["bin_bag", "Trash bags", 40, 1100, 18, undefined],
] as const;

const PEOPLE = [
  ["Maren", FRIDAY | SATURDAY, 110, ANY],
  ["Tobias", WEDNESDAY | SATURDAY, 100, ANY],
  ["Ines", SATURDAY, 100, ANY],
  ["Juno", FRIDAY | SATURDAY | SUNDAY, 80, { ...ANY, bornYear: 2007 }],
  ["Oskar", SATURDAY | SUNDAY, 50, { ...ANY, usesKnives: false, scalds: false, bornYear: 2011 }],
  [
    "Pell",
    MONDAY | TUESDAY | WEDNESDAY | THURSDAY | FRIDAY | SATURDAY,
    60,
    { ...ANY, lifts: false, fromMinute: 13 * 60 },
  ],
] as const;

/** People, prices, rules, bookings and days that are out, as they stood on the morning of the demo. */
export function makeDemoSeason(file: FarmFile, entry: MakeEntry): void {
  addPeople(file, entry);
  saveSeason(file);
  addSupplies(file, entry);
  addSizes(file, entry);
  addDates(file, entry);
}

function addPeople(file: FarmFile, entry: MakeEntry): void {
  for (const [name, weekdayMask, handsPercent, able] of PEOPLE)
    must(file.people.addPerson(entry("2026-04-02"), { name, weekdayMask, handsPercent, ...able }));
  const person = (name: string) => file.people.people().find((one) => one.name === name)!.id;
  const away = [
    ["Ines", "2026-09-26", "her sister's wedding"],
    ["Tobias", "2026-11-07", "in the woods, the whole weekend"],
    ["Juno", "2026-10-16", "exam"],
  ] as const;
  for (const [name, onDay, why] of away)
    must(file.people.sayDay(entry("2026-09-01"), { personId: person(name), onDay, canCome: false, why }));
}

/** What the season earns, what it may cost, and the rules it keeps. */
function saveSeason(file: FarmFile): void {
  file.season.saveSetting(
    {
      wholeCentsPerKilogram: centsPerKilogram(525),
      cutCentsPerKilogram: centsPerKilogram(690),
      oddSizeOffPercent: 15,
      leavingAWeekCount: undefined,
      longestLineMinutes: 300,
      leastBirdsCount: 8,
      restDaysCount: undefined,
      yearlyCapCount: 1000,
      hiredThing: "Drum plucker",
      hireCents: 3500,
      mustBeBooked: true,
      everyonePlacedCents: 1500,
      latestAgeCents: 500,
      crewCents: undefined,
      leastBirdsCents: 400,
      restRoomCents: 60,
      freezerRoomCents: 20,
      yearlyCapCents: undefined,
    },
    0,
  );
}

function addSupplies(file: FarmFile, entry: MakeEntry): void {
  for (const [kind, name, packAmount, packCents, inStock, mostMilligrams] of SUPPLIES) {
    const supply = { kind, name, packAmount, packCents, mostMilligrams };
    must(file.supplying.addSupply(entry("2026-09-14"), supply, "2026-09-14", inStock));
  }
}

function addSizes(file: FarmFile, entry: MakeEntry): void {
  const sizes = [
    ["the inn", 2.75, 3.75, 20],
    ["the gate", 3.75, 5.5, 60],
  ] as const;
  for (const [who, least, most, birdCount] of sizes)
    must(
      file.season.addSize(entry("2026-04-02"), {
        who,
        leastMilligrams: milligramsFromPounds(least),
        mostMilligrams: milligramsFromPounds(most),
        birdCount,
      }),
    );
}

/** Days on which the plucker is booked, days that are given to other things, and the weather. */
function addDates(file: FarmFile, entry: MakeEntry): void {
  for (const day of ["2026-09-19", "2026-10-03", "2026-10-17", "2026-10-31", "2026-11-14", "2026-11-21"])
    must(file.season.addBooking(entry("2026-08-20"), { thing: "Drum plucker", fromOn: day, toOn: day }));
  const marks = [
    ["2026-10-10", "out", "Harvest market, all day"],
    ["2026-11-26", "out", "Holiday, the house is full"],
    ["2026-09-26", "market", "Gate day"],
    ["2026-10-24", "market", "Gate day"],
    ["2026-11-21", "market", "Gate day"],
  ] as const;
  for (const [day, kind, what] of marks)
    must(
      file.season.addMark(entry("2026-08-20"), { fromOn: day, toOn: day, kind, what, priceCents: undefined }),
    );
  const spells = [
    ["2026-07-12", 5, 28.5, "heat wave"],
    ["2026-10-04", 3, 3, "first cold nights"],
  ] as const;
  for (const [fromOn, days, celsius, what] of spells)
    must(
      file.season.addSpell(entry("2026-09-16"), {
        fromOn,
        toOn: addDays(fromOn, days - 1),
        meanMillicelsius: celsius * 1000,
        what,
      }),
    );
}
