import { readFileSync } from "node:fs";
import fc from "fast-check";
import { expect, test } from "vitest";
import { LineFile } from "#app/days/plan/file/line-file.ts";
import { lineDayOfFile, readLineFile } from "#app/days/plan/file/read-line-file.ts";
import { lineFileOf } from "#app/days/plan/file/write-line-file.ts";
import { usualStations } from "#core/day/crew/crew.ts";
import { likelyMinutes } from "#core/processing-line/alternatives/line-whatif.ts";
import { lineContext } from "#core/processing-line/line-context.ts";
import { type LineDay, lineMinutes } from "#core/processing-line/line-day.ts";
import {
  anyLineDay,
  lotOf,
  ORDINARY_DAY,
  ORDINARY_LOT,
  person,
} from "#core/processing-line/line-days-of-tests.ts";
import { playReplication } from "#core/processing-line/line-run.ts";
import { LineTally } from "#core/processing-line/line-tally.ts";

/** What was answered while pins and feet were one station, minutes, 1,000 mornings of seed 1: the file, and usual crews of 1 to 6. */
const FINISH_WITH_BOTH_IN_ONE = 302.84;
const FINISH_OF_USUAL_CREWS = [947.65, 544.75, 442.68, 441.65, 318.38, 273.15];

function dayOf(file: unknown): LineDay {
  const read = lineDayOfFile(LineFile.parse(file));
  if (!("day" in read)) throw new Error(JSON.stringify(read.problems));
  return read.day;
}

test("a day written as a file reads as the same day", () => {
  const day: LineDay = {
    ...ORDINARY_DAY,
    people: [
      { ...person("Tobias", ["cones", "scald", "pluck"]), pace: { cones: 1.2, scald: 1, pluck: 1 } },
      { ...person("Maren", ["gut", "rinse", "giblets", "feet", "pins"]), fromMinute: 30, toMinute: 300 },
    ],
    lots: [
      lotOf({
        minutes: { ...ORDINARY_LOT.minutes, scald: 1.25 },
        waterChangeMinutes: 15,
        bath: { sagPerBird: 0.5, recoveryPerMinute: 0.35, waitBelow: 2, zCelsius: 19 },
      }),
      lotOf({ birds: 12, cutUp: 3, giblets: false, tankShare: 0.75, settingMinutes: 6, restMinutes: 45 }),
    ],
    changeWaterEvery: 20,
  };
  const file = lineFileOf(day, {
    lots: [
      { kind: "slow", liveKilograms: 2.8, scald: "middle" },
      { kind: "mature", liveKilograms: 2.1, scald: "hot" },
    ],
    start: "07:00",
  });
  const people = day.people.map((one) => ({
    ...one,
    pace: Object.fromEntries(one.stations.map((station) => [station, one.pace[station] ?? 1])),
  }));
  const lots = day.lots.map((lot) => ({ ...lot, bath: lot.bath ?? day.lots[0]!.bath }));
  expect(dayOf(JSON.parse(JSON.stringify(file)))).toEqual({ ...day, lots, people });
});

test.each([
  [{ breaks: [{ at: "06:00", minutes: 30 }] }, "06:00 is before the start, 07:00"],
  [
    {
      breaks: [
        { at: "10:00", minutes: 90 },
        { at: "11:00", minutes: 20 },
      ],
    },
    "11:00 is within the previous break",
  ],
  [{ work: { cutUp: 20, packSameDay: true } }, "there are only 12 birds"],
  [{ lots: [{ birds: 6 }, { birds: 5 }] }, "must be 11, as the lots have together, or left out"],
  [{ birds: undefined }, "says how many there are, unless `lots` do"],
  [{ lots: [{ birds: 12, cutUp: 13 }] }, "there are only 12 birds"],
  [{ people: [{ from: "12:00", to: "11:00" }] }, "11:00 is not after they arrive"],
])("%j is named", (change, problem) => {
  const read = lineDayOfFile(LineFile.parse({ birds: 12, people: [{}], kit: { cones: 2 }, ...change }));
  expect("problems" in read ? read.problems.map((one) => one.problem) : []).toContain(problem);
});

test("any day taken along as a file plays the same morning where it is read again", () => {
  const played = (day: LineDay) => {
    const context = lineContext(day, 7);
    const happenings: string[] = [];
    playReplication(context, 3, {
      passes: () => undefined,
      begins: (minute, ...what) => happenings.push(`${minute.toFixed(3)} ${what}`),
      ends: () => undefined,
    });
    return happenings;
  };
  fc.assert(
    fc.property(anyLineDay, fc.constantFrom("05:45", "13:30"), (drawn, start) => {
      // One way of plucking stands for all lots, and a lot that says nothing of its bath has the day's.
      const { bath } = drawn.lots[0]!;
      const day = {
        ...drawn,
        lots: drawn.lots.map((lot) => {
          const keepsFeet = lot.minutes.feet > ORDINARY_LOT.minutes.feet;
          const cutting = { ...CUTTING, sealAtOnce: drawn.kit.sealAtOnce };
          const minutes = lineMinutes({
            dipMinutes: lot.minutes.scald,
            keepsFeet,
            pluckBy: drawn.pluckBy,
            cutting,
          });
          return { ...lot, minutes, packsPerBird: cutting.packsPerBird, bath: lot.bath ?? bath };
        }),
      };
      const lots = day.lots.map(({ tankShare }) => ({
        kind: "fast" as const,
        liveKilograms: 2.6 * tankShare,
        scald: "middle" as const,
      }));
      const cutting = { cutWith: "saw", packs: { breast: 2, leg_quarter: 4, wing: 8 } } as const;
      const text = JSON.stringify(lineFileOf(day, { lots, start, cutting }));
      const read = readLineFile(text);
      if (!("day" in read)) throw new Error(read.problems.join("; "));
      expect(played(read.day)).toEqual(played(day));
    }),
    { numRuns: 60 },
  );
});

/** Two breasts a pack, leg quarters by four, wings by eight. */
const CUTTING = { minutesPerBird: 1.5, packsPerBird: 2 / 2 + 2 / 4 + 2 / 8 } as const;

const SOUND = { birds: 12, people: [{ name: "Maren" }], kit: { cones: 2 } };

test.each([
  [{ birds: 0 }, "birds: must be at least 1"],
  [{ birds: 5000 }, "birds: must be at most 2000"],
  [{ birds: 3.5 }, "birds: must be a whole number"],
  [{ lots: [{ birds: 12 }, { birds: 0 }] }, "lots.1.birds: must be at least 1"],
  [{ lots: [] }, "lots: needs at least one lot"],
  [{ lots: [{ birds: 12, scald: "tepid" }] }, "lots.0.scald: must be one of gentle, middle, hot"],
  [{ kit: { cones: 0 } }, "kit.cones: must be at least 1"],
  [{ kit: { cones: 2, places: { gut: 0 } } }, "kit.places.gut: must be at least 1"],
  [{ kit: { cones: 2, buffers: { pins: 0 } } }, "kit.buffers.pins: must be at least 1"],
  [{ kit: { cones: 2, chairs: 4 } }, "chairs"],
  [{ people: [] }, "people: needs at least one person"],
  [{ people: [{ stations: ["gut", "gut"] }] }, "people.0.stations: names a station twice"],
  [{ people: [{ stations: ["oven"] }] }, "people.0.stations.0: must be one of cones, scald"],
  [{ people: [{ pace: { gut: 0.1 } }] }, "people.0.pace.gut: must be at least 0.3"],
  [{ start: "7" }, "start: must be a time of day such as 07:00"],
  [{ work: { dipSeconds: 1 } }, "work.dipSeconds: must be at least 5"],
  [{ slowSpell: { fromMinute: 0, minutes: 60, factor: 0 } }, "slowSpell.factor: must be at least 0.2"],
  [
    { bath: { sagPerBird: 1, recoveryPerMinute: 0, waitBelow: 2 } },
    "bath.recoveryPerMinute: must be more than 0",
  ],
  [{ kind: "goose" }, "kind: must be one of fast, slow"],
])("a file with %j says so by its field", (change, problem) => {
  const read = readLineFile(JSON.stringify({ ...SOUND, ...change }));
  expect("problems" in read ? read.problems.join("; ") : "it was taken").toContain(problem);
});

test("a file of before the feet were a station of their own stays valid: its pins stand for both", () => {
  const older = readFileSync("commands/fixtures/day-with-pins-and-feet-in-one.json", "utf8");
  const read = readLineFile(older);
  if (!("day" in read)) throw new Error(read.problems.join());
  const { people, kit } = read.day;
  expect(people.map(({ stations }) => stations.filter((one) => one === "feet" || one === "pins"))).toEqual([
    [],
    [],
    [],
    ["feet", "pins"],
    ["feet", "pins"],
  ]);
  expect(people[3]!.pace.feet).toBe(people[3]!.pace.pins);
  expect(kit.places).toMatchObject({ feet: 2, pins: 2 });
  expect(kit.buffers).toMatchObject({ feet: 8, pins: 8 });
  expect(Math.abs(likelyMinutes(read.day, 1, 1000) / FINISH_WITH_BOTH_IN_ONE - 1)).toBeLessThan(0.02);
  for (const [index, before] of FINISH_OF_USUAL_CREWS.entries()) {
    const crew = Array.from({ length: index + 1 }, (_, seat) => usualStations(seat, index + 1));
    const usual = {
      ...read.day,
      people: crew.map((stations, seat) => person(`Helper ${seat + 1}`, stations)),
    };
    expect(Math.abs(likelyMinutes(usual, 1, 1000) / before - 1)).toBeLessThan(0.02);
  }
  // Written again it names both, and reads as the same day.
  const again = readLineFile(
    JSON.stringify(
      lineFileOf(read.day, { lots: [{ kind: "slow", liveKilograms: 3, scald: "middle" }], start: "07:00" }),
    ),
  );
  expect("day" in again && again.day.people.map(({ stations }) => stations)).toEqual(
    people.map(({ stations }) => stations),
  );
});

test("98 birds, all cut with a saw and sealed four at once the same day by five practiced people, take about seven and a half hours", () => {
  const read = readLineFile(
    JSON.stringify({
      birds: 98,
      people: ["Maren", "Tobias", "Ines", "Juno", "Pell"].map((name) => ({ name })),
      kit: { cones: 6, scaldAtOnce: 2, pluckAtOnce: 4, sealAtOnce: 4 },
      work: {
        packSameDay: true,
        cutUp: 98,
        cutWith: "saw",
        packs: { breast: 2, leg_quarter: 2, wing: 12, back: 4 },
      },
    }),
  );
  if (!("day" in read)) throw new Error(read.problems.join("; "));
  const hoursOf = (day: LineDay) => {
    const tally = new LineTally(day, 1);
    tally.play(200);
    return tally.answer().finish!.p50 / 60;
  };
  expect(Math.abs(hoursOf(read.day) - 7.5)).toBeLessThan(1);
  // One pack at a time holds the hands at the sealer.
  expect(hoursOf({ ...read.day, kit: { ...read.day.kit, sealAtOnce: 1 } })).toBeGreaterThanOrEqual(
    hoursOf(read.day),
  );
});
