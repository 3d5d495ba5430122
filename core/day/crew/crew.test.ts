import { expect, test } from "vitest";
import {
  adultsBeside,
  type CrewSeat,
  crewOf,
  type Helper,
  mayWorkAlone,
  mayWorkAt,
  rulesOf,
  stationsToJoin,
} from "#core/day/crew/crew.ts";
import { helpAt, leaveStation, moveSeat, standFirst } from "#core/day/crew/crew-moves.ts";
import { neededStations } from "#core/processing-line/line-day.ts";
import { NO_RULES } from "#core/safety/person-rules.ts";

const OSKAR: Helper = {
  id: 5,
  name: "Oskar",
  handsPercent: 50,
  usesKnives: false,
  scalds: false,
  lifts: true,
  bornYear: 2011,
  besideAdult: [],
  fromMinute: undefined,
  toMinute: undefined,
};
const PELL: Helper = {
  ...OSKAR,
  id: 6,
  name: "Pell",
  usesKnives: true,
  scalds: true,
  lifts: false,
  bornYear: 1950,
};

test("nobody stands where a rule keeps them from, and who is left with nothing goes where they may", () => {
  const seats: CrewSeat[] = [
    { personId: 5, name: "Oskar", stations: ["gut", "pins"] },
    { personId: 6, name: "Pell", stations: ["cones", "scald", "pluck"] },
  ];
  const [oskar, pell, helper] = crewOf(seats, 3, { helpers: [OSKAR, PELL], year: 2026 });
  expect(oskar!.stations).toEqual(["pins"]);
  expect(pell!.stations).not.toContain("cones");
  expect(pell!.stations.length).toBeGreaterThan(0);
  expect(helper!.name).toBe("Helper 3");
  expect(mayWorkAt(oskar!.rules)).toEqual(["pins", "rinse", "pack", "seal"]);
  expect(mayWorkAt({ ...NO_RULES, age: 15 })).not.toContain("pluck");
  expect(mayWorkAt({ ...NO_RULES, age: 16 })).toContain("pluck");
});

test("who was taken off the list keeps their last rules, and of whom nothing is known is kept from blades, heat, and machines", () => {
  const seats: CrewSeat[] = [{ personId: OSKAR.id, name: "Oskar", stations: ["cones", "scald", "pins"] }];
  const [former] = crewOf(seats, 1, { helpers: [], former: [OSKAR], year: 2026 });
  expect(former!.stations).toEqual(crewOf(seats, 1, { helpers: [OSKAR], year: 2026 })[0]!.stations);
  const [unknown] = crewOf(seats, 1, { helpers: [], year: 2026 });
  expect(unknown!.stations).toEqual(["pins"]);
});

test("a crew of any size without names has somebody at every station", () => {
  const needed = neededStations({ packSameDay: false, lots: [{ giblets: true, cutUp: 0, birds: 10 }] });
  for (let people = 1; people <= 9; people += 1) {
    const manned = new Set(
      crewOf([], people, { helpers: [], year: 2026 }).flatMap(({ stations }) => stations),
    );
    expect(needed.filter((station) => !manned.has(station))).toEqual([]);
  }
});

test("who joins goes where nobody is yet", () => {
  const needed = neededStations({ packSameDay: false, lots: [{ giblets: false, cutUp: 0, birds: 10 }] });
  const seats: CrewSeat[] = [
    { personId: undefined, name: "Maren", stations: ["feet", "pins", "gut", "rinse"] },
  ];
  expect(stationsToJoin(seats, needed, NO_RULES)).toEqual(["cones", "scald", "pluck"]);
  expect(stationsToJoin(seats, needed, { ...NO_RULES, scalds: false })).toEqual(["cones", "pluck"]);
  expect(stationsToJoin(seats, needed, { ...NO_RULES, age: 12 })).toEqual(["rinse", "pins", "pack", "seal"]);
});

test("moving, helping and leaving change one seat and never leave it empty", () => {
  const seats: CrewSeat[] = [
    { personId: undefined, name: "Maren", stations: ["gut", "rinse"] },
    { personId: undefined, name: "Ines", stations: ["pins"] },
  ];
  expect(moveSeat(seats, 0, "gut", "scald")[0]!.stations).toEqual(["scald", "rinse"]);
  expect(moveSeat(seats, 0, "gut", "rinse")[0]!.stations).toEqual(["rinse"]);
  expect(standFirst(seats, 0, "rinse")[0]!.stations).toEqual(["rinse", "gut"]);
  expect(helpAt(seats, 0, "cones")[0]!.stations).toEqual(["gut", "rinse", "cones"]);
  expect(leaveStation(seats, 0, "gut")[0]!.stations).toEqual(["rinse"]);
  expect(leaveStation(seats, 1, "pins")).toEqual(seats);
  expect(moveSeat(seats, 0, "gut", "scald")[1]).toBe(seats[1]);
});

test("who works at a blade by the farm's grant has an adult there for as long, or works elsewhere", () => {
  const young: Helper = { ...OSKAR, besideAdult: ["feet"] };
  const maren: Helper = { ...PELL, id: 1, name: "Maren", bornYear: 1985, lifts: true };
  const seats: CrewSeat[] = [
    { personId: 1, name: "Maren", stations: ["gut"] },
    { personId: 5, name: "Oskar", stations: ["feet", "pins"] },
  ];
  const crew = (adult: Helper) => crewOf(seats, 2, { helpers: [young, adult], year: 2026 });
  const kept = crew(maren);
  expect(kept.map(({ stations }) => stations)).toEqual([
    ["gut", "feet"],
    ["feet", "pins"],
  ]);
  expect(adultsBeside(kept)).toEqual([{ young: "Oskar", station: "feet", adult: "Maren" }]);
  // Gone at noon, without knives, or seventeen: no one is beside him, so he picks pins only.
  for (const change of [{ toMinute: 720 }, { usesKnives: false }, { bornYear: 2009 }]) {
    const alone = crew({ ...maren, ...change });
    expect(alone[1]!.stations).toEqual(["pins"]);
    expect(adultsBeside(alone)).toEqual([]);
  }
  // No one is sent there unasked.
  expect(mayWorkAlone(kept[1]!.rules)).not.toContain("feet");
});

test("a year of birth counts as the younger age", () => {
  expect(rulesOf({ ...OSKAR, bornYear: 2010 }, 2026).age).toBe(15);
});
