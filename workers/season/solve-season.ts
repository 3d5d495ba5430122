import type { Highs, Model, ModelData } from "highs";
import type { LinearProgram } from "#core/season/linear-program.ts";
import { checkSeason, type SeasonCheck } from "#core/season/season-check.ts";
import { greedySeason } from "#core/season/season-greedy.ts";
import { seasonModel } from "#core/season/season-model.ts";
import type { SeasonAnswer, SeasonProblem } from "#core/season/season-problem.ts";

export interface SolvedSeason {
  readonly answer: SeasonAnswer;
  /**
   * "best": nothing earns more than the gap above it. "stopped": the best so far when somebody or the time said stop.
   * "mended": nothing keeps every firm rule and pin; this breaks the fewest.
   */
  readonly outcome: "best" | "stopped" | "mended";
  readonly cents: number;
  /** No season earns more than this, cents; undefined where the solver did not get to know. */
  readonly boundCents: number | undefined;
  readonly seconds: number;
}

export interface SeasonProgress {
  readonly cents: number;
  readonly boundCents: number | undefined;
  readonly seconds: number;
}

export interface SolveSettings {
  /** Stop when nothing can be better by more than this share. */
  readonly gap: number;
  readonly mostSeconds: number;
  readonly now: () => number;
  readonly onProgress?: (progress: SeasonProgress) => void;
  readonly isStopped?: () => boolean;
}

/**
 * Solves a season: greedily first, then by HiGHS from there. Whatever happens there is an answer, and every answer of
 * the solver is walked through day by day before it is believed.
 */
export function solveSeason(highs: Highs, problem: SeasonProblem, settings: SolveSettings): SolvedSeason {
  const startedAt = settings.now();
  const seconds = () => (settings.now() - startedAt) / 1000;
  const greedy = greedySeason(problem);
  let best: { answer: SeasonAnswer; check: SeasonCheck } = {
    answer: greedy,
    check: checkSeason(problem, greedy),
  };
  const consider = (answer: SeasonAnswer): void => {
    const check = checkSeason(problem, answer);
    if (isBetter(check, best.check)) best = { answer, check };
  };
  const tell = (boundCents: number | undefined) =>
    settings.onProgress?.({ cents: best.check.cents, boundCents, seconds: seconds() });
  tell(undefined);

  const run = (aim: "value" | "mend") => {
    const model = seasonModel(problem, { aim });
    return highs.withModel(modelData(highs, model.program), (solver) => {
      solver.options.set({
        output_flag: false,
        mip_rel_gap: settings.gap,
        // Starting over cost a quarter of the time on made-up seasons and found nothing better.
        mip_allow_restart: false,
        time_limit: Math.max(0.1, settings.mostSeconds - seconds()),
      });
      // The solver refuses a start outside its columns' bounds, which an answer that breaks a firm rule may be.
      if (aim === "value" && !best.check.broken.some(({ isFirm }) => isFirm))
        solver.setSolution(model.startFrom(best.answer));
      let bound: number | undefined;
      const { callbackType } = highs.constants;
      solver.run({
        [callbackType.mipImprovingSolution](event) {
          const columns = event.data.mip_solution;
          if (columns) consider(model.answerOf(columns));
          tell(bound);
        },
        [callbackType.mipInterrupt](event) {
          const dual = event.data.mip_dual_bound;
          if (dual !== undefined && Number.isFinite(dual)) bound = dual;
          if (settings.isStopped?.()) event.interrupt();
        },
      });
      const status = solver.getModelStatus();
      const isSolved = status === highs.constants.modelStatus.optimal;
      const isImpossible =
        status === highs.constants.modelStatus.infeasible ||
        status === highs.constants.modelStatus.unboundedOrInfeasible;
      if (!isImpossible) {
        readSolution(solver, (columns) => consider(model.answerOf(columns)));
        bound = Number(solver.info.get("mip_dual_bound"));
      }
      return {
        isSolved,
        isImpossible,
        bound: bound !== undefined && Number.isFinite(bound) ? bound : undefined,
      };
    });
  };

  const valued = run("value");
  if (!valued.isImpossible) return finished(valued.isSolved ? "best" : "stopped", valued.bound);
  run("mend");
  return finished("mended", undefined);

  function finished(outcome: SolvedSeason["outcome"], boundCents: number | undefined): SolvedSeason {
    return { answer: best.answer, outcome, cents: best.check.cents, boundCents, seconds: seconds() };
  }
}

/** Fewer firm rules broken is better; with as many, more money is. */
function isBetter(one: SeasonCheck, other: SeasonCheck): boolean {
  const firm = (check: SeasonCheck) => check.broken.filter(({ isFirm }) => isFirm).length;
  return firm(one) === firm(other) ? one.cents > other.cents : firm(one) < firm(other);
}

function readSolution(solver: Model, use: (columns: Float64Array) => void): void {
  const { colValue } = solver.getSolution();
  if (colValue && colValue.length > 0 && colValue.every(Number.isFinite)) use(Float64Array.from(colValue));
}

function modelData(highs: Highs, program: LinearProgram): ModelData {
  const numCols = program.cost.length;
  const numRows = program.rowLower.length;
  const { continuous, integer } = highs.constants.variableType;
  return {
    numCols,
    numRows,
    sense: highs.constants.objectiveSense.maximize,
    colCost: program.cost,
    colLower: program.lower,
    colUpper: program.upper,
    rowLower: program.rowLower,
    rowUpper: program.rowUpper,
    matrix: {
      format: "csr",
      numRows,
      numCols,
      starts: program.starts,
      indices: program.indices,
      values: program.values,
    },
    integrality: Int32Array.from(program.isWhole, (isWhole) => (isWhole ? integer : continuous)),
  };
}
