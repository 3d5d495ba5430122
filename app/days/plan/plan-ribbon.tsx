import { SkyRibbon } from "#app/ui/sky-ribbon.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { startOfDay } from "#core/calendar/farm-time.ts";
import { HOUR } from "#core/calendar/milliseconds.ts";
import type { PlanForDate } from "#core/day/plan/plan-for-date.ts";
import { skyBetween } from "#core/sky/farm-sky.ts";
import type { Place } from "#core/sky/sun.ts";

interface PlanRibbonProps {
  planned: PlanForDate;
  processedOn: string;
  startAt: number;
  place: Place;
}

/** The day on its sky, from the evening before to bedtime. */
export function PlanRibbon({ planned: { plan, sun }, processedOn, startAt, place }: PlanRibbonProps) {
  const show = useShow();
  const { line, withdrawal, scald } = plan;
  const midnight = startOfDay(processedOn, show.timeZone);
  const feedOff = withdrawal.feedOffAt.value;
  const from = Math.min(midnight - 6 * HOUR, feedOff - HOUR);
  const to = Math.max(midnight + 22 * HOUR, line.nineInTenAt.value + 2 * HOUR);
  const marks = [
    { at: feedOff, label: "Feed off" },
    ...(scald.burner.possible ? [{ at: scald.burner.safeAt.value, label: "Light burner" }] : []),
    { at: startAt, label: "First bird" },
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
