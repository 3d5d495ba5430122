import { interpolateRound } from "d3-interpolate";
import { scaleLinear } from "d3-scale";
import { useId } from "react";
import { ChartFrame, XLabels } from "#app/ui/chart-frame.tsx";
import { HOUR, MINUTE } from "#core/calendar/milliseconds.ts";
import type { LotPlan } from "#core/day/plan/day-plan.ts";
import type { PlanForDate } from "#core/day/plan/plan-for-date.ts";

const HEIGHT = 150;
const LEFT = 8;
const BOTTOM = 24;

interface HoursChartProps {
  planned: PlanForDate;
  lot: LotPlan;
  feedOffAt: number;
  window: readonly [number, number];
}

/** Each bird as a line from a quick to a slow morning, a dot where it is on an ordinary one; the window is shaded. */
export function HoursChart(props: HoursChartProps) {
  return <ChartFrame>{(width) => <Drawn {...props} width={width} />}</ChartFrame>;
}

function Drawn({
  planned,
  lot,
  feedOffAt,
  window: [least, most],
  width,
}: HoursChartProps & { width: number }) {
  const id = useId();
  const kills = planned.plan.line.answer.kills.slice(lot.birdsBefore, lot.birdsBefore + lot.choices.birds);
  const offBy = hoursOffBy(planned.choices.startAt, lot, feedOffAt);
  const hours = kills.flatMap(({ p10, p90 }) => [offBy(p10), offBy(p90)]);
  const x = scaleLinear(
    [Math.min(least, ...hours) - 0.5, Math.max(most, ...hours) + 0.5],
    [LEFT, width - LEFT],
  ).interpolate(interpolateRound);
  const y = scaleLinear([0, Math.max(1, kills.length - 1)], [8, HEIGHT - BOTTOM - 8]).interpolate(
    interpolateRound,
  );
  const isOutside = (of: number) => of < least || of > most;
  const bar = (kill: (typeof kills)[number], at: number) =>
    `M${x(offBy(kill.p10))} ${at}H${x(offBy(kill.p90))}`;
  /** A round dot for each bird: a line of no length with round ends. */
  const dotsWhere = (outside: boolean) =>
    kills
      .map((kill, bird) =>
        isOutside(offBy(kill.p50)) === outside ? `M${x(offBy(kill.p50))} ${y(bird)}h0` : "",
      )
      .join("");
  const title = `Hours off feed for each of ${kills.length} birds in kill order; the window is ${least} to ${most} h`;
  return (
    <svg viewBox={`0 0 ${width} ${HEIGHT}`} role="img" aria-labelledby={id} className="my-2 block w-full">
      <title id={id}>{title}</title>
      <rect x={x(least)} width={x(most) - x(least)} height={HEIGHT - BOTTOM} className="fill-mist" />
      <path d={kills.map((kill, bird) => bar(kill, y(bird))).join("")} className="stroke-rule" />
      <path d={dotsWhere(false)} className="fill-none stroke-pine stroke-4" strokeLinecap="round" />
      <path d={dotsWhere(true)} className="fill-none stroke-barn stroke-4" strokeLinecap="round" />
      <text x={x(least) + 4} y={HEIGHT - BOTTOM - 6} className="fill-soft text-xs">
        window, {least} to {most} h
      </text>
      <XLabels
        y={HEIGHT - 6}
        width={width}
        labels={x.ticks(width < 480 ? 4 : 8).map((tick) => ({ x: x(tick), words: `${tick} h` }))}
      />
    </svg>
  );
}

/** Hours off feed of a bird killed so many minutes after the first bird's time; birds that stop at dusk are off from then. */
function hoursOffBy(startAt: number, { withdrawal }: LotPlan, feedOffAt: number): (minute: number) => number {
  const effectiveAt = Math.max(feedOffAt, startAt + withdrawal.share.effectiveOffHours * HOUR);
  return (minute) => (startAt + minute * MINUTE - Math.min(feedOffAt, effectiveAt)) / HOUR;
}
