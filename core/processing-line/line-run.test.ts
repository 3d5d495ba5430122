import fc from "fast-check";
import { expect, test } from "vitest";
import { likelyMinutes } from "#core/processing-line/alternatives/line-whatif.ts";
import { CHILLED, lineContext } from "#core/processing-line/line-context.ts";
import { birdsByLot, flowsWith, type LineDay } from "#core/processing-line/line-day.ts";
import {
  anyLineDay,
  lotOf,
  ORDINARY_DAY,
  ORDINARY_LOT,
  person,
} from "#core/processing-line/line-days-of-tests.ts";
import { playReplication } from "#core/processing-line/line-run.ts";
import { BUFFER_STATIONS, STATION_NUMBER, STATIONS } from "#core/processing-line/line-station.ts";
import { type Happening, readableReplication } from "#core/processing-line/readable-line.ts";

function played(day: LineDay, seed: number, replication: number) {
  const context = lineContext(day, seed);
  const happenings: Happening[] = [];
  const note =
    (what: Happening["what"]) => (minute: number, station: number, person: number, bird: number) => {
      happenings.push({ minute, what, station: STATIONS[station]!, person: day.people[person]!.name, bird });
    };
  const isFinished = playReplication(context, replication, {
    passes: () => undefined,
    begins: note("begins"),
    ends: note("ends"),
  });
  return { happenings, isFinished, state: context.state };
}

test("stations are numbered in the order of their table", () => {
  for (const [index, station] of STATIONS.entries()) expect(STATION_NUMBER[station]).toBe(index);
});

test("the fast line and the readable one agree, event for event, on the same luck", () => {
  fc.assert(
    fc.property(anyLineDay, fc.integer(), fc.integer({ min: 0, max: 5000 }), (day, seed, replication) => {
      const fast = played(day, seed, replication);
      const readable = readableReplication(day, seed, replication);
      expect(fast.happenings).toEqual(readable.happenings);
      expect(fast.isFinished).toBe(readable.isFinished);
    }),
    { numRuns: 150 },
  );
});

const replication = [anyLineDay, fc.integer(), fc.integer({ min: 0, max: 5000 })] as const;

test("every bird ends in the chill tank exactly once, and is worked at each station once", () => {
  fc.assert(
    fc.property(...replication, (day, seed, replication) => {
      const { happenings, state, isFinished } = played(day, seed, replication);
      expect(isFinished).toBe(true);
      const byLot = birdsByLot(day);
      expect(state.counts[CHILLED]).toBe(byLot.length);
      const all = byLot.map((_, bird) => bird);
      expect([...state.chilledBird].sort((one, other) => one - other)).toEqual(all);
      const birdsAt = (station: string) =>
        happenings
          .filter((one) => one.what === "ends" && one.station === station)
          .map(({ bird }) => bird)
          .sort((one, other) => one - other);
      for (const station of ["cones", "feet", "pins", "gut", "rinse"]) expect(birdsAt(station)).toEqual(all);
      expect(birdsAt("giblets")).toEqual(all.filter((bird) => day.lots[byLot[bird]!.lot]!.giblets));
      if (day.packSameDay) {
        expect(birdsAt("cut")).toEqual(all.filter((bird) => byLot[bird]!.isCutUp));
        expect(birdsAt("pack")).toEqual(all.filter((bird) => !byLot[bird]!.isCutUp));
        expect(birdsAt("seal")).toEqual(birdsAt("cut"));
      }
    }),
  );
});

test("nobody is in two places, at a station that is not theirs, at work before they come, or begins in a break", () => {
  fc.assert(
    fc.property(...replication, (day, seed, replication) => {
      const atWork = new Map<string, string>();
      for (const { what, person: name, station, minute } of played(day, seed, replication).happenings) {
        if (what === "ends") {
          expect(atWork.get(name)).toBe(station);
          atWork.delete(name);
          continue;
        }
        expect(atWork.has(name)).toBe(false);
        atWork.set(name, station);
        const one = day.people.find((candidate) => candidate.name === name)!;
        expect(one.stations).toContain(station);
        expect(minute >= one.fromMinute && minute < one.toMinute).toBe(true);
        for (const { fromMinute, minutes } of day.breaks) {
          expect(minute >= fromMinute && minute < fromMinute + minutes).toBe(false);
          if (station === "cones") expect(minute >= fromMinute - 5 && minute < fromMinute).toBe(false);
        }
      }
    }),
    { numRuns: 50 },
  );
});

test("queues, tables and tanks never hold more than they have room for", () => {
  fc.assert(
    fc.property(...replication, (day, seed, replication) => {
      const { mostWaiting } = readableReplication(day, seed, replication);
      for (const station of BUFFER_STATIONS)
        expect(mostWaiting[station]!).toBeLessThanOrEqual(day.kit.buffers[station]);
      const working = new Map<string, number>();
      let inTank = 0;
      const byLot = birdsByLot(day);
      for (const { what, station, bird } of played(day, seed, replication).happenings) {
        working.set(station, (working.get(station) ?? 0) + (what === "begins" ? 1 : -1));
        if (station in day.kit.places)
          expect(working.get(station)!).toBeLessThanOrEqual(day.kit.places[station as "gut"]);
        const { tankShare } = day.lots[byLot[bird]!.lot]!;
        if (what === "ends" && station === "rinse") inTank += tankShare;
        if (what === "begins" && (station === "pack" || station === "cut")) inTank -= tankShare;
        if (day.packSameDay) expect(inTank).toBeLessThanOrEqual(day.kit.tankBirds);
      }
    }),
    { numRuns: 50 },
  );
});

test("two lots of the same kind in a row end when one lot of their sum does", () => {
  const oneLot = anyLineDay.filter(({ lots }) => lots.length === 1 && lots[0]!.birds > 1);
  fc.assert(
    fc.property(oneLot, fc.double({ min: 0, max: 1, noNaN: true }), (day, share) => {
      const lot = { ...day.lots[0]!, cutUp: 0 };
      const first = Math.min(lot.birds - 1, 1 + Math.floor(share * (lot.birds - 1)));
      const lots = [first, lot.birds - first].map((birds) => ({ ...lot, birds }));
      expect(likelyMinutes({ ...day, lots }, 5, 8)).toBe(likelyMinutes({ ...day, lots: [lot] }, 5, 8));
    }),
    { numRuns: 100 },
  );
});

test("the scald takes no bird before all of the lots that do not flow with its own, and a load holds birds scalded alike", () => {
  fc.assert(
    fc.property(...replication, (day, seed, replication) => {
      const flows = flowsWith(day);
      const byLot = birdsByLot(day);
      const scalded = played(day, seed, replication)
        .happenings.filter(({ what, station }) => what === "begins" && station === "scald")
        .map(({ minute, bird }) => ({ minute, flow: flows[byLot[bird]!.lot]! }));
      const inOrder = scalded.map(({ flow }) => flow);
      expect(inOrder).toEqual(inOrder.toSorted((one, other) => one - other));
      for (const { minute, flow } of scalded)
        expect(scalded.filter((one) => one.minute === minute).every((one) => one.flow === flow)).toBe(true);
    }),
    { numRuns: 50 },
  );
});

test("a hotter lot waits for the water as long as it is said to, and heats once", () => {
  const cold = lotOf({ birds: 10 });
  const day = (settingMinutes: number): LineDay => ({
    ...ORDINARY_DAY,
    breaks: [],
    lots: [cold, lotOf({ birds: 10, settingMinutes })],
  });
  const scalds = (settingMinutes: number) => {
    const { happenings } = played(day(settingMinutes), 1, 0);
    const ends = happenings.filter(({ what, station }) => what === "ends" && station === "scald");
    const begins = happenings.filter(({ what, station }) => what === "begins" && station === "scald");
    return begins[10]!.minute - ends[9]!.minute;
  };
  expect(scalds(30)).toBeCloseTo(30, 9);
  expect(scalds(0)).toBeLessThan(5);
});

/**
 * People choose greedily, as people do, so a place more can, on some random draws, cost minutes: the worst of 400 days was 5 % of
 * the line's time, for a second place at the pins. A day looked for on purpose, of two people, came to 7 %,
 * and one of several lots, among 240 more, to 9 %; the days below are always the same.
 */
const GREEDY_TOLERANCE = 0.08;

test("another person, cone, place or a larger tank never finishes later at even chance, within 8 %", {
  timeout: 60_000,
}, () => {
  const kit = (change: (kit: LineDay["kit"]) => Partial<LineDay["kit"]>) => (day: LineDay) => ({
    ...day,
    kit: { ...day.kit, ...change(day.kit) },
  });
  const place = (station: keyof LineDay["kit"]["places"]) =>
    kit(({ places }) => ({ places: { ...places, [station]: places[station] + 1 } }));
  const changes: [(day: LineDay) => LineDay, number][] = [
    [(day) => ({ ...day, people: [...day.people, person("one more", STATIONS)] }), 0.03],
    [kit(({ cones }) => ({ cones: cones + 1 })), GREEDY_TOLERANCE],
    [place("pins"), GREEDY_TOLERANCE],
    [place("gut"), GREEDY_TOLERANCE],
    [place("rinse"), GREEDY_TOLERANCE],
    [kit(({ tankBirds }) => ({ tankBirds: tankBirds + 10 })), GREEDY_TOLERANCE],
  ];
  const line = (day: LineDay) => likelyMinutes(day, 3, 40) - day.cleanUpMinutes;
  for (const day of fc.sample(anyLineDay, { numRuns: 24, seed: 2026 })) {
    const now = line(day);
    for (const [change, tolerance] of changes)
      expect(line(change(day))).toBeLessThanOrEqual(now * (1 + tolerance));
  }
});

test("one bird and one person work, also plucked by hand, and a day that nobody can finish says so", () => {
  const alone: LineDay = {
    ...ORDINARY_DAY,
    lots: [lotOf({ birds: 1 })],
    people: [person("Maren", STATIONS)],
  };
  expect(played(alone, 1, 0).isFinished).toBe(true);
  const byHand: LineDay = {
    ...alone,
    pluckBy: "hand",
    lots: [lotOf({ birds: 1, minutes: { ...ORDINARY_LOT.minutes, pluck: 8 } })],
  };
  const { happenings } = played(byHand, 1, 0);
  const [begins, ends] = happenings.filter(({ station }) => station === "pluck");
  expect(ends!.minute - begins!.minute).toBeGreaterThan(5);
  const nobodyGuts: LineDay = {
    ...ORDINARY_DAY,
    people: [person("Oskar", ["cones", "scald", "pluck", "feet", "pins"])],
  };
  const stuck = played(nobodyGuts, 1, 0);
  expect(stuck.isFinished).toBe(false);
  expect(stuck.state.counts[CHILLED]).toBe(0);
  expect(() => lineContext({ ...ORDINARY_DAY, lots: [lotOf({ birds: 5000 })] }, 1)).toThrow(
    "birds must be 1 to 2000, got 5000",
  );
  expect(() => lineContext({ ...ORDINARY_DAY, people: [] }, 1)).toThrow("people must be 1 to 24, got 0");
});
