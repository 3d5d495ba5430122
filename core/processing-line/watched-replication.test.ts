import { expect, test } from "vitest";
import { lotOf, ORDINARY_DAY } from "#core/processing-line/line-days-of-tests.ts";
import { readableReplication } from "#core/processing-line/readable-line.ts";
import {
  placeAt,
  typicalReplication,
  watchedReplication,
} from "#core/processing-line/watched-replication.ts";

const day = { ...ORDINARY_DAY, lots: [lotOf({ birds: 15 })], kit: { ...ORDINARY_DAY.kit, scaldAtOnce: 2 } };

test("every bird goes from its crate through each station once and into the chill, as the readable line has it", () => {
  const { birds } = watchedReplication(day, 3, 5);
  const { happenings, chilled } = readableReplication(day, 3, 5);
  for (const [bird, steps] of birds.entries()) {
    expect(placeAt(steps, -1)).toEqual({ at: "crate" });
    const stations = steps.flatMap(({ place }) => (place.at === "station" ? [place.station] : []));
    expect(stations).toEqual(["cones", "scald", "pluck", "feet", "pins", "gut", "rinse"]);
    expect(steps.at(-1)).toEqual({
      minute: chilled.find((one) => one.bird === bird)!.minute,
      place: { at: "chill" },
    });
    const gut = happenings.find(
      (one) => one.station === "gut" && one.bird === bird && one.what === "begins",
    )!;
    expect(placeAt(steps, gut.minute)).toEqual({ at: "station", station: "gut" });
  }
});

test("an ordinary morning is one that ends near the middle, and its worst minute lies within it", () => {
  const replication = typicalReplication(day, 3);
  expect(replication.worstMinute).toBeGreaterThan(replication.from);
  expect(replication.worstMinute).toBeLessThan(replication.to);
  const waiting = (minute: number) =>
    replication.birds.filter((steps) => placeAt(steps, minute).at === "before").length;
  for (const share of [0.1, 0.3, 0.5, 0.7, 0.9])
    expect(waiting(replication.worstMinute)).toBeGreaterThanOrEqual(waiting(replication.to * share));
});
