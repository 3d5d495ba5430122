import fc from "fast-check";
import { expect, test } from "vitest";
import { type FarmFile, openFarmFile } from "#db/farm-file.server.ts";
import { BATCH, CARCASS, CHOICES, entry, NOTHING_SAID } from "#db/file-of-tests.ts";

/*
 * A file takes whatever a season brings, in any order, sent twice or removed, and always says what a plain list of
 * what stands would say.
 */

type Counted = {
  readonly what: "loss" | "feed" | "to stock" | "from stock" | "pen" | "bird" | "left";
  readonly count: number;
};
type Step =
  | Counted
  | { readonly what: "settle" | "reopen" }
  | { readonly what: "remove" | "again"; readonly which: number };

const count = fc.integer({ min: 1, max: 9 });
const counted = (what: Counted["what"]) => fc.record({ what: fc.constant(what), count });
const which = fc.nat({ max: 40 });
const anyStep: fc.Arbitrary<Step> = fc.oneof(
  counted("loss"),
  counted("feed"),
  counted("to stock"),
  counted("from stock"),
  counted("pen"),
  counted("left"),
  { weight: 3, arbitrary: counted("bird") },
  fc.record({ what: fc.constantFrom("settle" as const, "reopen" as const) }),
  { weight: 2, arbitrary: fc.record({ what: fc.constant("remove" as const), which }) },
  fc.record({ what: fc.constant("again" as const), which }),
);

const BAG = 20_000_000;
const ON = "2026-05-20";

/** One thing that was sent and kept, and how it would be sent again. */
interface Kept {
  readonly entryId: string;
  readonly step: Counted;
  readonly send: () => { readonly recorded: boolean; readonly isRepeat?: boolean };
}

function play(file: FarmFile, steps: readonly Step[], check: (current: readonly Kept[]) => void) {
  file.addBatch(entry(), BATCH);
  const batch = file.batches()[0]!.id;
  file.addDay(entry(), "UTC", CHOICES);
  const day = file.openDays()[0]!.id;
  const current: Kept[] = [];
  const feed = (from: number | undefined, to: number | undefined, bags: number) => ({
    movedOn: ON,
    fromBatchId: from,
    toBatchId: to,
    movedMilligrams: bags * BAG,
    amountCents: bags * 1800,
  });
  const sender = (step: Counted): (() => ReturnType<Kept["send"]>) & { id: string } => {
    const sent = entry();
    const send = () => {
      switch (step.what) {
        case "loss":
          return file.recordLoss(sent, batch, { lostOn: ON, birdCount: step.count, cause: "" });
        case "feed":
          return file.recordFeed(sent, batch, {
            boughtOn: ON,
            bagCount: step.count,
            bagMilligrams: BAG,
            bagPriceCents: 1800,
            feedKind: "",
          });
        case "left":
          return file.recordFeedLeft(sent, batch, { countedOn: ON, leftMilligrams: step.count * BAG });
        case "to stock":
          return file.recordFeedMove(sent, feed(batch, undefined, step.count));
        case "from stock":
          return file.recordFeedMove(sent, feed(undefined, batch, step.count));
        case "pen":
          return file.recordPenMove(sent, batch, {
            movedOn: ON,
            birdCount: step.count,
            fromPen: step.count % 2 === 0 ? "east" : "",
            toPen: step.count % 2 === 0 ? "west" : "east",
          });
        case "bird":
          return file.pack.recordCarcass(sent, day, { ...CARCASS, birdNumber: step.count });
      }
    };
    return Object.assign(send, { id: sent.entryId });
  };
  for (const step of steps) {
    if ("count" in step) {
      const send = sender(step);
      if (send().recorded) current.push({ entryId: send.id, step, send });
    } else if (step.what === "settle") file.settling.settle(entry(), day, NOTHING_SAID);
    else if (step.what === "reopen") file.settling.reopen(day, 1);
    else if (step.what === "again") {
      const kept = current[step.which % Math.max(1, current.length)];
      if (kept) expect(kept.send()).toEqual({ recorded: true, isRepeat: true });
    } else if (step.what === "remove") {
      const kept = current[step.which % Math.max(1, current.length)];
      if (!kept) continue;
      const outcome =
        kept.step.what === "bird" ? file.pack.remove(day, kept.entryId, 1) : file.removeFact(kept.entryId, 1);
      if (outcome === "taken-back") current.splice(current.indexOf(kept), 1);
    }
    check(current);
  }
  return { batch, day };
}

test("what stands is what was kept, less what was taken back, in whatever order it was sent", () => {
  fc.assert(
    fc.property(fc.array(anyStep, { minLength: 5, maxLength: 40 }), (steps) => {
      const file = openFarmFile(":memory:");
      try {
        play(file, steps, (current) => {
          const sum = (...whats: Step["what"][]) =>
            current
              .filter(({ step }) => whats.includes(step.what))
              .reduce((running, { step }) => running + step.count, 0);
          const birds = current.filter(({ step }) => step.what === "bird").length;
          const { id, aliveCount, lostCount } = file.batches()[0]!;
          expect(lostCount).toBe(sum("loss"));
          expect(aliveCount).toBe(BATCH.arrivedCount - sum("loss") - birds);
          expect(file.freezers.storedCount()).toBe(birds);
          expect(file.feedInStock().milligrams / BAG).toBe(sum("to stock") - sum("from stock"));
          expect(file.story(id).feed).toHaveLength(current.filter(({ step }) => step.what === "feed").length);
          const pens = (even: boolean) =>
            current
              .filter(({ step }) => step.what === "pen" && (step.count % 2 === 0) === even)
              .reduce((running, { step }) => running + step.count, 0);
          const there = { east: pens(false) - pens(true), west: pens(true) };
          expect(Object.fromEntries(file.pens(id).map(({ pen, birdCount }) => [pen, birdCount]))).toEqual(
            Object.fromEntries(Object.entries(there).filter(([, birds]) => birds > 0)),
          );
        });
      } finally {
        file.close();
      }
    }),
    { numRuns: 150 },
  );
});
