import { describe, expect, test } from "vitest";
import { ChillSheet } from "#app/days/plan/chill/chill-sheet.tsx";
import { at, DAY, planned, sheetSaid } from "#app/days/plan/planned-of-tests.tsx";
import type { AroundDay } from "#app/server/day/around-day.server.ts";
import { IN_POUNDS } from "#app/ui/said-of-tests.tsx";
import { showFor } from "#app/words/show.ts";
import { own } from "#core/day/plan/days-of-tests.ts";

describe("the sheet of the chill", () => {
  const sheet = (of: ReturnType<typeof planned>, around: Partial<AroundDay> = {}) =>
    sheetSaid(<ChillSheet />, of, { around });

  test("says how many bags are short and about when the ice runs out", () => {
    const { bags } = planned().planned.plan.chill;
    const short = planned({}, {}, { iceBagsInStock: bags.value - 2 });
    expect(sheet(short)).toMatch(/The ice runs out at about \d+:\d\d [AP]M\. There is 1 bag for this day,/);
    expect(sheet(short)).toContain(`which needs ${bags.value}. Buy 2 bags more`);
    expect(sheet(planned({}, {}, { iceBagsInStock: bags.value }))).not.toContain("runs out");
    expect(sheet(planned())).not.toContain("runs out");
  });

  test("says when the tanks are full and when the first place is free again", () => {
    expect(sheet(planned())).toContain("so all 20 fit at once");
    const small = planned({}, { tankLiters: own(60) });
    const { tanks } = small.planned.plan;
    const clock = (minute: number) => showFor(IN_POUNDS).time(at("07:00") + minute * 60_000);
    expect(sheet(small)).toContain(`are full at about ${clock(tanks.fullMinute!)}`);
    expect(sheet(small)).toContain(`The first bird is cold at about ${clock(tanks.firstColdMinute)}`);
  });

  test("says where the birds rest, less those for another day, and what to do where there is no room", () => {
    expect(sheet(planned())).toContain("They rest until Sun, Sep 20. Free space then: Kitchen 26.");
    const others = [{ day: DAY, birds: 10, restDays: 1 }];
    expect(sheet(planned(), { others })).toContain("less 10 birds for another day");
    expect(sheet(planned(), { others })).toContain("There is room for 16 of 20 for resting.");
    const freezing = [{ name: "Barn", capacity: 40, stored: 3, canFreeze: true }];
    expect(sheet(planned(), { places: freezing })).toContain("Barn none; it is set to freeze");
    expect(sheet(planned(), { places: freezing })).toContain("There is no room for resting.");
    expect(sheet(planned(), { places: [] })).toContain("No refrigerator is listed under Freezers");
  });

  test("gives a brine by weight, and refuses one in which the salt would not dissolve", () => {
    const { brine } = planned({ brineFraction: 0.0125 }).planned.plan.chill;
    const words = sheet(planned({ brineFraction: 0.0125 }));
    expect(words).toContain(`${showFor(IN_POUNDS).value(brine!.salt.value, "kg")} of salt by weight`);
    expect(words).not.toContain("does not dissolve");
    expect(sheet(planned({ brineFraction: 0.2 }))).toContain("That much salt will not dissolve.");
    expect(sheet(planned())).not.toContain("Brine");
  });
});
