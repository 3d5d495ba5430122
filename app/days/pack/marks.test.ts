import { beforeAll, expect, test } from "vitest";
import { callRoute, post } from "#app/call-route.ts";
import { makeFarmOfTests } from "#app/farm-of-tests.ts";
import { HERE, startClock } from "#app/server/farm/here-of-tests.ts";

startClock("2026-09-21T13:00:00Z");
const marks = await import("#app/days/pack/marks.tsx");

let number = 0;
const refused = (field: string, words: string) => ({ status: 422, faults: { [field]: [words] } });

beforeAll(() => makeFarmOfTests(HERE.file));

test("a breeder's marks are kept with a bird, in inches as they are typed, and asked about past reason", async () => {
  HERE.file.pack.recordCarcass({ entryId: "bird-of-tests", at: 0 }, 1, {
    lotId: 1,
    birdNumber: 3,
    purpose: "own",
    weightMilligrams: 2_000_000,
    asTyped: "4 6",
    reason: "",
    placeId: undefined,
  });
  const keep = (fields: Record<string, string>) =>
    callRoute(marks.action, post({ entryId: `marks-form-${++number}`, birdNumber: "3", ...fields }), {
      dayId: "1",
    });
  expect(await keep({ frame: "3.9", fleshing: "4" })).toMatchObject({ status: 303 });
  expect(HERE.file.marking.marks(1)).toMatchObject([
    { frameWidthMillimeters: 99, keelMillimeters: undefined, fleshing: 4 },
  ]);
  expect(await keep({ keel: "40" })).toMatchObject(refused("keel", "Enter a number between 0.8 and 11.8"));
  expect(await keep({ birdNumber: "9" })).toMatchObject(
    refused("birdNumber", "No bird 9 was weighed on this day"),
  );
});
