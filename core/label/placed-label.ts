import { type LabelPart, type LabelTemplate, type LabelTexts, labelLayout } from "#core/label/label-parts.ts";

const MILLIMETERS_PER_POINT = 25.4 / 72;
const MARGIN = 2;
/** From one line to the next, as a share of the letter size. */
const LINE_SHARE = 1.25;

/** A code as dark blocks on white, in modules of one size. */
export interface CodePicture {
  readonly width: number;
  readonly height: number;
  /** x, y, width and height of each. */
  readonly blocks: readonly (readonly [number, number, number, number])[];
}

/** Words on a label: where their base line begins, mm from its upper left corner. */
export interface PlacedText {
  readonly part: LabelPart;
  readonly x: number;
  readonly y: number;
  readonly points: number;
  readonly isStrong: boolean;
  readonly text: string;
}

/** A label with everything in its place, mm: what screens show, sheets print, and a label printer is sent. */
export interface PlacedLabel {
  readonly widthMillimeters: number;
  readonly heightMillimeters: number;
  readonly texts: readonly PlacedText[];
  /** The code, as dark blocks: x, y, width and height. */
  readonly blocks: readonly (readonly [number, number, number, number])[];
}

const STRONG: ReadonlySet<LabelPart> = new Set(["product", "net-weight", "total-price"]);

/** Puts the words of a label and its code in their places: words from the upper left, the code at the right with its letters below. */
export function placedLabel(template: LabelTemplate, texts: LabelTexts, code: CodePicture): PlacedLabel {
  const { widthMillimeters, heightMillimeters, letterPoints } = template;
  const layout = labelLayout(template, texts);
  let top = MARGIN;
  const placed = layout.lines.map(({ part, text, points }): PlacedText => {
    const y = top + points * MILLIMETERS_PER_POINT;
    top += points * MILLIMETERS_PER_POINT * LINE_SHARE;
    return { part, text, points, isStrong: STRONG.has(part), x: MARGIN, y };
  });
  const label = { widthMillimeters, heightMillimeters };
  if (texts.code === undefined) return { ...label, texts: placed, blocks: [] };
  const side = layout.codeMillimeters;
  const scale = side / code.width;
  const left = widthMillimeters - MARGIN - side;
  const under = MARGIN + Math.min(side, code.height * scale) + letterPoints * MILLIMETERS_PER_POINT;
  return {
    ...label,
    texts: [
      ...placed,
      { part: "code", text: texts.code, points: letterPoints, isStrong: true, x: left, y: under },
    ],
    blocks: code.blocks.map(([x, y, width, height]) => [
      left + x * scale,
      MARGIN + y * scale,
      width * scale,
      height * scale,
    ]),
  };
}
