/** A moment on the ribbon: what happens, and when. */
export interface RibbonMark {
  readonly at: number;
  readonly label: string;
  readonly tone?: "now" | "plain";
}

export interface PlacedLabel extends RibbonMark {
  readonly x: number;
  readonly textX: number;
  readonly anchor: "start" | "end";
  readonly row: number;
  readonly time: string;
}

const GAP = 8;

/**
 * Puts each label beside its moment, on the first row where it overlaps no other, and never past either end.
 *
 * @param widthOf estimated width of a text in the units of x
 */
export function placeLabels(
  marks: readonly (RibbonMark & { time: string })[],
  { x, width, widthOf }: { x: (at: number) => number; width: number; widthOf: (text: string) => number },
): { labels: PlacedLabel[]; rows: number } {
  const endOfRow: { from: number; to: number }[][] = [];
  const labels = marks
    .toSorted((one, other) => one.at - other.at)
    .map((mark) => {
      const at = x(mark.at);
      const long = Math.max(widthOf(mark.label), widthOf(mark.time)) + GAP;
      const anchor = at + long > width && at - long >= 0 ? ("end" as const) : ("start" as const);
      const start = anchor === "start" ? Math.min(at, Math.max(0, width - long)) : at - long;
      const span = { from: start, to: start + long };
      const free = endOfRow.findIndex((row) =>
        row.every((other) => span.to <= other.from || span.from >= other.to),
      );
      const row = free === -1 ? endOfRow.length : free;
      endOfRow[row] = [...(endOfRow[row] ?? []), span];
      return { ...mark, x: at, textX: anchor === "start" ? start + GAP / 2 : at - GAP / 2, anchor, row };
    });
  return { labels, rows: Math.max(1, endOfRow.length) };
}
