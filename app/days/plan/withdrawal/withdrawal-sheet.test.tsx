import { describe, expect, test } from "vitest";
import { planned, sheetSaid } from "#app/days/plan/planned-of-tests.tsx";
import { WithdrawalSheet } from "#app/days/plan/withdrawal/withdrawal-sheet.tsx";
import { IN_POUNDS } from "#app/ui/said-of-tests.tsx";
import { showFor } from "#app/words/show.ts";

describe("the sheet of the feed", () => {
  const sheet = (of: ReturnType<typeof planned>) => sheetSaid(<WithdrawalSheet />, of);

  test("says of a short day that all are inside, and counts those who are not on a long one", () => {
    expect(sheet(planned())).toContain("All 20 within the window.");
    const slow = planned({ birds: 58, people: 2 });
    const { tooShort, tooLong } = slow.lot.withdrawal.share;
    const words = [tooShort > 0 && `${tooShort} too full`, tooLong > 0 && `${tooLong} off feed too long`];
    expect(sheet(slow)).toContain(`${words.filter(Boolean).join(", ")}, of 58.`);
  });

  test("prices the meat that each school loses, and names the pens of each walk", () => {
    const pens = [
      { name: "East", birds: 8 },
      { name: "West", birds: 12 },
    ];
    const day = planned({}, {}, { pens, aliveBirds: 20 });
    const { methods, visits } = day.lot;
    const overnight = methods.find(({ method }) => method === "overnight")!;
    // A kilogram of meat brings 10.00.
    expect(sheet(day)).toContain(showFor(IN_POUNDS).money(Math.round(overnight.tissueKilograms * 1000)));
    expect(sheet(day)).toContain("1 visit: all Fri ");
    if (visits.length > 1) expect(sheet(day)).toMatch(/2 visits: East \w{3} \d+:\d\d [AP]M; West/);
    expect(sheet(day)).toContain("20 birds in 2 crates");
  });
});
