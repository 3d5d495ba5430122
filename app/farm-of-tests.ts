import { createHash } from "node:crypto";
import { USUAL_DAY, USUAL_LOT } from "#db/day/usual-day.ts";
import { USUAL_FARM } from "#db/farm/usual-farm.ts";
import type { FarmFile } from "#db/farm-file.server.ts";

/** The secret of an invitation that is good in every test. */
export const INVITATION_OF_TESTS = "i".repeat(43);

/** A small farm for tests: one batch of twelve, and a day for ten of them on Saturday 19 September 2026. */
export function makeFarmOfTests(file: FarmFile): void {
  file.saveFarm(
    {
      name: "Low Gate",
      latitudeMicrodegrees: 43_900_000,
      longitudeMicrodegrees: -71_600_000,
      timeZone: "America/New_York",
      locale: "en-US",
      unitSystem: "us",
      currency: "USD",
      ...USUAL_FARM,
      arePensLit: true,
      altitudeMeters: 310,
    },
    0,
  );
  file.addBatch(
    { entryId: "batch-of-tests", at: 0 },
    {
      name: "White 1",
      kind: "fast",
      maleSharePermille: 500,
      hatchedOn: "2026-07-25",
      orderedCount: undefined,
      awaitedOn: undefined,
      arrivedCount: 15,
      chickCostCents: 3000,
    },
  );
  file.addDay({ entryId: "day-of-tests", at: 0 }, "America/New_York", {
    processedOn: "2026-09-19",
    startAt: Date.UTC(2026, 8, 19, 11),
    lots: [{ ...USUAL_LOT, batchId: 1, birds: 10 }],
    people: 3,
    cones: 3,
    tablePlaces: 2,
    breakMinutes: 0,
    ...USUAL_DAY,
  });
  file.access.invite(
    { entryId: "invitation-of-tests", at: 0 },
    {
      role: "helper",
      endsAt: Date.parse("2100-01-01"),
      mostCount: 30,
      secretHash: createHash("sha256").update(INVITATION_OF_TESTS).digest(),
    },
  );
}
