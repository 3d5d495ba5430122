import type { Allowed, CrewProposal } from "#core/processing-line/alternatives/best-crew.ts";
import type { Bottleneck } from "#core/processing-line/alternatives/line-whatif.ts";
import type { LeverEffect } from "#core/processing-line/alternatives/what-helps.ts";
import type { LineDay } from "#core/processing-line/line-day.ts";
import type { Station } from "#core/processing-line/line-station.ts";
import type { LineAnswer } from "#core/processing-line/line-tally.ts";
import type { WatchedReplication } from "#core/processing-line/watched-replication.ts";

/** What can be asked of the line's worker, and what it then answers. */
export type LineAsk =
  | { readonly what: "answer"; readonly day: LineDay; readonly seed: number; readonly replications: number }
  | { readonly what: "watched"; readonly day: LineDay; readonly seed: number }
  | { readonly what: "helps"; readonly day: LineDay; readonly seed: number; readonly replications: number }
  | {
      readonly what: "best crew";
      readonly day: LineDay;
      readonly seed: number;
      readonly allowed: Allowed;
      /** It gives the best that it has by then. */
      readonly mostMilliseconds: number;
    };

export interface RefinedAnswer {
  readonly answer: LineAnswer;
  readonly bottleneck: Bottleneck | undefined;
}

export interface ProposedCrew extends CrewProposal {
  /** The station that would hold the line then. */
  readonly bottleneck: Station | undefined;
}

export interface LineAnswers {
  readonly answer: RefinedAnswer;
  readonly watched: WatchedReplication;
  readonly helps: readonly LeverEffect[];
  readonly "best crew": ProposedCrew;
}

export type LineCommand =
  | { readonly type: "start"; readonly id: number; readonly ask: LineAsk }
  | { readonly type: "cancel"; readonly id: number };

/** Each start is answered by exactly one of done, failed or cancelled. */
export type LineReply =
  | { readonly type: "progress"; readonly id: number; readonly share: number }
  | { readonly type: "done"; readonly id: number; readonly result: LineAnswers[LineAsk["what"]] }
  | { readonly type: "failed"; readonly id: number; readonly message: string }
  | { readonly type: "cancelled"; readonly id: number };
