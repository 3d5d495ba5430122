import { scaleLinear } from "d3-scale";
import { area, curveMonotoneX, line } from "d3-shape";
import { useId } from "react";
import type { GrowthChartView } from "#app/batches/batch-view.server.ts";
import { DayMarks, placeDays, ROW_HEIGHT, useDayWords } from "#app/batches/growth/day-marks.tsx";
import { ChartFrame, XLabels, YLabels } from "#app/ui/chart-frame.tsx";
import { type Column, DataTable } from "#app/ui/data-table.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import { daysBetween } from "#core/calendar/local-day.ts";
import { MILLIGRAMS_PER_KILOGRAM, MILLIGRAMS_PER_POUND } from "#core/quantity/conversion.ts";

const MARGIN = { top: 18, right: 8, bottom: 26, left: 44 };

/** Live weight over time: the band of 8 in 10 birds, weigh-ins with their spread, the sizes that are wanted, today and the scheduled days. */
export function GrowthChart({ chart, sentence }: { chart: GrowthChartView; sentence: string }) {
  return (
    <figure className="m-0">
      <figcaption className="pb-1">{sentence}</figcaption>
      <ChartFrame>
        {(width) => (
          <Drawn chart={chart} width={width} height={width < 500 ? 260 : 290} sentence={sentence} />
        )}
      </ChartFrame>
      <ChartTable chart={chart} />
    </figure>
  );
}

interface DrawnProps {
  chart: GrowthChartView;
  width: number;
  height: number;
  sentence: string;
}

type Scale = (value: number) => number;

function Drawn({ chart, width, height, sentence }: DrawnProps) {
  const title = useId();
  const dayWords = useDayWords();
  const { points, weighIns, sizes, today, days } = chart;
  const first = points[0]!.day;
  const floor = height - MARGIN.bottom;
  const span = daysBetween(first, points.at(-1)!.day);
  const across = scaleLinear([0, span], [MARGIN.left, width - MARGIN.right]);
  const x = (day: string) => across(daysBetween(first, day));
  const isInside = ({ day }: { day: string }) =>
    daysBetween(first, day) >= 0 && daysBetween(first, day) <= span;
  const heaviest = 1.06 * Math.max(...[...points, ...weighIns].map(({ high }) => high));
  const marks = placeDays(
    days.filter(isInside).map((one) => ({ ...one, x: x(one.day), words: dayWords(one) })),
    [MARGIN.left, width],
  );
  const top = MARGIN.top + Math.max(0, ...marks.map(({ row }) => row)) * ROW_HEIGHT;
  const y = scaleLinear([0, heaviest], [floor, top]);
  const frame = { y, width, floor };
  const weeks = points.filter(({ ageDays }) => ageDays % 21 === 0);
  return (
    <svg viewBox={`0 0 ${width} ${height}`} role="img" aria-labelledby={title} className="block w-full">
      <title id={title}>{sentence}</title>
      <Sizes sizes={sizes} heaviest={heaviest} {...frame} />
      <Weights heaviest={heaviest} {...frame} />
      <Band points={points} x={x} y={y} />
      <DayMarks days={marks} top={top} floor={floor} />
      {isInside({ day: today }) && <Today x={x(today)} top={top} floor={floor} />}
      {weighIns.filter(isInside).map(({ day, mean, low, high }) => (
        <g key={day} transform={`translate(${x(day)} 0)`}>
          <line y1={y(low)} y2={y(high)} className="stroke-ink stroke-2" />
          <circle cy={y(mean)} r={4.5} className="fill-leaf stroke-ink stroke-2" />
        </g>
      ))}
      {weeks.map(({ day }) => (
        <line key={day} x1={x(day)} x2={x(day)} y1={floor} y2={floor + 5} className="stroke-soft" />
      ))}
      <XLabels
        y={floor + 18}
        width={width}
        labels={weeks.map(({ day, ageDays }) => ({ x: x(day), words: `${ageDays / 7} wk` }))}
      />
    </svg>
  );
}

interface FrameProps {
  y: Scale;
  width: number;
  floor: number;
}

/** The weights that someone wants birds of, as bands behind the curve. */
function Sizes({
  sizes,
  heaviest,
  y,
  width,
}: FrameProps & Pick<GrowthChartView, "sizes"> & { heaviest: number }) {
  return sizes.map(({ who, least = 0, most = heaviest }, index) => {
    const [top, bottom] = [y(Math.min(most, heaviest)), y(least)];
    return (
      <g key={who}>
        <rect
          x={MARGIN.left}
          y={top}
          width={width - MARGIN.left - MARGIN.right}
          height={Math.max(0, bottom - top)}
          className={index % 2 === 0 ? "fill-mist" : "fill-mist opacity-60"}
        />
        <text x={MARGIN.left + 6} y={bottom - 5} className="fill-soft text-xs">
          ordered by {who}
        </text>
      </g>
    );
  });
}

function Weights({ heaviest, y, width }: FrameProps & { heaviest: number }) {
  const show = useShow();
  const perUnit = (show.isUs ? MILLIGRAMS_PER_POUND : MILLIGRAMS_PER_KILOGRAM) / MILLIGRAMS_PER_KILOGRAM;
  const ticks = scaleLinear([0, heaviest / perUnit], [0, 1]).ticks(5);
  return (
    <>
      {ticks.map((tick) => (
        <line
          key={tick}
          x1={MARGIN.left}
          x2={width - MARGIN.right}
          y1={y(tick * perUnit)}
          y2={y(tick * perUnit)}
          className="stroke-rule"
        />
      ))}
      <YLabels
        x={MARGIN.left - 6}
        labels={ticks.map((tick) => ({ y: y(tick * perUnit), words: `${tick} ${show.weightUnit}` }))}
      />
    </>
  );
}

/** The mean, and the band of 8 in 10 birds about it. */
function Band({ points, x, y }: Pick<GrowthChartView, "points"> & { x: (day: string) => number; y: Scale }) {
  type Point = (typeof points)[number];
  const band = area<Point>()
    .x(({ day }) => x(day))
    .y0(({ low }) => y(low))
    .y1(({ high }) => y(high))
    .curve(curveMonotoneX);
  const mean = line<Point>()
    .x(({ day }) => x(day))
    .y((point) => y(point.mean))
    .curve(curveMonotoneX);
  return (
    <>
      <path d={band(points) ?? ""} className="fill-straw opacity-40" />
      <path d={mean(points) ?? ""} className="fill-none stroke-ink stroke-2" />
    </>
  );
}

function Today({ x, top, floor }: { x: number; top: number; floor: number }) {
  return (
    <g transform={`translate(${x} 0)`}>
      <line y1={top} y2={floor} className="stroke-dawn stroke-2" strokeDasharray="5 3" />
      <text x={-5} y={floor - 6} textAnchor="end" className="fill-ink text-xs font-semibold">
        today
      </text>
    </g>
  );
}

function ChartTable({ chart: { points, weighIns } }: { chart: GrowthChartView }) {
  const show = useShow();
  const weight = (kilograms: number) => show.value(kilograms, "live-kg");
  type Point = (typeof points)[number];
  const weighedAt = ({ ageDays }: Point) => weighIns.find((one) => Math.abs(one.ageDays - ageDays) < 3);
  const columns: Column<Point>[] = [
    { head: "Day", cell: ({ day }) => show.shortDay(day) },
    { head: "Age", cell: ({ ageDays }) => plural(ageDays, "day") },
    { head: "Mean live weight", cell: ({ mean }) => weight(mean), isNumber: true },
    { head: "8 in 10 birds", cell: ({ low, high }) => `${weight(low)} to ${weight(high)}`, isNumber: true },
    {
      head: "Weighed",
      cell: (point) => {
        const weighed = weighedAt(point);
        return weighed && `${weight(weighed.mean)}, ${plural(weighed.birds, "bird")}`;
      },
      isNumber: true,
    },
  ];
  return (
    <details className="text-sm">
      <summary className="lone-link text-soft">Show as a table</summary>
      <DataTable
        caption="Weights by day"
        columns={columns}
        rows={points.filter(({ ageDays }) => ageDays % 7 < 3)}
        keyOf={({ day }) => day}
      />
    </details>
  );
}
