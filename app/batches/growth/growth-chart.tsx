import { scaleLinear } from "d3-scale";
import { area, curveMonotoneX, line } from "d3-shape";
import { useId } from "react";
import type { GrowthChartView } from "#app/batches/batch-view.server.ts";
import { ChartFrame } from "#app/ui/chart-frame.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import { daysBetween } from "#core/calendar/local-day.ts";
import { MILLIGRAMS_PER_KILOGRAM, MILLIGRAMS_PER_POUND } from "#core/quantity/conversion.ts";

const MARGIN = { top: 18, right: 8, bottom: 26, left: 44 };

/** Live weight over time: the band of 8 in 10 birds, weigh-ins with their spread, the sizes that are wanted, today and the days set. */
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

function Drawn({ chart, width, height, sentence }: DrawnProps) {
  const show = useShow();
  const title = useId();
  const { points, weighIns, sizes, today, days } = chart;
  const first = points[0]!.day;
  const at = (day: string) => daysBetween(first, day);
  const x = scaleLinear([0, at(points.at(-1)!.day)], [MARGIN.left, width - MARGIN.right]);
  const heaviest = Math.max(...points.map(({ high }) => high), ...weighIns.map(({ high }) => high));
  const perUnit = (show.isUs ? MILLIGRAMS_PER_POUND : MILLIGRAMS_PER_KILOGRAM) / MILLIGRAMS_PER_KILOGRAM;
  const y = scaleLinear([0, heaviest * 1.06], [height - MARGIN.bottom, MARGIN.top]);
  const inUnits = scaleLinear([0, (heaviest * 1.06) / perUnit], [height - MARGIN.bottom, MARGIN.top]);
  const band = area<(typeof points)[number]>()
    .x(({ day }) => x(at(day)))
    .y0(({ low }) => y(low))
    .y1(({ high }) => y(high))
    .curve(curveMonotoneX);
  const mean = line<(typeof points)[number]>()
    .x(({ day }) => x(at(day)))
    .y((point) => y(point.mean))
    .curve(curveMonotoneX);
  const weeks = points.filter(({ ageDays }) => ageDays % 21 === 0);
  const isInside = (day: string) => at(day) >= 0 && at(day) <= x.domain()[1]!;
  return (
    <svg viewBox={`0 0 ${width} ${height}`} role="img" aria-labelledby={title} className="block w-full">
      <title id={title}>{sentence}</title>
      {sizes.map(({ who, least = 0, most = heaviest * 1.06 }, index) => {
        const [top, bottom] = [y(Math.min(most, heaviest * 1.06)), y(least)];
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
      })}
      {inUnits.ticks(5).map((tick) => (
        <g key={tick} transform={`translate(0 ${inUnits(tick)})`}>
          <line x1={MARGIN.left} x2={width - MARGIN.right} className="stroke-rule" />
          <text x={MARGIN.left - 6} dy="0.32em" textAnchor="end" className="fill-soft font-mono text-xs">
            {tick} {show.weightUnit}
          </text>
        </g>
      ))}
      <path d={band(points) ?? ""} className="fill-straw opacity-40" />
      <path d={mean(points) ?? ""} className="fill-none stroke-ink stroke-2" />
      {days
        .filter(({ day }) => isInside(day))
        .map(({ day, birds }) => (
          <g key={day} transform={`translate(${x(at(day))} 0)`}>
            <line y1={MARGIN.top} y2={height - MARGIN.bottom} className="stroke-pine stroke-2" />
            <text
              y={MARGIN.top - 5}
              textAnchor={x(at(day)) > width - 120 ? "end" : "middle"}
              className="fill-pine text-xs font-semibold"
            >
              {plural(birds, "bird")}, {show.shortDay(day).slice(4)}
            </text>
          </g>
        ))}
      {isInside(today) && (
        <g transform={`translate(${x(at(today))} 0)`}>
          <line
            y1={MARGIN.top}
            y2={height - MARGIN.bottom}
            className="stroke-dawn stroke-2"
            strokeDasharray="5 3"
          />
          <text
            x={-5}
            y={height - MARGIN.bottom - 6}
            textAnchor="end"
            className="fill-ink text-xs font-semibold"
          >
            today
          </text>
        </g>
      )}
      {weighIns
        .filter(({ day }) => isInside(day))
        .map(({ day, mean: middle, low, high }) => (
          <g key={day} transform={`translate(${x(at(day))} 0)`}>
            <line y1={y(low)} y2={y(high)} className="stroke-ink stroke-2" />
            <circle cy={y(middle)} r={4.5} className="fill-leaf stroke-ink stroke-2" />
          </g>
        ))}
      {weeks.map(({ day, ageDays }) => (
        <g key={day} transform={`translate(${x(at(day))} ${height - MARGIN.bottom})`}>
          <line y2={5} className="stroke-soft" />
          <text y={18} textAnchor="middle" className="fill-soft font-mono text-xs">
            {ageDays / 7} wk
          </text>
        </g>
      ))}
    </svg>
  );
}

function ChartTable({ chart: { points, weighIns } }: { chart: GrowthChartView }) {
  const show = useShow();
  const rows = points.filter(({ ageDays }) => ageDays % 7 < 3);
  return (
    <details className="text-sm">
      <summary className="min-h-8 text-soft underline">Show as a table</summary>
      <table className="w-full max-w-prose">
        <thead className="text-left text-soft">
          <tr>
            <th scope="col">Day</th>
            <th scope="col">Age</th>
            <th scope="col">Mean live weight</th>
            <th scope="col">8 in 10 birds</th>
            <th scope="col">Weighed</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ day, ageDays, mean, low, high }) => {
            const weighed = weighIns.find((one) => Math.abs(one.ageDays - ageDays) < 3);
            return (
              <tr key={day} className="border-t border-rule">
                <th scope="row" className="text-left font-normal">
                  {show.shortDay(day)}
                </th>
                <td>{plural(ageDays, "day")}</td>
                <td className="font-mono">{show.value(mean, "live-kg")}</td>
                <td className="font-mono">
                  {show.value(low, "live-kg")} to {show.value(high, "live-kg")}
                </td>
                <td className="font-mono">
                  {weighed && `${show.value(weighed.mean, "live-kg")}, ${plural(weighed.birds, "bird")}`}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </details>
  );
}
