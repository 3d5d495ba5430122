import fc from "fast-check";
import { beforeAll, expect, test } from "vitest";
import { callRoute, post } from "#app/call-route.ts";
import { makeFarmOfTests } from "#app/farm-of-tests.ts";
import { HERE } from "#app/server/farm/here-of-tests.ts";
import { IN_KILOGRAMS, IN_POUNDS, nonsenseIn, opened } from "#app/ui/said-of-tests.tsx";
import { BIRD_KINDS } from "#core/growth/bird-kind.ts";

/*
 * Whatever someone records of a flock, in whatever order, is kept or asked about, and every page that tells of it
 * says numbers. The clock stands at Thursday, September 17 2026.
 */
const batch = await import("#app/batches/batch.tsx");
const batches = await import("#app/batches/batches.tsx");
const newDay = await import("#app/days/plan/new-day.tsx");
const stores = await import("#app/freezers/freezers.tsx");

beforeAll(() => makeFarmOfTests(HERE.file));

const count = fc.integer({ min: 0, max: 60 });
const weight = fc
  .tuple(fc.integer({ min: 0, max: 12 }), fc.integer({ min: 0, max: 15 }))
  .map((both) => both.join(" "));
const pen = fc.constantFrom("orchard", "barn");
const anyLine = fc.oneof(
  count.map((bags) => `${bags} bags 19.20 grower`),
  count.map((bags) => `opened ${bags} bags`),
  count.map((bags) => `left ${bags} bags`),
  count.map((bags) => `to stock ${bags} bags`),
  count.map((bags) => `from stock ${bags} bags`),
  count.map((birds) => `lost ${birds} hawk`),
  fc.tuple(count, pen).map(([birds, to]) => `moved ${birds} to ${to}`),
  fc.tuple(count, pen, pen).map(([birds, to, from]) => `moved ${birds} to ${to} from ${from}`),
  count.map((dollars) => `paid ${dollars} straw`),
  fc.array(weight, { minLength: 1, maxLength: 6 }).map((weights) => `weighed ${weights.join(", ")}`),
  fc.constantFrom(
    "vaccinated",
    "weighed",
    "lost",
    "moved 3",
    "bags",
    "-4 bags 2",
    "lost 1e3 fox",
    "weighed 4 2,,",
  ),
  fc.string({ maxLength: 30 }),
);
const anyFlock = fc.record({
  kind: fc.constantFrom(...BIRD_KINDS),
  hatchedOn: fc.constantFrom("2025-09-17", "2026-04-01", "2026-07-25", "2026-09-17", "2026-10-20"),
  arrivedCount: fc.constantFrom(1, 15, 60),
  chickCostCents: fc.constantFrom(0, 4500),
  isAwaited: fc.boolean(),
});

let flocks = 0;

test("any story is kept or asked about, and leaves pages that can be read", async () => {
  await fc.assert(
    fc.asyncProperty(
      anyFlock,
      fc.array(anyLine, { maxLength: 14 }),
      fc.nat(13),
      fc.boolean(),
      async ({ isAwaited, ...flock }, lines, taken, isUs) => {
        flocks += 1;
        const name = `Flock ${flocks}`;
        const awaitedOn = isAwaited ? flock.hatchedOn : undefined;
        HERE.file.addBatch(
          { entryId: `flock-of-tests-${flocks}`, at: 0 },
          { ...flock, name, awaitedOn, maleSharePermille: 500, orderedCount: undefined },
        );
        const { id } = HERE.file.batches().find((one) => one.name === name)!;
        const params = { batchId: String(id) };
        const kept: string[] = [];
        for (const [index, line] of lines.entries()) {
          const entryId = `line-of-flock-${flocks}-${index}`;
          const sent = post({ entryId, line, happenedOn: "2026-09-17", isSure: index % 2 === 0 ? "on" : "" });
          const { status, to } = await callRoute(batch.action, sent, params);
          expect([line, status === 303 || status === 422]).toEqual([line, true]);
          if (to) kept.push(entryId);
        }
        // One of them was a mistake.
        if (kept[taken]) HERE.file.removeFact(kept[taken], 1);
        for (const page of [batch, batches, stores, newDay]) {
          const words = opened(page, { params, query: `?batch=${id}` }, isUs ? IN_POUNDS : IN_KILOGRAMS);
          expect(nonsenseIn(words)).toBeUndefined();
        }
      },
    ),
    {
      numRuns: 25,
      examples: [
        // A bag that went into stock and was never bought.
        [
          { kind: "fast", hatchedOn: "2026-07-25", arrivedCount: 15, chickCostCents: 0, isAwaited: false },
          ["1 bags 19.20 grower", "to stock 1 bags"],
          0,
          false,
        ],
      ],
    },
  );
});
