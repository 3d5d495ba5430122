import type { PlacedLabel } from "#core/label/placed-label.ts";
import { checksum } from "#devices/attached/reading-line.ts";

/** A label to print. A job that was printed before is not printed again. */
export interface LabelJob {
  readonly job: string;
  readonly label: PlacedLabel;
}

const JOB = /^[\w-]{4,64}$/;
const MOST_LINES = 4000;
const MOST_TEXT = 200;

/** Millimeters in hundredths, so that lines hold whole numbers. */
const hundredths = (millimeters: number): number => Math.round(millimeters * 100);

/** A job as the lines that the printer is sent; the last one checks all before it. See docs/devices.md. */
export function jobLines({ job, label }: LabelJob): string[] {
  const lines = [
    `label ${job} ${hundredths(label.widthMillimeters)} ${hundredths(label.heightMillimeters)}`,
    ...label.texts.map(
      ({ x, y, points, isStrong, text }) =>
        `text ${hundredths(x)} ${hundredths(y)} ${Math.round(points * 10)} ${isStrong ? "strong" : "plain"} ${printable(text)}`,
    ),
    ...label.blocks.map((block) => `block ${block.map(hundredths).join(" ")}`),
  ];
  return [...lines, `end check ${checksum(lines.join("\n"))}`];
}

/** The lines speak Latin letters: what is beyond them is asked for in plain letters, or as a question mark. */
const printable = (text: string): string =>
  [...text.normalize("NFKD")]
    .filter((letter) => !/\p{M}/u.test(letter))
    .map((letter) => (letter === "’" ? "'" : letter.charCodeAt(0) <= 255 ? letter : "?"))
    .join("")
    .slice(0, MOST_TEXT);

export interface PrintedText {
  readonly x: number;
  readonly y: number;
  readonly points: number;
  readonly isStrong: boolean;
  readonly text: string;
}

export interface PrintedLabel {
  readonly job: string;
  readonly width: number;
  readonly height: number;
  readonly texts: readonly PrintedText[];
  readonly blocks: readonly (readonly number[])[];
}

/** A job from its lines, sizes in hundredths of a millimeter; undefined where a line can't be read or the check is wrong. */
export function readJob(lines: readonly string[]): PrintedLabel | undefined {
  if (lines.length < 2 || lines.length > MOST_LINES) return undefined;
  const body = lines.slice(0, -1);
  if (lines.at(-1) !== `end check ${checksum(body.join("\n"))}`) return undefined;
  const [, job = "", width = "", height = ""] = /^label (\S+) (\d{1,6}) (\d{1,6})$/.exec(body[0]!) ?? [];
  if (!JOB.test(job)) return undefined;
  const texts: PrintedText[] = [];
  const blocks: number[][] = [];
  for (const line of body.slice(1)) {
    const text = /^text (\d{1,6}) (\d{1,6}) (\d{1,4}) (strong|plain) (.{1,200})$/.exec(line);
    const block = /^block (\d{1,6}) (\d{1,6}) (\d{1,6}) (\d{1,6})$/.exec(line);
    if (text)
      texts.push({
        x: Number(text[1]),
        y: Number(text[2]),
        points: Number(text[3]) / 10,
        isStrong: text[4] === "strong",
        text: text[5]!,
      });
    else if (block) blocks.push(block.slice(1).map(Number));
    else return undefined;
  }
  return { job, width: Number(width), height: Number(height), texts, blocks };
}
