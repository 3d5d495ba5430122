import { MINUTE, SECOND } from "#core/calendar/milliseconds.ts";
import type { KeptPlan } from "#db/day/day-queries.server.ts";
import type { SaidFact } from "#db/day/run-queries.server.ts";
import type { FarmFile } from "#db/farm-file.server.ts";
import { makePacking, makeResting } from "#demo/demo-after.ts";
import { at, entryMaker, must } from "#demo/demo-file.ts";
import { drawsFrom } from "#demo/draws.ts";

/** Moments at which the demo farm can be opened, and what its clock then says. */
export const DEMO_MOMENTS = {
  running: { clock: "2026-09-19T13:40:00Z" },
  resting: { clock: "2026-09-20T13:10:00Z" },
  packing: { clock: "2026-09-21T13:40:00Z" },
} as const;
export type DemoMoment = keyof typeof DEMO_MOMENTS;

const DAY = "2026-09-19";
const START_AT = at(DAY, "07:00");
const CHILLED = 23;
const KILLED = 34;
/** Minutes from the first bird to the next at each post, and until the first comes by. */
const POSTS = {
  kill: { first: 4, every: 4.4, device: "demo-phone-cones", person: "Tobias" },
  scald: { first: 7, every: 4.6, device: "demo-phone-cones", person: "Tobias" },
  table: { first: 17, every: 5.4, device: "demo-phone-table", person: "Maren" },
  chill: { first: 22, every: 5.95, device: "demo-tablet", person: "" },
} as const;
/** The scald took a while to be dialed in: these lifts held, and this one tore. */
const HELD = new Set([0, 1, 4]);
const TORE = 11;

/** Brings the demo farm to one of its moments. */
export function makeMoment(file: FarmFile, moment: DemoMoment): void {
  file.together(() => {
    const dayId = file.days().find(({ processedOn }) => processedOn === DAY)!.id;
    makeRunning(file);
    if (moment === "running") return;
    makeResting(file, dayId, { killed: KILLED, chilled: CHILLED });
    if (moment === "packing") makePacking(file, dayId);
  });
}

type Say = (minute: number, fact: Omit<SaidFact, "at">) => string;
type MinuteOf = (post: keyof typeof POSTS, bird: number) => number;

/** Saturday, September 19, 9:40 AM: 23 birds in the chill, behind the plan, one tank too warm. */
function makeRunning(file: FarmFile): void {
  const day = file.days().find(({ processedOn }) => processedOn === DAY)!;
  const entry = entryMaker("moment");
  const draws = drawsFrom(19);
  const start = { kind: "start", at: START_AT + 3 * MINUTE } as const;
  must(file.run.start(entry(DAY, "07:00"), day.id, start, keptPlan(day.lots[0]!.id)));
  const say: Say = (minute, fact) => {
    const said = entry(DAY, "07:00");
    const at = START_AT + Math.round(minute * MINUTE);
    must(file.run.record(said, day.id, { ...fact, at } as SaidFact));
    return said.entryId;
  };
  const minuteOf: MinuteOf = (post, bird) =>
    POSTS[post].first + POSTS[post].every * (bird + 0.3 * draws.uniform());
  atTheCones(say, minuteOf);
  theBath(file, draws);
  atTheScald(say, minuteOf, draws);
  atTheTable(say, minuteOf);
  atTheTanks(say, minuteOf);
}

const keptPlan = (lotId: number): KeptPlan => ({
  keptAt: START_AT,
  birdCount: 58,
  startAt: START_AT,
  likelyAt: at(DAY, "10:44"),
  wholeDayMinutes: 344,
  iceBagCount: 7,
  lots: [
    {
      lotId,
      birdCount: 58,
      feedOffAt: at("2026-09-18", "22:36"),
      liveMeanMilligrams: 2_560_000,
      dressedMeanMilligrams: 1_840_000,
    },
  ],
});

const from = ({ person, device }: { person: string; device: string }) => ({ person, device });

function atTheCones(say: Say, minuteOf: MinuteOf): void {
  say(-480, { kind: "feed-off", ...from(POSTS.kill) });
  say(-75, { kind: "burner-lit", ...from(POSTS.kill) });
  for (let bird = 0; bird < KILLED; bird += 1) {
    const killed = minuteOf("kill", bird);
    const number = (bird % 4) + 1;
    if (bird % 8 === 0) say(killed - 3, { kind: "caught", birds: 8, ...from(POSTS.kill) });
    say(killed, { kind: "kill", number, ...from(POSTS.kill) });
    if (killed + 2.4 < 159) say(killed + 2.4, { kind: "cone-out", number, ...from(POSTS.kill) });
  }
}

/** What the probe read since twenty minutes before the start: one load after another lets the bath sag, and it comes back. */
function theBath(file: FarmFile, draws: ReturnType<typeof drawsFrom>): void {
  for (let seconds = -20 * 60; seconds < 159 * 60; seconds += 10) {
    const sag = seconds < 0 ? 0 : 0.9 * Math.exp(-((seconds % 276) / 90));
    const celsius = 59.8 - sag + 0.03 * draws.normal();
    const readAt = START_AT + seconds * SECOND;
    const reading = {
      readingId: `moment-bath-${seconds}`,
      quantity: "bath-temperature",
      aboutOn: undefined,
      readAt,
      valueThousandths: Math.round(celsius * 1000),
    } as const;
    file.readings.keepMeasured("bath-probe", reading, readAt);
  }
}

function atTheScald(say: Say, minuteOf: MinuteOf, draws: ReturnType<typeof drawsFrom>): void {
  for (let bird = 0; bird < KILLED; bird += 1) {
    const dipped = minuteOf("scald", bird);
    if (dipped > 157) return;
    const dip = say(dipped, { kind: "dip-in", birds: 1, ...from(POSTS.scald) });
    const word = HELD.has(bird) ? "hold" : bird === TORE ? "tear" : "slip";
    const lifted = dipped + 1.25 + (HELD.has(bird) ? 0 : 0.1 * draws.uniform());
    say(lifted, { kind: "dip-out", birds: 1, word, of: dip, ...from(POSTS.scald) });
  }
}

function atTheTable(say: Say, minuteOf: MinuteOf): void {
  say(48, { kind: "note", note: "hairy wings on the first two, dipped again", ...from(POSTS.table) });
  for (let bird = 0; bird < KILLED; bird += 1) {
    const minute = minuteOf("table", bird);
    if (minute > 158) return;
    const through = say(minute, { kind: "table", ...from(POSTS.table) });
    const word = bird === TORE ? "torn-skin" : bird % 9 === 4 ? "full-crop" : undefined;
    if (word) say(minute + 0.5, { kind: "mark", word, of: through, ...from(POSTS.table) });
  }
}

function atTheTanks(say: Say, minuteOf: MinuteOf): void {
  for (let bird = 0; bird < CHILLED; bird += 1) {
    const number = bird < 14 ? 1 : 2;
    say(Math.min(159, minuteOf("chill", bird)), { kind: "bird", number, ...from(POSTS.chill) });
  }
  for (const [minute, number] of [
    [-10, 1],
    [-9, 1],
    [60, 1],
    [100, 2],
  ] as const)
    say(minute, { kind: "ice", bags: 1, number, ...from(POSTS.chill) });
  say(150, { kind: "tank-temperature", number: 1, celsius: 2.2, ...from(POSTS.chill) });
  say(152, { kind: "tank-temperature", number: 2, celsius: 5, ...from(POSTS.chill) });
}
