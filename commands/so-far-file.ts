import { z } from "zod";
import { MINUTE } from "#core/calendar/milliseconds.ts";
import { type DayFact, type FactKind, plainFact } from "#core/day/run/day-fact.ts";
import { MILESTONES, type Milestone } from "#core/processing-line/forecast/milestone.ts";
import { MOST_BIRDS } from "#core/processing-line/line-context.ts";
import { birdsOf, type LineDay } from "#core/processing-line/line-day.ts";

/** Taps that a file may hold: each bird of the largest day at each milestone, and as many of what is not counted. */
const MOST_TAPS = 2 * MOST_BIRDS * MILESTONES.length;

/** What a file may say beside the milestones. */
const OTHERS = ["start", "pause", "resume"] as const;
const KINDS = [...MILESTONES, ...OTHERS];
const FACT_OF: Readonly<Record<Milestone, FactKind>> = {
  kill: "kill",
  "dip-in": "dip-in",
  "dip-out": "dip-out",
  plucked: "plucked",
  table: "table",
  chill: "bird",
};
const isMilestone = (kind: (typeof KINDS)[number]): kind is Milestone =>
  MILESTONES.some((milestone) => milestone === kind);

const minute = z
  .number("must be a number")
  .min(0, "can't be before the start")
  .max(2880, "must be at most 2880");

/** What has been tapped of a day, minutes after its planned start. */
const SoFarFile = z
  .array(
    z.strictObject({
      kind: z.enum(KINDS, `must be one of ${KINDS.join(", ")}`),
      minute,
      birds: z
        .number("must be a number")
        .int("must be a whole number")
        .min(1, "must be at least 1")
        .max(100, "must be at most 100")
        .default(1),
    }),
    "must be an array of taps",
  )
  .max(MOST_TAPS, `must be at most ${MOST_TAPS} taps`);

/** The taps of a file as facts of a day that starts at 0, in order of time; or what is wrong with them. */
export function readSoFar(text: string, day: LineDay): { facts: DayFact[] } | { problems: string[] } {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return { problems: ["the taps are not JSON"] };
  }
  const read = SoFarFile.safeParse(json);
  if (!read.success)
    return { problems: read.error.issues.map(({ path, message }) => `taps ${path.join(".")}: ${message}`) };
  const birds = birdsOf(day);
  const countOf = (milestone: Milestone) =>
    read.data.reduce((sum, tap) => (tap.kind === milestone ? sum + tap.birds : sum), 0);
  const tooMany = MILESTONES.filter((milestone) => countOf(milestone) > birds);
  if (tooMany.length > 0)
    return {
      problems: tooMany.map((milestone) => `taps: more birds at ${milestone} than the day's ${birds}`),
    };
  const facts = read.data.map(({ kind, minute: at, birds: count }, index) => ({
    ...plainFact(isMilestone(kind) ? FACT_OF[kind] : kind, at * MINUTE),
    entryId: `tap-${index}`,
    birds: count,
  }));
  return { facts: facts.toSorted((one, other) => one.at - other.at) };
}
