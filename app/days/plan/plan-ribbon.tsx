import { SkyRibbon } from "#app/ui/sky/sky-ribbon.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import type { Show } from "#app/words/show.ts";
import { startOfDay } from "#core/calendar/farm-time.ts";
import { HOUR, MINUTE } from "#core/calendar/milliseconds.ts";
import type { PlanForDate } from "#core/day/plan/plan-for-date.ts";
import { skyBetween } from "#core/sky/farm-sky.ts";
import type { Place } from "#core/sky/sun.ts";

interface PlanRibbonProps {
  planned: PlanForDate;
  processedOn: string;
  startAt: number;
  place: Place;
}

/** When each lot after the first begins, and the bath that it is scalded in. */
const laterLots = ({ lots, line }: PlanForDate["plan"], startAt: number, show: Show) =>
  lots.slice(1).flatMap(({ batchName, birdsBefore, scald }) => {
    const first = line.answer.kills[birdsBefore];
    return first
      ? [
          {
            at: startAt + first.p50 * MINUTE,
            label: `${batchName}, ${show.temperature(scald.bath.value)}`,
          },
        ]
      : [];
  });

/** The day on its sky, from the evening before to bedtime. */
export function PlanRibbon({ planned: { plan, sun }, processedOn, startAt, place }: PlanRibbonProps) {
  const show = useShow();
  const { lots, line, heat } = plan;
  const midnight = startOfDay(processedOn, show.timeZone);
  const feedsOff = lots.map(({ withdrawal }) => withdrawal.feedOffAt.value);
  const from = Math.min(midnight - 6 * HOUR, ...feedsOff.map((at) => at - HOUR));
  const to = Math.max(midnight + 22 * HOUR, line.nineInTenAt.value + 2 * HOUR);
  const marks = [
    ...lots.map(({ batchName }, index) => ({
      at: feedsOff[index]!,
      label: lots.length > 1 ? `Feed off ${batchName}` : "Feed off",
    })),
    ...(heat.burner.possible ? [{ at: heat.burner.safeAt.value, label: "Heat on" }] : []),
    { at: startAt, label: "First bird" },
    ...laterLots(plan, startAt, show),
    { at: line.likelyAt.value, label: "Likely done" },
    { at: line.nineInTenAt.value, label: "9 in 10" },
    ...(sun.sunrise === undefined ? [] : [{ at: sun.sunrise, label: "Sunrise" }]),
    ...(sun.sunset === undefined ? [] : [{ at: sun.sunset, label: "Sunset" }]),
  ];
  return (
    <SkyRibbon
      sky={skyBetween(from, to, place)}
      marks={marks}
      spans={[
        { from: startAt, to: line.likelyAt.value, strength: "full" },
        { from: line.likelyAt.value, to: line.nineInTenAt.value, strength: "half" },
      ]}
      sentence={`${show.longDay(processedOn)}: ${marks
        .toSorted((one, other) => one.at - other.at)
        .map((mark) => `${mark.label} ${show.dayTime(mark.at)}`)
        .join(", ")}.`}
    />
  );
}
