import { describe, expect, test } from "vitest";
import { stationPages } from "#app/days/plan/line/station-words.ts";
import { planned, seat } from "#app/days/plan/planned-of-tests.tsx";
import { IN_POUNDS } from "#app/ui/said-of-tests.tsx";
import { showFor } from "#app/words/show.ts";
import type { OneLotChoices } from "#core/day/plan/days-of-tests.ts";
import type { FarmMeans } from "#core/day/plan/plan-input.ts";

describe("the pages of the stations", () => {
  const pages = (change: Partial<OneLotChoices> = {}, means: Partial<FarmMeans> = {}) =>
    stationPages(planned(change, means).planned, showFor(IN_POUNDS));
  const page = (key: string, of = pages()) => of.find((one) => one.key === key)!;

  test("are those that the day needs, and the chill last", () => {
    const keys = (change: Partial<OneLotChoices>) => pages(change).map(({ key }) => key);
    expect(keys({ keepsGiblets: false })).toEqual([
      "cones",
      "scald",
      "pluck",
      "feet",
      "pins",
      "gut",
      "rinse",
      "chill",
    ]);
    expect(keys({ packsSameDay: true, cutUp: 20 })).toContain("seal");
    expect(keys({ packsSameDay: true, cutUp: 20 })).not.toContain("pack");
  });

  test("name who stands there first and who helps", () => {
    const crew = [
      seat("Tobias", ["cones", "scald", "pluck", "gut"]),
      seat("Maren", ["gut", "feet", "pins", "rinse", "giblets"]),
    ];
    expect(page("gut", pages({ people: 2, crew })).people).toEqual([
      { name: "Tobias", isFirst: false },
      { name: "Maren", isFirst: true },
    ]);
  });

  test("carry the day's own numbers: bath, seconds, cones, bags and the quoted hours", () => {
    const {
      lot: { scald },
      planned: {
        plan: { chill },
      },
    } = planned();
    expect(page("scald").lines[0]).toContain(`140 °F for ${Math.round(scald.seconds.value)} s`);
    expect(page("scald", pages({ changeWaterBirds: 15 })).lines.join()).toContain("every 15 birds");
    expect(page("cones", pages({ cones: 1 })).lines[0]).toMatch(/^1 cone\./);
    expect(page("chill").lines[0]).toContain(`${chill.bags.value} bags of ice`);
    expect(page("chill").lines.join()).toContain(`commonly quoted limit ${chill.quotedHours} h`);
    expect(page("pluck", pages({ pluckBy: "hand" })).lines[0]).toContain("By hand");
  });

  test("tell the cones of a break only where there is one, and of as many birds as the line lets in", () => {
    const words = (change: Partial<OneLotChoices>) => page("cones", pages(change)).lines.join(" ");
    expect(words({ breakMinutes: 30 })).toContain("No kill in the 5 min before the break");
    expect(words({})).not.toContain("break");
    // Three for each of those before the chill; who only packs lets in none.
    expect(words({ people: 4 })).toContain("At most 12 birds between cone and chill");
    const packer = seat("Pell", ["pack"]);
    expect(words({ people: 4, packsSameDay: true, crew: [packer] })).toContain("At most 9 birds");
  });
});
