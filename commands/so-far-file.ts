import { z } from "zod";
import { MILESTONES, type MilestoneTap } from "#core/processing-line/forecast/milestone.ts";
import { MOST_BIRDS } from "#core/processing-line/line-context.ts";
import { birdsOf, type LineDay } from "#core/processing-line/line-day.ts";

/** Taps that a file may hold: each bird of the largest day at each milestone, and as many of what is not counted. */
const MOST_TAPS = 2 * MOST_BIRDS * MILESTONES.length;

const minute = z
  .number("must be a number")
  .min(0, "can't be before the start")
  .max(2880, "must be at most 2880");

/** What has been tapped of a day, minutes after its planned start. */
const SoFarFile = z
  .array(
    z.strictObject({
      kind: z.enum(MILESTONES, `must be one of ${MILESTONES.join(", ")}`),
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

/** The taps of a file, or what is wrong with them. */
export function readSoFar(text: string, day: LineDay): { taps: MilestoneTap[] } | { problems: string[] } {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return { problems: ["the taps are not JSON"] };
  }
  const read = SoFarFile.safeParse(json);
  if (!read.success)
    return { problems: read.error.issues.map(({ path, message }) => `taps ${path.join(".")}: ${message}`) };
  const taps = read.data.map(({ kind, ...tap }) => ({ milestone: kind, ...tap }));
  const birds = birdsOf(day);
  const tooMany = MILESTONES.filter(
    (milestone) =>
      taps.filter((tap) => tap.milestone === milestone).reduce((sum, tap) => sum + tap.birds, 0) > birds,
  );
  return tooMany.length > 0
    ? { problems: tooMany.map((milestone) => `taps: more birds at ${milestone} than the day's ${birds}`) }
    : { taps };
}
