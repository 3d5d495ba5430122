import { max, median } from "d3-array";
import loadHighs from "highs";
import { solve } from "yalps";
import { checkSeason } from "#core/season/season-check.ts";
import { seasonModel } from "#core/season/season-model.ts";
import type { SeasonProblem } from "#core/season/season-problem.ts";
import { madeUpSeason } from "#workers/season/made-up-season.ts";
import { solveSeason } from "#workers/season/solve-season.ts";

const GAP = 0.01;
const MOST_SECONDS = 60;
/** The plain solver is given so long, and no more: past the small sizes it does not end. */
const PLAIN_SECONDS = 20;

const SIZES = [
  { batches: 3, days: 20, window: [8, 20], seeds: 7, isPlain: true },
  { batches: 8, days: 60, window: [14, 60], seeds: 7, isPlain: true },
  { batches: 20, days: 180, window: [20, 120], seeds: 5, isPlain: false },
] as const;

/** Seasons of three sizes to a gap of 1 %, HiGHS against the same model in a plain JavaScript solver. */
export async function benchSeason(): Promise<void> {
  const highs = await loadHighs();
  console.log(`\nSeasons to a gap of ${GAP * 100} %, seconds; batches x days, several made-up seasons each`);
  for (const size of SIZES) {
    const problems = Array.from({ length: size.seeds }, (_, seed) => madeUpSeason(seed + 1, size));
    const solved = problems.map((problem) =>
      solveSeason(highs, problem, { gap: GAP, mostSeconds: MOST_SECONDS, now: () => performance.now() }),
    );
    const seconds = solved.map((one) => one.seconds);
    const unfinished = solved.filter(({ outcome }) => outcome !== "best").length;
    console.log(
      `${size.batches} x ${size.days}: HiGHS median ${median(seconds)!.toFixed(2)}, worst ${max(seconds)!.toFixed(2)}, ${unfinished} not finished`,
    );
    if (size.isPlain) comparePlain(problems.slice(0, 3), solved.slice(0, 3));
  }
}

function comparePlain(
  problems: readonly SeasonProblem[],
  solved: readonly { cents: number; seconds: number }[],
) {
  problems.forEach((problem, index) => {
    const startedAt = performance.now();
    const answer = solvePlainly(problem);
    const seconds = (performance.now() - startedAt) / 1000;
    const { cents } = solved[index]!;
    const check = answer && checkSeason(problem, answer);
    const firm = check?.broken.filter(({ isFirm }) => isFirm).length ?? 0;
    const worth = check ? `${((100 * check.cents) / cents).toFixed(1)} % of HiGHS's value` : "no answer";
    console.log(
      `   plain solver, season ${index + 1}: ${seconds.toFixed(2)} s, x${(seconds / solved[index]!.seconds).toFixed(1)}, ${worth}, ${firm} firm rules broken`,
    );
  });
}

/** The same program, column by column, for a solver that knows no bounds but rows. */
function solvePlainly(problem: SeasonProblem) {
  const { program, answerOf } = seasonModel(problem, { aim: "value" });
  const columns = program.cost.length;
  const variables = Array.from({ length: columns }, () => new Map<string, number>());
  const constraints = new Map<string, { min?: number; max?: number }>();
  const bounded = (name: string, low: number, high: number) =>
    constraints.set(name, {
      ...(Number.isFinite(low) && { min: low }),
      ...(Number.isFinite(high) && { max: high }),
    });
  for (let row = 0; row < program.rowLower.length; row += 1) {
    bounded(`r${row}`, program.rowLower[row]!, program.rowUpper[row]!);
    for (let at = program.starts[row]!; at < program.starts[row + 1]!; at += 1)
      variables[program.indices[at]!]!.set(`r${row}`, program.values[at]!);
  }
  for (let column = 0; column < columns; column += 1) {
    variables[column]!.set("value", program.cost[column]!);
    if (!Number.isFinite(program.upper[column]!)) continue;
    bounded(`c${column}`, -Infinity, program.upper[column]!);
    variables[column]!.set(`c${column}`, 1);
  }
  const name = (column: number) => `x${column}`;
  const whole = Array.from(program.isWhole.keys()).filter((column) => program.isWhole[column] === 1);
  const { variables: found, result } = solve(
    {
      direction: "maximize",
      objective: "value",
      constraints,
      variables: variables.map((terms, column) => [name(column), terms] as const),
      integers: whole.map(name),
    },
    { tolerance: GAP, timeout: PLAIN_SECONDS * 1000, maxIterations: Infinity },
  );
  if (!Number.isFinite(result)) return undefined;
  const values = new Float64Array(columns);
  for (const [column, value] of found) values[Number(column.slice(1))] = value;
  return answerOf(values);
}
