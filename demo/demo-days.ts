import { addDays } from "#core/calendar/local-day.ts";
import { MINUTE } from "#core/calendar/milliseconds.ts";
import { dressedWeight } from "#core/carcass-yield/expected-cuts.ts";
import { DRESSED_FRACTION } from "#core/carcass-yield/yield-constants.ts";
import type { CrewSeat } from "#core/day/crew/crew.ts";
import { flockOn } from "#core/growth/flock-forecast.ts";
import type { CarcassUse } from "#core/packing/pack-tally.ts";
import type { Station } from "#core/processing-line/line-station.ts";
import { kilogramsFromMilligrams, milligramsFromKilograms } from "#core/quantity/conversion.ts";
import { liveKilograms } from "#core/quantity/quantity.ts";
import type { Batch } from "#db/batch/batch-queries.server.ts";
import type { DatedChoices, KeptPlan } from "#db/day/day-queries.server.ts";
import { USUAL_DAY, USUAL_LOT } from "#db/day/usual-day.ts";
import type { FarmFile } from "#db/farm-file.server.ts";
import type { KnownPack, WayOut } from "#db/freezer/freezer-queries.server.ts";
import { asPoundsAndOunces, at, DEMO_ZONE, type entryMaker, must } from "#demo/demo-file.ts";
import { sellTo } from "#demo/demo-orders.ts";
import { packTheParts, theByProducts } from "#demo/demo-packs.ts";
import { drawsFrom } from "#demo/draws.ts";

type MakeEntry = ReturnType<typeof entryMaker>;

const SHARED = {
  cones: 4,
  ...USUAL_DAY,
} as const;

type NamedCrew = readonly (readonly [name: string, stations: readonly Station[]])[];

interface RunDay {
  readonly choices: Omit<DatedChoices, "crew" | "lots">;
  readonly birds: number;
  readonly cutUp: number;
  readonly crew: NamedCrew;
  /** From the first tap of the day to its last, minutes; setup and cleanup come on top. */
  readonly lineMinutes: number;
  readonly plannedLineMinutes: number;
  readonly pause: readonly [fromMinute: number, minutes: number];
  readonly notes: readonly [minute: number, text: string][];
  readonly costs: readonly [what: string, cents: number][];
  readonly feedOffTime: string;
  readonly iceBags: number;
}

const JUNE: readonly RunDay[] = [
  {
    birds: 31,
    cutUp: 6,
    choices: {
      ...SHARED,
      processedOn: "2026-06-20",
      startAt: at("2026-06-20", "07:00"),
      people: 4,
      tablePlaces: 2,
      breakMinutes: 45,
      breakAtMinute: 9 * 60,
    },
    crew: [
      ["Tobias", ["cones", "scald", "pluck"]],
      ["Maren", ["gut", "rinse", "giblets"]],
      ["Juno", ["gut", "feet", "pins", "giblets"]],
      ["Oskar", ["pins", "rinse"]],
    ],
    lineMinutes: 250,
    plannedLineMinutes: 150,
    pause: [125, 30],
    notes: [
      [38, "hairy wings on the first four, five seconds more"],
      [126, "table is drowning, two at the evisceration table are not enough"],
    ],
    costs: [
      ["ice", 2250],
      ["plucker rental", 3500],
      ["shrink bags and labels", 1426],
      ["power", 310],
    ],
    feedOffTime: "22:30",
    iceBags: 5,
  },
  {
    birds: 31,
    cutUp: 8,
    choices: {
      ...SHARED,
      processedOn: "2026-06-27",
      startAt: at("2026-06-27", "07:00"),
      people: 5,
      tablePlaces: 3,
      breakMinutes: 15,
      breakAtMinute: 8 * 60 + 20,
    },
    crew: [
      ["Tobias", ["cones", "scald", "pluck"]],
      ["Maren", ["gut"]],
      ["Ines", ["gut", "rinse", "giblets"]],
      ["Juno", ["feet", "pins", "gut", "giblets"]],
      ["Oskar", ["pins", "rinse"]],
    ],
    lineMinutes: 160,
    plannedLineMinutes: 125,
    pause: [80, 15],
    notes: [[20, "third place at the gut table: no more queue"]],
    costs: [
      ["ice", 2700],
      ["plucker rental", 3500],
      ["shrink bags and labels", 1426],
      ["power", 290],
    ],
    feedOffTime: "22:30",
    iceBags: 6,
  },
];

/** Two settled days in June, and the next day planned. */
export function makeDemoDays(file: FarmFile, entry: MakeEntry): void {
  const batchNamed = (name: string) => file.batches().find((batch) => batch.name === name)!;
  const white = batchNamed("White 26-A");
  for (const day of JUNE) runAndSettle(file, entry, white, day);
  must(
    file.addDay(entry("2026-09-13"), DEMO_ZONE, {
      ...SHARED,
      lots: [{ ...USUAL_LOT, batchId: batchNamed("Red 26-B").id, birds: 58, cutUp: 12 }],
      processedOn: "2026-09-19",
      startAt: at("2026-09-19", "07:00"),
      people: 5,
      tablePlaces: 3,
      breakMinutes: 40,
      crew: crewOf(file, [
        ["Tobias", ["cones", "scald", "pluck"]],
        ["Maren", ["gut"]],
        ["Ines", ["gut", "rinse", "giblets"]],
        ["Juno", ["feet", "pins", "giblets"]],
        ["Oskar", ["pins", "rinse"]],
      ]),
    }),
  );
}

function runAndSettle(file: FarmFile, entry: MakeEntry, batch: Batch, run: RunDay): void {
  const { processedOn, startAt } = run.choices;
  const set = entry(addDays(processedOn, -7));
  const lots = [{ ...USUAL_LOT, batchId: batch.id, birds: run.birds, cutUp: run.cutUp }];
  must(file.addDay(set, DEMO_ZONE, { ...run.choices, lots, crew: crewOf(file, run.crew) }));
  const dayId = file.dayOfEntry(set.entryId)!;
  const lotId = file.day(dayId)!.lots[0]!.id;
  tapTheDay(file, entry, dayId, run, keptPlan(file, batch, lotId, run));
  weighTheBirds(file, entry, batch, { dayId, lotId }, run);
  packTheParts(file, entry, {
    dayId,
    lotId,
    packedOn: addDays(processedOn, 2),
    time: "19:30",
    kind: batch.kind,
    drawn: run.birds,
    placeId: file.places().find(({ name }) => name === "Barn chest")!.id,
  });
  theByProducts(file, entry, {
    dayId,
    on: processedOn,
    next: addDays(processedOn, 1),
    birds: run.birds,
  });
  markSome(file, entry, dayId);
  for (const [what, amountCents] of run.costs)
    must(file.settling.addCost(entry(processedOn), dayId, { what, amountCents }));
  must(
    file.settling.settle(entry(addDays(processedOn, 3)), dayId, {
      workMinutes: undefined,
      packingMinutes: undefined,
      live: [],
    }),
  );
  someLeave(file, entry, dayId, startAt);
}

function keptPlan(
  file: FarmFile,
  batch: Batch,
  lotId: number,
  { choices, birds, plannedLineMinutes, feedOffTime, iceBags }: RunDay,
): KeptPlan {
  const live = expectedLive(file, batch, choices.processedOn);
  return {
    keptAt: choices.startAt,
    birdCount: birds,
    startAt: choices.startAt,
    likelyAt: choices.startAt + plannedLineMinutes * MINUTE,
    wholeDayMinutes: plannedLineMinutes + 120,
    iceBagCount: iceBags,
    lots: [
      {
        lotId,
        birdCount: birds,
        feedOffAt: at(addDays(choices.processedOn, -1), feedOffTime),
        liveMeanMilligrams: milligramsFromKilograms(live),
        dressedMeanMilligrams: milligramsFromKilograms(
          dressedWeight(liveKilograms(live), DRESSED_FRACTION[batch.kind]),
        ),
      },
    ],
  };
}

function expectedLive(file: FarmFile, batch: Batch, day: string): number {
  const weighings = file.story(batch.id).weighings.map(({ weighedOn, liveWeightMilligrams }) => ({
    weighedOn,
    kilograms: kilogramsFromMilligrams(liveWeightMilligrams),
  }));
  return flockOn(day, {
    kind: batch.kind,
    maleShare: batch.maleSharePermille / 1000,
    hatchedOn: batch.hatchedOn,
    weighings,
  }).live.value;
}

function tapTheDay(file: FarmFile, entry: MakeEntry, dayId: number, run: RunDay, plan: KeptPlan): void {
  const { startAt, processedOn } = run.choices;
  const { birds: birdCount } = run;
  const moment = (minute: number) => startAt + Math.round(minute * MINUTE);
  const [pauseFrom, pauseMinutes] = run.pause;
  const firstBirdMinute = 22;
  const working = run.lineMinutes - firstBirdMinute - pauseMinutes - 2;
  const draws = drawsFrom(dayId);
  must(file.run.start(entry(processedOn), dayId, { kind: "start", at: startAt }, plan));
  for (let bird = 0; bird < birdCount; bird += 1) {
    const even = firstBirdMinute + (working * (bird + 0.3 * draws.uniform())) / birdCount;
    const minute = even > pauseFrom ? even + pauseMinutes : even;
    must(file.run.record(entry(processedOn), dayId, { kind: "bird", at: moment(minute), note: "" }));
  }
  must(file.run.record(entry(processedOn), dayId, { kind: "pause", at: moment(pauseFrom), note: "" }));
  must(
    file.run.record(entry(processedOn), dayId, {
      kind: "resume",
      at: moment(pauseFrom + pauseMinutes),
      note: "",
    }),
  );
  for (const [minute, note] of run.notes)
    must(file.run.record(entry(processedOn), dayId, { kind: "note", at: moment(minute), note }));
  must(file.run.record(entry(processedOn), dayId, { kind: "finish", at: moment(run.lineMinutes), note: "" }));
}

function weighTheBirds(
  file: FarmFile,
  entry: MakeEntry,
  batch: Batch,
  { dayId, lotId }: { dayId: number; lotId: number },
  { choices, birds, cutUp }: RunDay,
): void {
  const draws = drawsFrom(100 + dayId);
  const mean = expectedLive(file, batch, choices.processedOn) * DRESSED_FRACTION[batch.kind];
  const places = file.places();
  const place = (name: string) => places.find((one) => one.name === name)!.id;
  for (let bird = 1; bird <= birds; bird += 1) {
    const purpose = purposeOf(bird, cutUp);
    const { milligrams, asTyped } = asPoundsAndOunces(mean * (1 + 0.13 * draws.normal()));
    must(
      file.pack.recordCarcass(entry(addDays(choices.processedOn, 2), "18:30"), dayId, {
        lotId,
        birdNumber: bird,
        purpose,
        weightMilligrams: milligrams,
        asTyped,
        reason: purpose === "condemned" ? "yellow fluid in the belly" : "",
        placeId:
          purpose === "condemned" || purpose === "cut"
            ? undefined
            : place(purpose === "own" ? "House upright" : "Barn chest"),
      }),
    );
  }
}

function purposeOf(bird: number, cutUp: number): CarcassUse {
  if (bird === 17) return "condemned";
  if (bird === 23) return "pets";
  if (bird % 5 === 0 && bird / 5 <= cutUp) return "cut";
  return bird % 9 === 0 ? "own" : "sale";
}

/** Three big cockerels were looked at more closely. */
function markSome(file: FarmFile, entry: MakeEntry, dayId: number): void {
  const marks = [
    [2, 98, 118, 4, "yellow, straight"],
    [9, 104, 121, 5, "yellow, straight"],
    [14, 91, 112, 3, "pale, one toe bent"],
  ] as const;
  for (const [birdNumber, frameWidthMillimeters, keelMillimeters, fleshing, legs] of marks)
    must(
      file.marking.recordMark(entry("2026-06-22"), dayId, {
        birdNumber,
        frameWidthMillimeters,
        keelMillimeters,
        fleshing,
        legs,
        note: "",
      }),
    );
}

/** Over the summer most were sold and some eaten. */
function someLeave(file: FarmFile, entry: MakeEntry, dayId: number, startAt: number): void {
  const draws = drawsFrom(startAt);
  const sold = new Map<string, KnownPack[]>();
  for (const pack of file.freezers.stored().filter((one) => one.dayId === dayId)) {
    if (draws.uniform() > 0.72) continue;
    const outOn = addDays("2026-07-04", 7 * Math.floor(draws.uniform() * 10));
    if (pack.purpose === "sale") {
      sold.set(outOn, [...(sold.get(outOn) ?? []), pack]);
      continue;
    }
    const how: WayOut = pack.purpose === "pets" ? "given" : "eaten";
    must(file.freezers.takeOut(entry(outOn), [pack.id], { outOn, how }));
  }
  for (const [soldOn, packs] of [...sold].toSorted(([one], [other]) => one.localeCompare(other)))
    sellTo(file, entry, { soldOn, who: Math.floor(draws.uniform() * 8), packs });
}

/** People of the farm by name, and where they stand. */
function crewOf(file: FarmFile, crew: NamedCrew): CrewSeat[] {
  const people = file.people.people();
  return crew.map(([name, stations]) => ({
    personId: people.find((person) => person.name === name)!.id,
    name,
    stations,
  }));
}
