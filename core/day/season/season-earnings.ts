import { input, type Reckoning, reckoning } from "#core/reckoning/reckoning.ts";
import type { SeasonCheck } from "#core/season/season-check.ts";
import type { SeasonAnswer, SeasonProblem } from "#core/season/season-problem.ts";

/** What a season earns, with its working. @param check the same answer, walked through */
export function seasonEarnings(
  problem: SeasonProblem,
  { placements }: SeasonAnswer,
  check: SeasonCheck,
): Reckoning {
  const worths = placements.map(({ group, day, way, birds }) => {
    const option = problem.groups[group]!.options.find((one) => one.day === day && one.way === way);
    return birds * (option?.centsEach ?? 0);
  });
  const held = [...new Set(placements.map(({ day }) => problem.days[day]!))].filter(
    ({ heldBirds }) => heldBirds === 0,
  );
  const spent = held.map(({ openCents }) => openCents);
  return reckoning({
    value: check.cents,
    unit: "cents",
    inputs: [
      input("birds-proposed", sum(placements.map(({ birds }) => birds)), "birds", "calculated"),
      input("sales-minus-feed-from-today-and-labor", sum(worths), "cents", "calculated"),
      input("processing-days", held.length, "count", "calculated"),
      input("rental-setup-and-cleanup", sum(spent), "cents", "calculated"),
      input("exceeded-limits", sum(check.broken.map(({ cents }) => cents)), "cents", "calculated"),
    ],
    rule: "season-earnings",
    source: "season",
  });
}

const sum = (numbers: readonly number[]) => numbers.reduce((running, number) => running + number, 0);
