import { describe, expect, test } from "vitest";
import {
  birdsInWords,
  breakInWords,
  cutUpInWords,
  extrasInWords,
  peopleInWords,
  scaldInWords,
  withdrawalInWords,
} from "#app/words/choice-words.ts";
import { showUnits } from "#app/words/show.ts";
import { CHOICES, LOT } from "#core/day/plan/days-of-tests.ts";

const pounds = showUnits("us");
const DAY = { ...CHOICES, startAt: Date.UTC(2026, 8, 19, 11) };
const seat = (name: string, personId?: number) => ({ name, personId, stations: ["gut"] as const });

describe("the sentence of a plan", () => {
  test("names people, and counts those without a name", () => {
    expect(peopleInWords([seat("Tobias", 1), seat("Maren", 2)])).toBe("Tobias and Maren");
    expect(peopleInWords([seat("Tobias", 1), seat("Helper 2"), seat("Helper 3")])).toBe(
      "Tobias and 2 helpers",
    );
    expect(peopleInWords([seat("Helper 1")])).toBe("1 helper");
    // A person may be called so.
    expect(peopleInWords([seat("Helper 1", 4)])).toBe("Helper 1");
  });

  test("says birds, how they are scalded, and how long they are off feed", () => {
    expect(birdsInWords({ ...LOT, birds: 1, whichBirds: "as-they-come" })).toBe("1 bird");
    expect(birdsInWords({ ...LOT, birds: 12, whichBirds: "biggest" })).toBe("12 birds, largest first,");
    expect([0, 5].map((cutUp) => cutUpInWords({ ...LOT, cutUp }))).toEqual(["none cut up", "5 cut up"]);
    expect(scaldInWords({ ...LOT, scaldMethod: "middle", scaldCelsius: undefined }, pounds)).toBe("medium");
    expect(scaldInWords({ ...LOT, scaldMethod: "middle", scaldCelsius: 60 }, pounds)).toBe(
      "medium at 140 °F",
    );
    expect(withdrawalInWords({ ...LOT, withdrawalMethod: "short" })).toMatch(/^short, 8 to 12 h/);
  });

  test("says a break at its hour, also at one that the clock skips that night", () => {
    const at = (breakMinutes: number, breakAtMinute: number, processedOn: string) =>
      breakInWords({ breakMinutes, breakAtMinute, processedOn }, { ...pounds, timeZone: "America/New_York" });
    expect(at(0, 720, "2026-09-19")).toBe("no break");
    expect(at(40, 720, "2026-09-19")).toMatch(/^a break of 40 min at \d{1,2}:00 [AP]M$/);
    expect(at(20, 150, "2026-03-08")).toBe("a break of 20 min at 02:30");
  });

  test("says water, brine, and rain only where they are chosen", () => {
    expect(extrasInWords(DAY, pounds)).toBe("");
    expect(
      extrasInWords(
        { ...DAY, isRainExpected: true, coolsAfter: true, changeWaterBirds: 20, brineFraction: 0.012 },
        pounds,
      ),
    ).toBe("rain, a cool dip after it, fresh scald water every 20 birds, and brine to 1.2 % salt");
  });
});
