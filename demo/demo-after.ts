import { MINUTE } from "#core/calendar/milliseconds.ts";
import type { RestFact } from "#db/day/rest-queries.server.ts";
import type { SaidFact } from "#db/day/run-queries.server.ts";
import type { FarmFile } from "#db/farm-file.server.ts";
import { asPoundsAndOunces, at, entryMaker, must, priceOf } from "#demo/demo-file.ts";
import { packTheParts, theByProducts } from "#demo/demo-packs.ts";
import { drawsFrom } from "#demo/draws.ts";

const DAY = "2026-09-19";
const SUNDAY = "2026-09-20";
const MONDAY = "2026-09-21";
const BIRDS = 58;
/** Birds that rest a day in the refrigerator, the others two days in ice. */
const IN_REFRIGERATOR = 34;

/** The rest of Saturday from where the running moment leaves it, and the birds at rest on Sunday morning. */
export function makeResting(
  file: FarmFile,
  dayId: number,
  { killed, chilled }: { killed: number; chilled: number },
) {
  const entry = entryMaker("resting");
  const say = (time: string, later: number, fact: Omit<SaidFact, "at">) =>
    must(
      file.run.record(entry(DAY, time), dayId, {
        ...fact,
        at: at(DAY, time) + Math.round(later * MINUTE),
      } as SaidFact),
    );
  const cones = { device: "demo-phone-cones", person: "Tobias" };
  const tablet = { device: "demo-tablet", person: "" };
  for (let bird = killed; bird < BIRDS; bird += 1)
    say("09:41", (bird - killed) * 4.4, { kind: "kill", number: (bird % 4) + 1, ...cones });
  for (let bird = chilled; bird < BIRDS; bird += 1)
    say("09:46", (bird - chilled) * 4.6, { kind: "bird", number: 2, ...tablet });
  for (const [band, minute, reason] of [
    [1, 20, "bruise"],
    [2, 55, "torn-skin"],
    [3, 110, "broken-wing"],
  ] as const)
    say("09:50", minute, {
      kind: "look",
      word: "cut",
      note: reason,
      number: band,
      device: "demo-phone-table",
      person: "Ines",
    });
  say("13:10", 0, { kind: "finish", note: "", ...tablet });
  theRest(file, dayId);
  theByProducts(file, entry, { dayId, on: DAY, next: SUNDAY, birds: BIRDS });
}

function theRest(file: FarmFile, dayId: number): void {
  const entry = entryMaker("rest");
  const lotId = file.day(dayId)!.lots[0]!.id;
  const placeId = file.places().find(({ kind }) => kind === "fridge")!.id;
  const noBrine = { saltPermille: undefined, sugarPermille: undefined, brineHours: undefined };
  must(
    file.resting.saveProgram(entry(DAY, "13:20"), dayId, [
      { lotId, birds: IN_REFRIGERATOR, method: "one-day", cover: "open", placeId, ...noBrine },
      {
        lotId,
        birds: BIRDS - IN_REFRIGERATOR,
        method: "two-days",
        cover: "wrapped",
        placeId: undefined,
        saltPermille: 50,
        sugarPermille: 20,
        brineHours: 12,
      },
    ]),
  );
  const person = (name: string) => file.people.people().find((one) => one.name === name)?.id;
  const nothing = {
    lotId: undefined,
    count: undefined,
    millicelsius: undefined,
    placeId: undefined,
    personId: undefined,
    note: "",
  };
  const did = (day: string, time: string, fact: Pick<RestFact, "kind"> & Partial<RestFact>) =>
    must(file.resting.recordFact(entry(day, time), dayId, { ...nothing, ...fact }));
  did(DAY, "15:30", { kind: "carcass-temperature", millicelsius: 3600, personId: person("Maren") });
  did(DAY, "16:10", { kind: "moved", count: IN_REFRIGERATOR, placeId, personId: person("Tobias") });
  did(DAY, "17:00", { kind: "brine-in", personId: person("Maren") });
  did(DAY, "20:40", { kind: "shut-in", personId: person("Tobias") });
  did(SUNDAY, "05:10", { kind: "brine-out", personId: person("Maren") });
  did(SUNDAY, "05:15", { kind: "ice", count: 2, personId: person("Maren") });
  did(SUNDAY, "08:30", { kind: "place-temperature", millicelsius: 2800, personId: person("Maren") });
}

/** Birds that are weighed by Monday morning: whole ones, one for the dogs, and those for the knife. */
const WEIGHED = 46;
const CUT = 12;

/** Monday, September 21, 9:40 AM: most birds are weighed, twelve are cut up and in packs, and the rest lie in ice. */
export function makePacking(file: FarmFile, dayId: number): void {
  const entry = entryMaker("packing");
  const draws = drawsFrom(921);
  const lotId = file.day(dayId)!.lots[0]!.id;
  const place = (name: string) => file.places().find((one) => one.name === name)!.id;
  const whole = file.catalog.products().find(({ kind }) => kind === "whole-bird")!;
  const price = priceOf(file, whole.id);
  for (let bird = 1; bird <= WEIGHED; bird += 1) {
    const { milligrams, asTyped } = asPoundsAndOunces(1.82 * (1 + 0.12 * draws.normal()));
    const purpose =
      bird % 4 === 0 && bird / 4 <= CUT ? "cut" : bird === 21 ? "pets" : bird % 11 === 0 ? "own" : "sale";
    must(
      file.pack.recordCarcass(entry(MONDAY, "07:30"), dayId, {
        lotId,
        birdNumber: bird,
        purpose,
        weightMilligrams: milligrams,
        asTyped,
        reason: "",
        placeId:
          purpose === "cut"
            ? undefined
            : place(purpose === "own" ? "House upright" : "Wash house refrigerator"),
        priceCents: purpose === "sale" ? price.priceCents : undefined,
        priceUnit: price.priceUnit,
      }),
    );
  }
  packTheParts(file, entry, {
    dayId,
    lotId,
    packedOn: MONDAY,
    time: "09:00",
    kind: "slow",
    drawn: BIRDS,
    placeId: place("Barn chest"),
  });
  must(
    file.byProducts.start(entry(MONDAY, "09:10"), dayId, {
      kind: "boil",
      inMilligrams: 2_080_000,
      note: "necks, in the stock pot",
    }),
  );
  const pot = file.byProducts.loads(dayId).find(({ kind }) => kind === "boil")!;
  must(
    file.byProducts.end(entry(MONDAY, "09:35"), dayId, pot.id, { outMilligrams: 470_000, milliliters: 5700 }),
  );
}
