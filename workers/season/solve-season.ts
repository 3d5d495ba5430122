import type { Highs, Model, ModelData } from "highs";
import type { LinearProgram } from "#core/season/linear-program.ts";
import { checkSeason, type SeasonCheck } from "#core/season/season-check.ts";
import { greedySeason } from "#core/season/season-greedy.ts";
import { type SeasonModel, seasonModel } from "#core/season/season-model.ts";
import type { SeasonAnswer, SeasonProblem } from "#core/season/season-problem.ts";

export interface SolvedSeason {
  readonly answer: SeasonAnswer;
  /**
   * "best": nothing earns more than the gap above it. "stopped": the best so far when someone or the time said stop.
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

/** What is solved: all that must be whole, or only which days; and with the days fixed, if they are given. */
interface Solve {
  readonly whole: "all" | "days";
  readonly gap: number;
  readonly fixed?: Float64Array;
}

interface Ran {
  readonly state: "solved" | "stopped" | "impossible";
  readonly columns: Float64Array | undefined;
}

/** Part of the gap that each of the two easier programs may leave. */
const RELAXED_SHARE = 0.6;

/**
 * Solves a season: greedily first, then by HiGHS: the days with birds that may be parted, then whole birds on those days,
 * and all at once where that left too much. Whatever happens there is an answer, and every answer of
 * the solver is walked through day by day before it is believed.
 */
export function solveSeason(highs: Highs, problem: SeasonProblem, settings: SolveSettings): SolvedSeason {
  return new Search(highs, problem, settings).solve();
}

class Search {
  private readonly startedAt: number;
  private readonly valued: SeasonModel;
  private best: { answer: SeasonAnswer; check: SeasonCheck };
  /** No season earns more: known once a program with all its days free says so. */
  private provenCents: number | undefined;

  constructor(
    private readonly highs: Highs,
    private readonly problem: SeasonProblem,
    private readonly settings: SolveSettings,
  ) {
    this.startedAt = settings.now();
    const greedy = greedySeason(problem);
    this.best = { answer: greedy, check: checkSeason(problem, greedy) };
    this.tell();
    this.valued = seasonModel(problem, { aim: "value" });
  }

  /** First which days: birds may be parted. Then whole birds on those days. What is left to gain is known from the first. */
  solve(): SolvedSeason {
    const { valued } = this;
    const { gap } = this.settings;
    const relaxed = this.run(valued, { whole: "days", gap: gap * RELAXED_SHARE });
    if (relaxed.state === "impossible") return this.repaired();
    if (relaxed.columns && relaxed.state === "solved")
      this.run(valued, { whole: "all", gap: gap * RELAXED_SHARE, fixed: relaxed.columns });
    const { cents } = this.best.check;
    if (this.provenCents !== undefined && this.provenCents - cents <= gap * Math.abs(cents))
      return this.finished("best", this.provenCents);
    const whole = this.run(valued, { whole: "all", gap });
    if (whole.state === "impossible") return this.repaired();
    return this.finished(whole.state === "solved" ? "best" : "stopped", this.provenCents);
  }

  private repaired(): SolvedSeason {
    this.run(seasonModel(this.problem, { aim: "mend" }), { whole: "all", gap: this.settings.gap });
    return this.finished("mended", undefined);
  }

  private finished(outcome: SolvedSeason["outcome"], boundCents: number | undefined): SolvedSeason {
    const { answer, check } = this.best;
    return { answer, outcome, cents: check.cents, boundCents, seconds: this.seconds() };
  }

  private seconds(): number {
    return (this.settings.now() - this.startedAt) / 1000;
  }

  private tell(): void {
    this.settings.onProgress?.({
      cents: this.best.check.cents,
      boundCents: this.provenCents,
      seconds: this.seconds(),
    });
  }

  private consider(answer: SeasonAnswer): void {
    const check = checkSeason(this.problem, answer);
    if (isBetter(check, this.best.check)) this.best = { answer, check };
  }

  /** Solves a program, or an easier one made of it, and considers what comes out. */
  private run(model: SeasonModel, asked: Solve): Ran {
    const { whole, fixed } = asked;
    const data = modelData(this.highs, model.program, whole, fixed);
    const prove = (dual: number | undefined): void => {
      if (!fixed && model === this.valued && dual !== undefined && Number.isFinite(dual))
        this.provenCents = Math.min(this.provenCents ?? Infinity, dual);
    };
    return this.highs.withModel(data, (solver): Ran => {
      this.prepare(solver, model, asked);
      const { callbackType, modelStatus } = this.highs.constants;
      solver.run({
        [callbackType.mipImprovingSolution]: (event) => {
          const columns = event.data.mip_solution;
          if (columns && whole === "all") this.consider(model.answerOf(columns));
          this.tell();
        },
        [callbackType.mipInterrupt]: (event) => {
          prove(event.data.mip_dual_bound);
          if (this.settings.isStopped?.()) event.interrupt();
        },
      });
      const status = solver.getModelStatus();
      if (status === modelStatus.infeasible || status === modelStatus.unboundedOrInfeasible)
        return { state: "impossible", columns: undefined };
      const columns = solutionOf(solver);
      if (columns) this.consider(model.answerOf(columns));
      prove(Number(solver.info.get("mip_dual_bound")));
      return { state: status === modelStatus.optimal ? "solved" : "stopped", columns };
    });
  }

  private prepare(solver: Model, model: SeasonModel, { whole, gap, fixed }: Solve): void {
    solver.options.set({
      output_flag: false,
      mip_rel_gap: gap,
      // Starting over cost a quarter of the time on made-up seasons and found nothing better.
      mip_allow_restart: false,
      time_limit: Math.max(0.1, this.settings.mostSeconds - this.seconds()),
    });
    // The solver refuses a start outside its columns' bounds, which an answer that breaks a firm rule may be.
    if (whole === "all" && !fixed && !this.best.check.broken.some(({ isFirm }) => isFirm))
      solver.setSolution(model.startFrom(this.best.answer));
  }
}

/** Fewer firm rules broken is better; with as many, more money is. */
function isBetter(one: SeasonCheck, other: SeasonCheck): boolean {
  const firm = (check: SeasonCheck) => check.broken.filter(({ isFirm }) => isFirm).length;
  return firm(one) === firm(other) ? one.cents > other.cents : firm(one) < firm(other);
}

function solutionOf(solver: Model): Float64Array | undefined {
  const { colValue } = solver.getSolution();
  return colValue && colValue.length > 0 && colValue.every(Number.isFinite) ? colValue : undefined;
}

/** The program as the solver takes it; with only its yes-or-no columns whole, or with those fixed as they came out. */
function modelData(
  highs: Highs,
  program: LinearProgram,
  whole: Solve["whole"],
  fixed: Float64Array | undefined,
): ModelData {
  const numCols = program.cost.length;
  const isYesOrNo = (column: number) => program.isWhole[column] === 1 && program.upper[column] === 1;
  const bound = (own: Float64Array) =>
    fixed ? own.map((value, column) => (isYesOrNo(column) ? Math.round(fixed[column]!) : value)) : own;
  const numRows = program.rowLower.length;
  const { continuous, integer } = highs.constants.variableType;
  return {
    numCols,
    numRows,
    sense: highs.constants.objectiveSense.maximize,
    colCost: program.cost,
    colLower: bound(program.lower),
    colUpper: bound(program.upper),
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
    integrality: Int32Array.from(program.isWhole, (isWhole, column) =>
      isWhole === 1 && (whole === "all" || isYesOrNo(column)) ? integer : continuous,
    ),
  };
}
