import type { SeasonProblem } from "#core/season/season-problem.ts";
import type { SeasonProgress, SolvedSeason } from "#workers/season/solve-season.ts";

/** What the worker is started with. It answers with exactly one of done and failed, and with progress before. */
export interface SeasonRequest {
  readonly problem: SeasonProblem;
  readonly gap: number;
  readonly mostSeconds: number;
  /** Set to 1 to stop: the solver is synchronous and reads no messages, but it looks here. */
  readonly stop: Int32Array<SharedArrayBuffer>;
}

export type SeasonReply =
  | { readonly type: "progress"; readonly progress: SeasonProgress }
  | { readonly type: "done"; readonly solved: SolvedSeason }
  | { readonly type: "failed"; readonly message: string };
