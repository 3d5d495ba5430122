import { scaleLinear } from "d3-scale";
import { area, line } from "d3-shape";
import { useId } from "react";
import { ChartFrame, XLabels, YLabels } from "#app/ui/chart-frame.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { SCALD_OPTIONS } from "#app/words/words.ts";
import type { LotPlan } from "#core/day/plan/day-plan.ts";
import type { DipPoint } from "#core/day/plan/dip-curve.ts";
import { METHOD_BATH, SCALD_METHODS } from "#core/scald/scald-constants.ts";

const HEIGHT = 200;
const TOP = 6;
const LEFT = 56;
const BOTTOM = 26;
const FLOOR = HEIGHT - BOTTOM;
const MOST_SECONDS = 240;

interface DipChartProps {
  lot: LotPlan;
}

/** Seconds against temperature for this kind: where feathers still hold, where they slip, and where the skin tears. */
export function DipChart(props: DipChartProps) {
  return <ChartFrame>{(width) => <Drawn {...props} width={width} />}</ChartFrame>;
}

function Drawn({ lot, width }: DipChartProps & { width: number }) {
  const show = useShow();
  const id = useId();
  const { dips, choices } = lot;
  const { bath, seconds, secondsRange, skinCeilingCelsius } = lot.scald;
  const x = scaleLinear([50, skinCeilingCelsius + (width < 480 ? 3 : 2)], [LEFT, width]);
  const y = scaleLinear([0, MOST_SECONDS], [FLOOR, TOP]).clamp(true);
  const good = area<DipPoint>(
    ({ celsius }) => x(celsius),
    ({ earliest }) => y(earliest),
    ({ latest }) => y(latest),
  ).digits(1);
  const best = line<DipPoint>(
    (dip) => x(dip.celsius),
    (dip) => y(dip.seconds),
  ).digits(1);
  const [earliest, latest] = secondsRange.map(Math.round);
  const title = `Seconds by temperature: at ${show.temperature(bath.value)} from ${earliest} to ${latest} seconds; skin tears after ${show.temperature(skinCeilingCelsius)}`;
  return (
    <svg viewBox={`0 0 ${width} ${HEIGHT}`} role="img" aria-labelledby={id} className="block w-full">
      <title id={id}>{title}</title>
      <Bands chosen={choices.scaldMethod} x={x} />
      <path d={good(dips) ?? ""} className="fill-mist" />
      {SCALD_METHODS.map((method) => (
        <text key={method} x={x(METHOD_BATH[method].band[0]) + 3} y={20} className="fill-ink text-xs">
          {SCALD_OPTIONS.find(({ value }) => value === method)!.label}
        </text>
      ))}
      <path d={best(dips) ?? ""} className="fill-none stroke-pine stroke-2" />
      <SkinTears from={x(skinCeilingCelsius)} width={width} />
      <text x={LEFT + 8} y={FLOOR - 10} className="fill-ink text-xs">
        feathers stay in
      </text>
      <circle cx={x(bath.value)} cy={y(seconds.value)} r={5} className="fill-dawn stroke-ink" />
      <YLabels x={LEFT - 6} labels={[60, 120, 180, 240].map((of) => ({ y: y(of), words: `${of} s` }))} />
      <XLabels
        y={HEIGHT - 8}
        width={width}
        labels={x
          .ticks(width < 480 ? 3 : 6)
          .map((celsius) => ({ x: x(celsius), words: show.temperature(celsius) }))}
      />
    </svg>
  );
}

/** The bath of each method. */
function Bands({ chosen, x }: { chosen: string; x: (celsius: number) => number }) {
  return SCALD_METHODS.map((method) => {
    const [from, to] = METHOD_BATH[method].band;
    return (
      <rect
        key={method}
        x={x(from)}
        width={x(to) - x(from)}
        y={TOP}
        height={FLOOR - TOP}
        className={method === chosen ? "fill-wheat" : "fill-paper"}
      />
    );
  });
}

function SkinTears({ from, width }: { from: number; width: number }) {
  return (
    <g transform={`translate(${from} ${TOP})`}>
      <rect width={width - from} height={FLOOR - TOP} className="fill-blush" />
      <text x={4} y={54} className="fill-barn text-xs font-semibold">
        skin
      </text>
      <text x={4} y={68} className="fill-barn text-xs font-semibold">
        tears
      </text>
    </g>
  );
}
