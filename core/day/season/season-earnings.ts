import { input, type Reckoning, reckoning } from "#core/reckoning/reckoning.ts";
import type { SeasonCheck } from "#core/season/season-check.ts";
import type { SeasonAnswer, SeasonProblem } from "#core/season/season-problem.ts";

/** What a season earns, with its working. @param check the same answer, walked through */
export function seasonEarnings(
  problem: SeasonProblem,
  { placements }: SeasonAnswer,
  check: SeasonCheck,
): Reckoning {
  const worths = placements.map(({ lot, day, way, birds }) => {
    const option = problem.lots[lot]!.options.find((one) => one.day === day && one.way === way);
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
      input("birds proposed", sum(placements.map(({ birds }) => birds)), "birds", "worked out"),
      input("they sell for, less feed from today and hands", sum(worths), "cents", "worked out"),
      input("days to be held", held.length, "count", "worked out"),
      input("the days themselves: hire, set-up, clean-up", sum(spent), "cents", "worked out"),
      input("wishes given up", sum(check.broken.map(({ cents }) => cents)), "cents", "worked out"),
    ],
    rule: "What the proposed birds are worth on their days, less the days themselves and the wishes given up. Days that are set already are not in it.",
    source: "season",
  });
}

const sum = (numbers: readonly number[]) => numbers.reduce((running, number) => running + number, 0);
