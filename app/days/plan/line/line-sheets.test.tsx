import { describe, expect, test } from "vitest";
import { BestCrewSheet } from "#app/days/plan/line/best-crew-sheet.tsx";
import { HelpsSheet } from "#app/days/plan/line/helps-sheet.tsx";
import { LineSheet } from "#app/days/plan/line/line-sheet.tsx";
import { PlanShown } from "#app/days/plan/plan-context.tsx";
import { AROUND } from "#app/days/plan/planned-of-tests.tsx";
import { said } from "#app/ui/said-of-tests.tsx";
import { crewOf } from "#core/day/crew/crew.ts";
import { BASIS, CHOICES, choicesOf, helper } from "#core/day/plan/days-of-tests.ts";
import { planForDate } from "#core/day/plan/plan-for-date.ts";
import type { Lever, LeverEffect } from "#core/processing-line/alternatives/what-helps.ts";
import type { Station } from "#core/processing-line/line-station.ts";

const DAY = "2026-09-19";
const SEVEN = Date.UTC(2026, 8, 19, 11);
const MINUTE = 60_000;
const seat = (name: string, stations: readonly Station[], personId?: number) => ({
  personId,
  name,
  stations,
});
const CREW = [
  seat("Tobias", ["cones", "scald", "pluck"]),
  seat("Maren", ["gut", "rinse"]),
  seat("Juno", ["pins", "rinse", "giblets"], 1),
];
const juno = helper(1, { name: "Juno", bornYear: 2012 });

describe("the line as a row of stations", () => {
  const sheet = (holding?: { station: Station; savedMinutes: number | undefined }) => {
    const choices = choicesOf({ ...CHOICES, startAt: SEVEN }, { birds: 12, people: 3, crew: CREW });
    const basis = { ...BASIS, helpers: [juno] };
    const planned = planForDate(basis, DAY, choices);
    const { plan } = planned;
    const crew = crewOf(CREW, 3, { helpers: [juno], year: 2026 });
    return {
      plan,
      words: said(
        <PlanShown planned={planned} basis={basis} around={AROUND} processedOn={DAY}>
          <LineSheet
            line={plan.line}
            crew={crew}
            helpers={[juno]}
            choices={choices}
            means={BASIS.means}
            dipSeconds={[60]}
            year={2026}
            holding={holding}
            onCrew={() => undefined}
          />
        </PlanShown>,
      ),
    };
  };

  test("says what each place did in words that add to all of its time", () => {
    const { plan, words } = sheet();
    const stations = words.match(
      /\d+ % worked, \d+ % no one free, \d+ % next station full, \d+ % waiting for birds/g,
    );
    expect(stations).toHaveLength(Object.keys(plan.line.answer.stations).length);
    for (const station of stations!) {
      const sum = station.match(/\d+/g)!.reduce((running, share) => running + Number(share), 0);
      expect(Math.abs(sum - 100)).toBeLessThanOrEqual(2);
    }
  });

  test("says what a tenth quicker would save where one station holds it, once that is known", () => {
    expect(sheet({ station: "gut", savedMinutes: 6.2 }).words).toContain(
      "Evisceration limits the line: 10 % faster there would finish the day 6 min sooner.",
    );
    const guessed = sheet({ station: "gut", savedMinutes: undefined }).words;
    expect(guessed).toContain("limits the line");
    expect(guessed).not.toContain("a tenth quicker");
    expect(sheet().words).not.toContain("limits the line");
  });

  test("gives everybody's share of the line's time, and leaves a child out of what is not for them", () => {
    const { plan, words } = sheet();
    const share = Math.round(100 * plan.line.answer.people[0]!);
    expect(words).toContain(`Share of time spent working: Tobias ${share} %`);
    // Giblets are a knife's work: Juno, fourteen, only pins and rinses, and no one else was told to do them.
    expect(words).toMatch(/Giblets 1 place nobody/);
    expect(words).toMatch(/Pinfeathers 2 places Juno/);
  });
});

describe("what would help most", () => {
  const effect = (lever: Lever, savedMinutes: number): LeverEffect => ({ lever, savedMinutes });
  const sheet = (helps: readonly LeverEffect[] | undefined, change = {}) =>
    said(
      <HelpsSheet
        helps={helps}
        startAt={SEVEN}
        doneAt={SEVEN + 240 * MINUTE}
        sunrise={SEVEN - 30 * MINUTE}
        cutUp={0}
        {...change}
      />,
    );

  test("is being worked out, or nothing at all, and says so", () => {
    expect(sheet(undefined)).toContain("Calculating");
    expect(sheet([])).toContain("No single change here would finish the day sooner.");
  });

  test("lists six that save, then what makes no difference, then what could be done without", () => {
    const places = [1, 2, 3, 4, 5, 6, 7].map((count) =>
      effect({ what: "more-cones", cones: 4 + count }, 40 - count),
    );
    const words = sheet([
      ...places,
      effect({ what: "pluck-more-at-once", birds: 3 }, 0.4),
      effect({ what: "without-person", name: "Juno" }, -0.2),
      effect({ what: "without-person", name: "Maren" }, -55),
      effect({ what: "fewer-cones", cones: 3 }, 0),
    ]);
    expect(words).toContain("With 5 cones −39 min");
    expect(words).toContain("With 10 cones −34 min");
    expect(words).not.toContain("With 11 cones");
    expect(words).toContain("No difference: Pluck 3 at a time.");
    expect(words).toContain("Not needed: Without Juno; With 3 cones.");
    expect(words).not.toContain("Maren");
  });

  test("says when it would be done an hour earlier, and that the first birds are killed in the dark then", () => {
    expect(sheet([])).toContain(
      "likely finish by 10:00 AM; the line takes just as long, with the first birds killed before",
    );
    expect(sheet([], { sunrise: SEVEN - 90 * MINUTE })).toContain("the line takes just as long.");
    expect(sheet([], { sunrise: undefined })).toContain("the line takes just as long.");
  });

  test("says plainly that fewer cut up make no difference where they are cut up after the rest", () => {
    expect(sheet([], { cutUp: 12 })).toContain(
      "No difference: fewer cut up, because cutting is done after resting.",
    );
  });

  test("tells each lever as a person would say it, with hours by the clock", () => {
    const words = sheet([
      effect({ what: "one-more-person" }, 50),
      effect({ what: "break-moved", fromMinute: 300, toMinute: 270 }, 9),
      effect({ what: "more-places", station: "gut", places: 1 }, 8),
      effect({ what: "scald-more-at-once", birds: 2 }, 7),
      effect({ what: "hotter-water", minutes: 10 }, 6),
      effect({ what: "more-tank", birds: 81 }, 5),
    ]);
    for (const one of [
      "One more practiced person, at any station −50 min",
      "Break at 11:30 AM −9 min",
      "Evisceration: 1 place −8 min",
      "Scald 2 at a time −7 min",
      "Refill the scalder from the hot tap −6 min",
      "Tanks for 81 birds −5 min",
    ])
      expect(words).toContain(one);
  });
});

describe("the best crew", () => {
  const crew = crewOf(CREW, 3, { helpers: [juno], year: 2026 });
  const found = (savedMinutes: number, alone = savedMinutes) => ({
    state: "found" as const,
    key: "now",
    proposed: {
      crew: [["cones", "scald", "pluck"], ["gut", "pins"], ["pins"]] as const,
      savedMinutes,
      moves: [{ person: 1, savedMinutes: alone }],
      single: { person: 1, stations: ["pins"] as const, savedMinutes: 12 },
      bottleneck: "pins" as const,
    },
  });
  const sheet = (search: Parameters<typeof BestCrewSheet>[0]["search"], currentKey = "now") =>
    said(
      <BestCrewSheet
        crew={crew}
        search={search}
        currentKey={currentKey}
        onSearch={() => undefined}
        onCrew={() => undefined}
      />,
    );

  test("is asked for, looked for, or could not be found out", () => {
    expect(sheet({ state: "none" })).toContain("Find a better crew");
    expect(sheet({ state: "searching" })).toContain("Trying crews");
    expect(sheet({ state: "failed" })).toContain("The plan is unchanged.");
  });

  test("stands beside what is set, with what each move saves alone and what limits the line then", () => {
    const words = sheet(found(31));
    expect(words).toContain("Done 31 min sooner; then pinfeathers limits the line.");
    expect(words).toContain("Maren evisceration, then rinse, inspect evisceration, then pinfeathers −31 min");
    expect(words).toContain("One move: Maren at pinfeathers, −12 min");
    expect(sheet(found(31, Number.NaN))).toContain("not alone");
    expect(sheet(found(31, -4))).toContain("+4 min");
    expect(sheet(found(31, 0.3))).toContain("0 min");
  });

  test("is not offered where it saves nothing, or where somebody has moved since", () => {
    expect(sheet(found(0.5))).toContain("No other arrangement of these people finishes sooner.");
    expect(sheet(found(31), "later")).toContain("Find a better crew");
  });
});
