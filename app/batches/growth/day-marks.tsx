import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";

/** A processing day, at its place on the chart. */
export interface ChartDay {
  readonly x: number;
  readonly day: string;
  readonly birds: number;
}

export interface PlacedDay extends ChartDay {
  readonly words: string;
  /** Of the label's left end. */
  readonly left: number;
  /** 0 is the row nearest to the chart. */
  readonly row: number;
}

export const ROW_HEIGHT = 15;
const LETTER_WIDTH = 6.6;
const GAP = 6;

/** Puts each day's label over its line, within the chart, and above those that it would run into. */
export function placeDays(
  days: readonly (ChartDay & { readonly words: string })[],
  [from, to]: readonly [number, number],
): PlacedDay[] {
  const ends: number[] = [];
  return days
    .toSorted((one, other) => one.x - other.x)
    .map((day) => {
      const wide = day.words.length * LETTER_WIDTH;
      const left = Math.max(from, Math.min(day.x - wide / 2, to - wide));
      const free = ends.findIndex((end) => end <= left);
      const row = free === -1 ? ends.length : free;
      ends[row] = left + wide + GAP;
      return { ...day, left, row };
    });
}

/** The words of each day's label. */
export function useDayWords() {
  const show = useShow();
  return ({ day, birds }: Pick<ChartDay, "day" | "birds">) =>
    `${plural(birds, "bird")}, ${show.shortDay(day).slice(4)}`;
}

/** The processing days of the batch: a line each, its label above the chart. */
export function DayMarks({
  days,
  top,
  floor,
}: {
  days: readonly PlacedDay[];
  /** Upper edge of the chart below the labels. */
  top: number;
  floor: number;
}) {
  return days.map(({ x, day, words, left, row }) => (
    <g key={day}>
      <line x1={x} x2={x} y1={top - row * ROW_HEIGHT} y2={floor} className="stroke-pine stroke-2" />
      <text x={left} y={top - 5 - row * ROW_HEIGHT} className="fill-pine text-xs font-semibold">
        {words}
      </text>
    </g>
  ));
}
