import {
  bestCrew,
  crewProposal,
  type FoundCrew,
  withCrew,
} from "#core/processing-line/alternatives/best-crew.ts";
import { bottleneck } from "#core/processing-line/alternatives/line-whatif.ts";
import { leversOf, whatHelps } from "#core/processing-line/alternatives/what-helps.ts";
import { LineTally } from "#core/processing-line/line-tally.ts";
import { comparedReplications } from "#core/processing-line/replications.ts";
import { typicalReplication } from "#core/processing-line/watched-replication.ts";
import type { LineAnswers, LineAsk } from "#workers/line/protocol.ts";

/** Replications between two looks at whether someone has changed their mind. */
const SLICE = 50;

/**
 * Answers what was asked in slices, each yield the share that is done; its caller decides whether to go on.
 *
 * @param now milliseconds on any clock that only goes forward
 */
export function* answerAsk(ask: LineAsk, now: () => number): Generator<number, LineAnswers[LineAsk["what"]]> {
  switch (ask.what) {
    case "answer": {
      const { day, seed } = ask;
      const tally = new LineTally(day, seed);
      while (tally.played < ask.replications) {
        tally.play(Math.min(SLICE, ask.replications - tally.played));
        yield (0.9 * tally.played) / ask.replications;
      }
      return { answer: tally.answer(), bottleneck: bottleneck(day, seed, comparedReplications(day)) };
    }
    case "watched":
      return typicalReplication(ask.day, ask.seed);
    case "helps": {
      const levers = leversOf(ask.day).length;
      const effects = whatHelps(ask.day, ask.seed, ask.replications);
      for (let done = 1; ; done += 1) {
        const step = effects.next();
        if (step.done) return step.value;
        yield done / levers;
      }
    }
    case "best crew": {
      const until = now() + ask.mostMilliseconds;
      const search = bestCrew(ask);
      let best: FoundCrew | undefined;
      for (;;) {
        const step = search.next();
        best = step.value;
        if (step.done || now() > until) break;
        yield 1 - (until - now()) / ask.mostMilliseconds;
      }
      const holds = bottleneck(withCrew(ask.day, best.crew), ask.seed, comparedReplications(ask.day));
      return { ...crewProposal(ask, best), bottleneck: holds?.station };
    }
  }
}
