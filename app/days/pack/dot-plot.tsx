import { extent, group } from "d3-array";
import { scaleLinear } from "d3-scale";
import { useId } from "react";
import { ChartFrame } from "#app/ui/chart-frame.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import {
  MILLIGRAMS_PER_KILOGRAM,
  MILLIGRAMS_PER_OUNCE,
  MILLIGRAMS_PER_POUND,
} from "#core/quantity/conversion.ts";

interface DotPlotProps {
  /** In the order they were weighed; the last one is marked. */
  weights: readonly number[];
  /** Said above it, in a sentence. */
  sentence: string;
}

const DOT = 6;
/** Of steps at either end that stay empty. */
const EDGE_STEPS = 3;
const AXIS = 22;
/** The width of a label such as "4.5 lb"; one that would be cut off at the edge is left out. */
const LABEL = 48;

/** Each bird a dot over its weight, stacked where birds weigh alike; the last one stands out by color and ring. */
export function DotPlot(props: DotPlotProps) {
  return <ChartFrame>{(width) => <Drawn {...props} width={width} />}</ChartFrame>;
}

function Drawn({ weights, sentence, width }: DotPlotProps & { width: number }) {
  const show = useShow();
  const titleId = useId();
  const [low, high] = extent(weights);
  if (low === undefined || high === undefined) return null;
  // No step is narrower than a dot, so that no two dots beside each other overlap.
  const steps = Math.floor(width / (2 * DOT)) - 2 * EDGE_STEPS - 2;
  const fine = show.isUs ? MILLIGRAMS_PER_OUNCE * 1.6 : MILLIGRAMS_PER_KILOGRAM / 20;
  const step = Math.max(fine, (high - low) / steps);
  const x = scaleLinear([low - EDGE_STEPS * step, high + EDGE_STEPS * step], [DOT, width - DOT]);
  const stacks = group(
    weights.map((weight, index) => ({ weight, index })),
    ({ weight }) => Math.round(weight / step),
  );
  const tallest = Math.max(...[...stacks.values()].map((stack) => stack.length));
  const height = Math.max(5, tallest) * DOT * 2 + DOT;
  const unit = show.isUs ? MILLIGRAMS_PER_POUND : MILLIGRAMS_PER_KILOGRAM;
  const ticks = scaleLinear([x.domain()[0]! / unit, x.domain()[1]! / unit], [0, 1])
    .ticks(4)
    .filter((tick) => x(tick * unit) >= LABEL / 2 && x(tick * unit) <= width - LABEL / 2);
  return (
    <svg
      viewBox={`0 0 ${width} ${height + AXIS}`}
      role="img"
      aria-labelledby={titleId}
      className="block w-full"
    >
      <title id={titleId}>{sentence}</title>
      <line x2={width} y1={height} y2={height} className="stroke-ink" />
      {ticks.map((tick) => (
        <text key={tick} x={x(tick * unit)} y={height + 16} textAnchor="middle" className="axis-label">
          {tick} {show.weightUnit}
        </text>
      ))}
      {[...stacks].flatMap(([bin, stack]) =>
        stack.map(({ index }, place) => {
          const isLast = index === weights.length - 1;
          return (
            <circle
              key={index}
              cx={x(bin * step)}
              cy={height - DOT - place * DOT * 2}
              r={isLast ? DOT : DOT - 1}
              className={isLast ? "fill-dawn stroke-ink" : "fill-pine"}
            />
          );
        }),
      )}
    </svg>
  );
}
