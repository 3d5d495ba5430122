/** What a label usually has to say. Which of them a farm needs, its local rule says. See docs/sources.md#label. */
export const LABEL_PARTS = [
  "product",
  "farm",
  "net-weight",
  "unit-price",
  "total-price",
  "packed-on",
  "lot",
  "storage",
  "safe-handling",
  "cook",
  "exemption",
  "added-solution",
  "code",
] as const;
export type LabelPart = (typeof LABEL_PARTS)[number];

/** Smaller letters than this are refused: no one reads them, and rules commonly ask for more. Choice, points. */
export const LEAST_LETTER_POINTS = 6;

/** A label as the farm set it up. */
export interface LabelTemplate {
  readonly widthMillimeters: number;
  readonly heightMillimeters: number;
  readonly letterPoints: number;
  /** Parts that its local rule asks for. */
  readonly required: readonly LabelPart[];
}

/** What stands on one label: each part with its words, in the order they stand; parts without words are missing. */
export type LabelTexts = Readonly<Partial<Record<LabelPart, string>>>;

/** The parts that the farm's rule asks for and that the label does not have, in the usual order. */
export const missingParts = (required: readonly LabelPart[], texts: LabelTexts): LabelPart[] =>
  LABEL_PARTS.filter((part) => required.includes(part) && !texts[part]);

const MILLIMETERS_PER_POINT = 25.4 / 72;
/** A line's height, and a letter's mean width, as shares of the letter size: of the fonts that the labels use. Measured. */
const LINE_SHARE = 1.25;
const LETTER_SHARE = 0.52;
/** Around the words, mm. */
const MARGIN = 2;
/** A code's picture is square: this share of the label's height, and no larger than a scanner needs, mm. Choices. */
const CODE_SHARE = 0.45;
const MOST_CODE = 22;

export interface LabelLayout {
  /** In the order they stand; each part begins a line of its own. */
  readonly lines: readonly { readonly part: LabelPart; readonly text: string; readonly points: number }[];
  readonly fits: boolean;
  readonly neededMillimeters: number;
  readonly codeMillimeters: number;
}

/** Parts that stand larger than the others, as shares of the letter size. */
const LARGER: Readonly<Partial<Record<LabelPart, number>>> = {
  product: 1.6,
  "net-weight": 1.3,
  "total-price": 1.3,
};

/**
 * Words broken into lines of a label, and whether they fit above its lower edge. The code stands at the right.
 *
 * @throws {RangeError} if the letters are smaller than may be
 */
export function labelLayout(template: LabelTemplate, texts: LabelTexts): LabelLayout {
  if (!(template.letterPoints >= LEAST_LETTER_POINTS))
    throw new RangeError(`letters must be at least ${LEAST_LETTER_POINTS} pt, got ${template.letterPoints}`);
  const codeMillimeters =
    texts.code === undefined ? 0 : Math.min(MOST_CODE, template.heightMillimeters * CODE_SHARE);
  const width = template.widthMillimeters - 2 * MARGIN - (codeMillimeters > 0 ? codeMillimeters + MARGIN : 0);
  const lines = LABEL_PARTS.filter((part) => part !== "code").flatMap((part) => {
    const text = texts[part];
    if (!text) return [];
    const points = template.letterPoints * (LARGER[part] ?? 1);
    const letters = Math.max(1, Math.floor(width / (points * LETTER_SHARE * MILLIMETERS_PER_POINT)));
    return broken(text, letters).map((line) => ({ part, text: line, points }));
  });
  const neededMillimeters =
    2 * MARGIN + lines.reduce((sum, { points }) => sum + points * LINE_SHARE * MILLIMETERS_PER_POINT, 0);
  return { lines, neededMillimeters, codeMillimeters, fits: neededMillimeters <= template.heightMillimeters };
}

/** A text in lines of so many letters, broken between words; a word that is too long is broken itself. */
function broken(text: string, letters: number): string[] {
  const lines: string[] = [];
  let line = "";
  for (const word of text.split(/\s+/).filter(Boolean)) {
    const next = line === "" ? word : `${line} ${word}`;
    if (next.length <= letters) {
      line = next;
      continue;
    }
    if (line !== "") lines.push(line);
    let rest = word;
    while (rest.length > letters) {
      lines.push(rest.slice(0, letters));
      rest = rest.slice(letters);
    }
    line = rest;
  }
  return line === "" ? lines : [...lines, line];
}
