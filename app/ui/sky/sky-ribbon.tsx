import { interpolateRound } from "d3-interpolate";
import { scaleLinear } from "d3-scale";
import { useId } from "react";
import { ChartFrame } from "#app/ui/chart-frame.tsx";
import { type PlacedLabel, placeLabels, type RibbonMark } from "#app/ui/sky/ribbon-layout.ts";
import { skyStops } from "#app/ui/sky/sky-color.ts";
import { useShow } from "#app/ui/use-show.tsx";
import { localHours } from "#core/calendar/farm-time.ts";
import type { Sky } from "#core/sky/farm-sky.ts";

/** A stretch of work on the ribbon. */
export interface RibbonSpan {
  readonly from: number;
  readonly to: number;
  readonly strength: "full" | "half";
}

interface SkyRibbonProps {
  sky: Sky;
  marks: readonly RibbonMark[];
  spans?: readonly RibbonSpan[];
  /** What it shows, in a sentence, for those who don't see it. */
  sentence: string;
}

/** A time axis painted with the real sky over the farm. */
export function SkyRibbon(props: SkyRibbonProps) {
  return (
    <figure className="m-0">
      <figcaption className="sr-only">{props.sentence}</figcaption>
      <ChartFrame>{(width) => <Painted {...props} width={width} />}</ChartFrame>
    </figure>
  );
}

/** Widest of a label's characters, those of its hour: a number that no box may be too narrow for. */
const CHARACTER = 8;
const ROW = 32;
const WORK = 10;
const AXIS = 24;

function Painted({ sky, marks, spans = [], width }: SkyRibbonProps & { width: number }) {
  const show = useShow();
  const gradient = useId();
  const x = scaleLinear([sky.from, sky.to], [0, width]).interpolate(interpolateRound).clamp(true);
  const timed = marks
    .filter((mark) => mark.at >= sky.from && mark.at <= sky.to)
    .map((mark) => ({ ...mark, time: show.time(mark.at) }));
  const { labels, rows } = placeLabels(timed, { x, width, widthOf: (text) => text.length * CHARACTER });
  const height = rows * ROW + WORK + 6;
  return (
    <svg viewBox={`0 0 ${width} ${height + AXIS}`} className="block w-full" aria-hidden="true">
      <defs>
        <linearGradient id={gradient}>
          {skyStops(sky.altitudes).map(({ offset, color }) => (
            <stop key={offset} offset={offset} stopColor={color} />
          ))}
        </linearGradient>
      </defs>
      <rect width={width} height={height} rx={2} fill={`url(#${gradient})`} />
      {spans.map((span) => (
        <rect
          key={span.from}
          x={x(span.from)}
          y={height - WORK}
          width={Math.max(1, x(span.to) - x(span.from))}
          height={WORK}
          className={span.strength === "full" ? "fill-pine" : "fill-pine opacity-50"}
        />
      ))}
      {/* All lines first, so that none runs through a label. */}
      {labels.map((mark) => (
        <MarkLine key={`${mark.label}${mark.at}`} mark={mark} to={height} />
      ))}
      {labels.map((mark) => (
        <MarkLabel key={`${mark.label}${mark.at}`} mark={mark} />
      ))}
      <Hours sky={sky} x={x} y={height} width={width} />
    </svg>
  );
}

function MarkLine({ mark, to }: { mark: PlacedLabel; to: number }) {
  const path = `M${mark.x} ${mark.row * ROW + 2}V${to}`;
  return (
    <g>
      <path d={path} className="stroke-leaf stroke-3" />
      <path d={path} className={mark.tone === "now" ? "stroke-dawn stroke-3" : "stroke-ink"} />
    </g>
  );
}

function MarkLabel({ mark }: { mark: PlacedLabel }) {
  return (
    <g>
      <rect
        x={mark.anchor === "start" ? mark.textX - 3 : mark.textX - textWidth(mark) - 3}
        y={mark.row * ROW + 2}
        width={textWidth(mark) + 6}
        height={ROW - 4}
        rx={2}
        className="fill-leaf"
      />
      <text
        x={mark.textX}
        y={mark.row * ROW + 14}
        textAnchor={mark.anchor}
        className="fill-ink text-xs font-semibold"
      >
        {mark.label}
      </text>
      <text
        x={mark.textX}
        y={mark.row * ROW + 26}
        textAnchor={mark.anchor}
        className="fill-ink font-mono text-xs"
      >
        {mark.time}
      </text>
    </g>
  );
}

interface HoursProps {
  sky: Sky;
  x: (at: number) => number;
  y: number;
  width: number;
}

/** The farm's hours below the sky, as many as there is room for. */
function Hours({ sky, x, y, width }: HoursProps) {
  const show = useShow();
  const hours = localHours(sky.from, sky.to, show.timeZone);
  const every = [1, 2, 3, 4, 6, 12, 24].find((step) => (hours.length / step) * 56 < width) ?? 24;
  return hours
    .filter(({ hour }) => hour % every === 0)
    .map(({ at }) => (
      <g key={at} transform={`translate(${x(at)} ${y})`}>
        <line y2={5} className="stroke-current" />
        <text
          y={18}
          textAnchor={x(at) < 12 ? "start" : x(at) > width - 12 ? "end" : "middle"}
          className="fill-current font-mono text-xs"
        >
          {show.hour(at)}
        </text>
      </g>
    ));
}

const textWidth = (mark: { label: string; time: string }) =>
  Math.max(mark.label.length * 6.8, mark.time.length * CHARACTER);
