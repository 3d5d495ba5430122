import { expect, test } from "vitest";
import {
  type Allowed,
  bestCrew,
  type Crew,
  crewProposal,
  withCrew,
} from "#core/processing-line/alternatives/best-crew.ts";
import { bottleneck, likelyMinutes } from "#core/processing-line/alternatives/line-whatif.ts";
import { whatHelps } from "#core/processing-line/alternatives/what-helps.ts";
import { type LineDay, neededStations } from "#core/processing-line/line-day.ts";
import { lotOf, ORDINARY_DAY, person } from "#core/processing-line/line-days-of-tests.ts";
import { isInFront, STATIONS, type Station } from "#core/processing-line/line-station.ts";

function last<Yielded, Returned>(steps: Generator<Yielded, Returned>): Returned {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

/** Every order of preference that plays differently: each subset, and with the front or the back as home. */
function everyOrder(stations: readonly Station[]): Station[][] {
  return Array.from({ length: (1 << stations.length) - 1 }, (_, index) =>
    stations.filter((__, bit) => ((index + 1) >> bit) & 1),
  ).flatMap((subset) => {
    const back = subset.find((station) => !isInFront(station));
    return back === undefined || !subset.some(isInFront)
      ? [subset]
      : [subset, [back, ...subset.filter((station) => station !== back)]];
  });
}

function bestOfAll(day: LineDay, allowed: Allowed): number {
  let best = Infinity;
  const needed = neededStations(day);
  const orders = allowed.map((stations) =>
    everyOrder(needed.filter((station) => stations.includes(station))),
  );
  const from = (crew: Crew): void => {
    if (crew.length < orders.length) {
      for (const order of orders[crew.length]!) from([...crew, order]);
      return;
    }
    if (needed.some((station) => !crew.some((stations) => stations.includes(station)))) return;
    best = Math.min(best, likelyMinutes(withCrew(day, crew), 1, 40));
  };
  from([]);
  return best;
}

test.each<{ what: string; birds: number; allowed: Allowed }>([
  {
    what: "two who share the scald",
    birds: 8,
    allowed: [
      ["cones", "scald", "pluck", "pins"],
      ["scald", "pins", "gut", "rinse"],
    ],
  },
  {
    what: "two who may do nearly all",
    birds: 6,
    allowed: [
      ["cones", "scald", "pluck", "gut", "rinse"],
      ["cones", "scald", "pins", "gut", "rinse"],
    ],
  },
  {
    what: "three, over ways to try them all",
    birds: 8,
    allowed: [
      ["cones", "scald", "pluck", "gut"],
      ["cones", "pins", "gut", "rinse"],
      ["pins", "rinse", "gut"],
    ],
  },
])(
  "the crew that is found is within 2 % of the best of all: $what",
  { timeout: 60_000 },
  ({ birds, allowed }) => {
    const day: LineDay = {
      ...ORDINARY_DAY,
      lots: [lotOf({ birds, giblets: false })],
      breaks: [],
      cleanUpMinutes: 0,
      people: allowed.map((stations, index) => person(`person ${index + 1}`, stations)),
    };
    const { crew } = last(bestCrew({ day, allowed, seed: 1 }));
    expect(likelyMinutes(withCrew(day, crew), 1, 40)).toBeLessThanOrEqual(bestOfAll(day, allowed) * 1.02);
  },
);

test("nobody is put where they may not be, and the day is never longer than as everybody started", {
  timeout: 60_000,
}, () => {
  const allowed: Allowed = [STATIONS, ["pins", "rinse"], ["gut", "pins", "giblets", "rinse"]];
  const day = {
    ...ORDINARY_DAY,
    lots: [lotOf({ birds: 12 })],
    people: allowed.map((stations, index) => person(`${index}`, stations)),
  };
  const { crew } = last(bestCrew({ day, allowed, seed: 4 }));
  for (const [index, stations] of crew.entries())
    for (const station of stations) expect(allowed[index]).toContain(station);
  expect(likelyMinutes(withCrew(day, crew), 4, 40)).toBeLessThanOrEqual(likelyMinutes(day, 4, 40));

  const proposal = crewProposal({ day, allowed, seed: 4 }, { crew, minute: 0 });
  expect(proposal.savedMinutes).toBeGreaterThanOrEqual(-1.5);
  for (const { person: moved } of proposal.moves)
    expect(proposal.crew[moved]).not.toEqual(day.people[moved]!.stations);
  const idle: Allowed = [STATIONS, ["seal"], ["gut", "pins"]];
  expect(last(bestCrew({ day, allowed: idle, seed: 1 })).crew[1]).toEqual(["pins", "rinse"]);
});

test("one pair of hands at a slow table limits the line there, and another helps more than more cones", () => {
  const day: LineDay = {
    ...ORDINARY_DAY,
    lots: [lotOf({ birds: 20 })],
    breaks: [],
    people: [
      person("Tobias", ["cones", "scald", "pluck"]),
      person("Maren", ["gut"]),
      person("Oskar", ["feet", "pins", "rinse", "giblets"]),
    ],
  };
  expect(bottleneck(day, 1, 60)).toMatchObject({ station: "gut" });
  const effects = last(whatHelps(day, 1, 60));
  expect(effects[0]!.lever.what).toBe("one-more-person");
  const saved = (what: string) => effects.find(({ lever }) => lever.what === what)!.savedMinutes;
  expect(saved("one-more-person")).toBeGreaterThan(10);
  expect(Math.abs(saved("more-cones"))).toBeLessThan(3);
  expect(saved("without-person")).toBeLessThan(0);
});
