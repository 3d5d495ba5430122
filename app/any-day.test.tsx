import fc from "fast-check";
import Papa from "papaparse";
import { beforeAll, expect, test } from "vitest";
import { callRoute, post } from "#app/call-route.ts";
import { makeFarmOfTests } from "#app/farm-of-tests.ts";
import { CONTEXT, HERE } from "#app/server/farm/here-of-tests.ts";
import { IN_KILOGRAMS, IN_POUNDS, nonsenseIn, opened } from "#app/ui/said-of-tests.tsx";
import { CARCASS_USES } from "#core/packing/pack-tally.ts";
import { CHOICES, TIES } from "#db/file-of-tests.ts";

/*
 * Whatever is tapped, weighed, paid and settled on a day, its pages say numbers, its birds go out as they were typed, and
 * its money is there to the cent. The clock stands at Thursday, September 17 2026.
 */
const pages = {
  run: await import("#app/days/run/run.tsx"),
  rest: await import("#app/days/rest/rest.tsx"),
  pack: await import("#app/days/pack/pack.tsx"),
  settle: await import("#app/days/settle/settle.tsx"),
  needs: await import("#app/days/plan/supplies/needs.tsx"),
  tasks: await import("#app/days/plan/tasks/tasks.tsx"),
  plan: await import("#app/days/plan/plan.tsx"),
  days: await import("#app/days/days.tsx"),
  stores: await import("#app/freezers/freezers.tsx"),
  books: await import("#app/books/books.tsx"),
};
const { settlementOf } = await import("#app/server/day/settlement-of.server.ts");
const tap = await import("#app/days/run/taps/tap.ts");
const addCost = await import("#app/days/settle/add-cost.tsx");
const reopen = await import("#app/days/settle/reopen.ts");
const dayCsv = await import("#app/days/settle/day-csv.ts");
const dayJson = await import("#app/days/settle/day-json.ts");

beforeAll(() => {
  makeFarmOfTests(HERE.file);
  HERE.file.supplying.addSupply({ entryId: "ties-of-tests", at: 0 }, TIES, "2026-09-01", 4000);
});

const anyBird = fc.record({
  purpose: fc.constantFrom(...CARCASS_USES),
  weight: fc.constantFrom("0 12", "3 4", "4 9.2", "2.071 kg", "11", "", "heavy"),
  reason: fc.constantFrom("", "yellow fluid", "=1+1"),
});
const anyTap = fc.record({
  kind: fc.constantFrom("start", "bird", "bird", "bird", "pause", "resume", "note", "finish"),
  minutesAgo: fc.nat(400),
});

let number = 0;

test("any day leaves pages that can be read, and money that adds up", async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(anyTap, { maxLength: 12 }),
      fc.array(anyBird, { maxLength: 8 }),
      fc.array(fc.constantFrom("0", "7.25", "18", "-3", "much"), { maxLength: 3 }),
      fc.constantFrom("", "0", "11.5", "2000"),
      fc.constantFrom("", "1 0", "6 4", "9"),
      fc.boolean(),
      fc.boolean(),
      async (taps, birds, costs, workHours, liveMean, isOpenedAgain, isUs) => {
        number += 1;
        const name = `Flock ${number}`;
        const at = Date.now();
        const flock = { kind: "fast", maleSharePermille: 500, hatchedOn: "2026-07-20" } as const;
        HERE.file.addBatch(
          { entryId: `flock-of-day-${number}`, at },
          {
            ...flock,
            name,
            orderedCount: undefined,
            arrivedCount: 12,
            awaitedOn: undefined,
            chickCostCents: 2501,
          },
        );
        const batch = HERE.file.batches().find((one) => one.name === name)!;
        const set = { entryId: `set-of-day-${number}`, at };
        HERE.file.addDay(set, "America/New_York", {
          ...CHOICES,
          processedOn: "2026-09-17",
          startAt: Date.UTC(2026, 8, 17, 9),
          lots: [{ ...CHOICES.lots[0]!, batchId: batch.id, cutUp: 2 }],
        });
        const dayId = HERE.file.dayOfEntry(set.entryId)!;
        const params = { dayId: String(dayId) };
        let sent = 0;
        const send = async (route: (args: never) => unknown, fields: Readonly<Record<string, string>>) => {
          sent += 1;
          const outcome = await callRoute(
            route,
            post({ entryId: `day-${number}-thing-${sent}`, ...fields }),
            params,
          );
          expect([fields, outcome.status < 500]).toEqual([fields, true]);
          return outcome.status === 303;
        };

        for (const { kind, minutesAgo } of taps)
          await send(tap.action, {
            kind,
            note: "hm",
            at: String(Date.UTC(2026, 8, 17, 10, 12) - minutesAgo * 60_000),
          });
        let weighed = 0;
        for (const [index, bird] of birds.entries())
          if (await send(pages.pack.action, { ...bird, birdNumber: String(index + 1), placeId: "" }))
            weighed += 1;
        let paid = 0;
        for (const amount of costs)
          if (await send(addCost.action, { what: "hire", amount })) paid += Math.round(Number(amount) * 100);
        const isSettled = await send(pages.settle.action, { workHours, liveMean, "used-1": "3" });
        if (isOpenedAgain) await send(reopen.action, {});

        const csv = await dayCsv.loader({ context: CONTEXT, params } as never).text();
        expect(Papa.parse(csv.trim(), { header: true }).data).toHaveLength(weighed);
        const whole = JSON.parse(await dayJson.loader({ context: CONTEXT, params } as never).text());
        expect(whole).toMatchObject({ format: "pale-morning-day", carcasses: { length: weighed } });

        const day = HERE.file.day(dayId)!;
        const { settlement } = settlementOf(HERE, HERE.file.farm()!, day).lots[0]!;
        const dressed = HERE.file.pack.carcasses(dayId).filter(({ purpose }) => purpose !== "condemned");
        if (settlement) {
          // Chicks fall to the dressed and the living alike; ties are 4.80 a hundred.
          const living = Math.max(0, HERE.file.batch(batch.id)!.aliveCount);
          const chicks = (2501 * dressed.length) / (dressed.length + living);
          const ties = isSettled && !isOpenedAgain ? 14 : 0;
          const [pocket] = settlement.methods;
          expect(Math.abs(pocket!.total.value - chicks - paid - ties)).toBeLessThanOrEqual(1.5);
          expect(pocket!.perBird.value * dressed.length).toBeCloseTo(pocket!.total.value, 6);
        } else expect(dressed).toHaveLength(0);

        for (const [leaf, page] of Object.entries(pages)) {
          const words = opened(page, { params }, isUs ? IN_POUNDS : IN_KILOGRAMS);
          expect([leaf, nonsenseIn(words)]).toEqual([leaf, undefined]);
          if (leaf === "settle")
            expect(words.includes("No bird yields that much")).toBe(
              (settlement?.dressedYield.value ?? 0) > 0.8,
            );
        }
      },
    ),
    { numRuns: 20 },
  );
});
