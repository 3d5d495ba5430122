import { scaleLinear } from "d3-scale";
import { useId } from "react";
import { labelPlaces } from "#app/days/cut/went/label-places.ts";
import { useShow } from "#app/ui/use-show.tsx";
import { WENT_WORDS } from "#app/words/packing/by-product-words.ts";
import { plural } from "#app/words/show.ts";
import type { WentKind, WentRow } from "#core/packing/where-it-went.ts";

interface WentChartProps {
  rows: readonly WentRow[];
  /** Said above it, in a sentence. */
  sentence: string;
}

const WIDTH = 500;
const BAR = 90;
const LINE = 24;
const LEAST_HEIGHT = 420;

/** From what is sold down to what is composted: the deeper the green the nearer to the table. */
const LOOKS: Readonly<Record<WentKind, string>> = {
  whole: "fill-pine",
  cut: "fill-pine opacity-80",
  giblets: "fill-pine opacity-60",
  feet: "fill-pine opacity-50",
  boiled: "fill-straw",
  dried: "fill-straw opacity-80",
  minced: "fill-pine opacity-70",
  rendered: "fill-straw opacity-60",
  pets: "fill-straw opacity-50",
  trim: "fill-dawn opacity-50",
  condemned: "fill-barn",
  compost: "fill-soft opacity-50",
  "not-weighed": "fill-rule",
};

/** The live birds as one bar, cut where their weight went; each part is named beside it, and no name covers another. */
export function WentChart({ rows, sentence }: WentChartProps) {
  const show = useShow();
  const titleId = useId();
  const total = rows.reduce((sum, { milligrams }) => sum + milligrams, 0);
  const height = Math.max(LEAST_HEIGHT, rows.length * LINE + LINE);
  const y = scaleLinear([0, total], [0, height]);
  let above = 0;
  const parts = rows.map((row) => {
    const from = y(above);
    above += row.milligrams;
    return { row, from, to: y(above) };
  });
  const places = labelPlaces(
    parts.map(({ from, to }) => (from + to) / 2),
    LINE,
    height,
  );
  return (
    <svg viewBox={`0 0 ${WIDTH} ${height}`} role="img" aria-labelledby={titleId} className="w-full">
      <title id={titleId}>{sentence}</title>
      {parts.map(({ row, from, to }, index) => (
        <g key={`${row.kind} ${row.what} ${from}`}>
          <rect y={from} width={BAR} height={Math.max(1, to - from - 1.5)} className={LOOKS[row.kind]} />
          <polyline
            points={`${BAR},${(from + to) / 2} ${BAR + 14},${places[index]} ${BAR + 22},${places[index]}`}
            className="fill-none stroke-soft"
          />
          <text x={BAR + 28} y={places[index]! + 5} className="fill-ink text-base">
            <tspan className="font-mono font-semibold">{show.bulk(row.milligrams)}</tspan>
            <tspan dx="8">{nameOf(row)}</tspan>
          </text>
        </g>
      ))}
    </svg>
  );
}

/** Short enough to stand beside the bar. */
export function nameOf({ kind, what, packs }: WentRow): string {
  const name = what || WENT_WORDS[kind].split(":")[0]!;
  return packs > 0 ? `${name}, ${plural(packs, "pack")}` : name;
}
