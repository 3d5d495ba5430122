import { scaleLinear } from "d3-scale";
import { useId } from "react";
import { ChartFrame, XLabels, YLabels } from "#app/ui/chart-frame.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural, type Show } from "#app/words/show.ts";
import { MINUTE } from "#core/calendar/milliseconds.ts";
import type { PlanForDate } from "#core/day/plan/plan-for-date.ts";
import { birdsOf } from "#core/processing-line/line-day.ts";
import { MILLIGRAMS_PER_KILOGRAM, MILLIGRAMS_PER_POUND } from "#core/quantity/conversion.ts";

const HEIGHT = 190;
const LEFT = 64;
const RIGHT = 44;
const TOP = 22;
const BOTTOM = 26;
const FLOOR = HEIGHT - BOTTOM;
/** Room that a clock below the axis takes. */
const CLOCK_WIDTH = 70;

interface HourChartProps {
  planned: PlanForDate;
  atHandKilograms: number;
}

/** Ice melted so far as steps, what is at hand as a line, and birds in the tanks. */
export function HourChart(props: HourChartProps) {
  if (props.planned.plan.tanks.hours.length === 0) return null;
  return <ChartFrame>{(width) => <Drawn {...props} width={width} />}</ChartFrame>;
}

function Drawn({ planned: { plan, choices }, atHandKilograms, width }: HourChartProps & { width: number }) {
  const show = useShow();
  const id = useId();
  const { hours } = plan.tanks;
  const most = Math.max(plan.chill.ice.value, atHandKilograms) * 1.05;
  const x = scaleLinear([0, hours.length], [LEFT, width - RIGHT]);
  const y = scaleLinear([0, most], [FLOOR, TOP]);
  const perUnit = show.isUs ? MILLIGRAMS_PER_POUND / MILLIGRAMS_PER_KILOGRAM : 1;
  const ticks = scaleLinear([0, most / perUnit], [0, 1]).ticks(3);
  const clock = (minute: number) => show.time(choices.startAt + minute * MINUTE);
  const every = Math.ceil((hours.length * CLOCK_WIDTH) / (width - LEFT - RIGHT));
  const shown = hours.flatMap(({ fromMinute }, index) =>
    index % every === 0 ? [{ fromMinute, index }] : [],
  );
  return (
    <svg viewBox={`0 0 ${width} ${HEIGHT}`} role="img" aria-labelledby={id} className="block w-full">
      <title id={id}>{`Ice by the hour: ${hoursInWords(hours, clock, show)}`}</title>
      {hours.map(({ fromMinute, meltedKilograms }, index) => (
        <rect
          key={fromMinute}
          x={x(index) + 1.5}
          width={x(1) - x(0) - 3}
          y={y(meltedKilograms)}
          height={FLOOR - y(meltedKilograms)}
          className={
            atHandKilograms > 0 && meltedKilograms > atHandKilograms
              ? "fill-blush stroke-barn"
              : "fill-mist stroke-pine"
          }
        />
      ))}
      <YLabels
        x={LEFT - 6}
        labels={ticks.map((tick) => ({ y: y(tick * perUnit), words: `${tick} ${show.weightUnit}` }))}
      />
      {atHandKilograms > 0 && (
        <g transform={`translate(0 ${y(atHandKilograms)})`}>
          <line x1={LEFT} x2={width - RIGHT} className="stroke-ink stroke-2" />
          <text x={LEFT + 4} y={-5} className="fill-ink text-sm font-semibold">
            on hand {show.value(atHandKilograms, "kg")}
          </text>
        </g>
      )}
      <BirdLines hours={hours} birds={birdsOf(choices)} x={x} />
      <text x={width - RIGHT} y={TOP - 8} textAnchor="end" className="fill-soft text-xs">
        bars: ice melted · dashes: birds in · dots: birds cold
      </text>
      <line x1={LEFT} x2={width - RIGHT} y1={FLOOR} y2={FLOOR} className="stroke-ink" />
      <XLabels
        y={HEIGHT - 8}
        width={width}
        labels={shown.map(({ fromMinute, index }) => ({ x: x(index), words: clock(fromMinute) }))}
      />
    </svg>
  );
}

type Hours = PlanForDate["plan"]["tanks"]["hours"];

/** Birds in the tanks, and those of them that are cold, against all of the day's. */
function BirdLines({ hours, birds, x }: { hours: Hours; birds: number; x: (hour: number) => number }) {
  const y = scaleLinear([0, birds], [FLOOR, TOP]);
  const lineOf = (count: (hour: Hours[number]) => number) =>
    [`${x(0)},${y(0)}`, ...hours.map((hour, index) => `${x(index + 1)},${y(count(hour))}`)].join(" ");
  return (
    <>
      <polyline
        points={lineOf(({ birdsIn }) => birdsIn)}
        className="fill-none stroke-dawn stroke-2"
        strokeDasharray="6 3"
      />
      <polyline
        points={lineOf(({ coldBirds }) => coldBirds)}
        className="fill-none stroke-ink"
        strokeDasharray="2 3"
      />
      <text x={x(hours.length) + 4} y={y(birds) + 4} className="fill-soft text-sm">
        {birds}
      </text>
    </>
  );
}

const hoursInWords = (hours: Hours, clock: (minute: number) => string, show: Show): string =>
  hours
    .map(
      ({ fromMinute, meltedKilograms, birdsIn }) =>
        `by ${clock(fromMinute + 60)} ${show.value(meltedKilograms, "kg")} melted, ${plural(birdsIn, "bird")} in`,
    )
    .join("; ");
