// The named `raw` of this package is a kind of bar code; the one that answers with modules is on its default export.
import bwip from "bwip-js/node";
import type { CodePicture } from "#core/label/placed-label.ts";

export const CODE_KINDS = ["qr", "code-128"] as const;
export type CodeKind = (typeof CODE_KINDS)[number];

/** Bars of a line code are this many modules high: enough for a hand scanner held askew. */
const BAR_HEIGHT = 24;

/** Draws a pack's code as a QR picture or as bars. */
export function codePicture(kind: CodeKind, text: string): CodePicture {
  const [drawn] = bwip.raw(kind === "qr" ? "qrcode" : "code128", text);
  if (!drawn) throw new Error(`no picture of ${text}`);
  return "pixs" in drawn ? squares(drawn.pixs, drawn.pixx, drawn.pixy) : bars(drawn.sbs);
}

/** Dark squares, those that follow each other in a row as one. */
function squares(pixels: readonly number[], width: number, height: number): CodePicture {
  const blocks: [number, number, number, number][] = [];
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      if (pixels[y * width + x] !== 1) continue;
      const last = blocks.at(-1);
      if (last && last[1] === y && last[0] + last[2] === x) last[2] += 1;
      else blocks.push([x, y, 1, 1]);
    }
  return { width, height, blocks };
}

/** Widths of bars and spaces in turn, a bar first. */
function bars(widths: readonly number[]): CodePicture {
  const blocks: [number, number, number, number][] = [];
  let x = 0;
  for (const [index, width] of widths.entries()) {
    if (index % 2 === 0) blocks.push([x, 0, width, BAR_HEIGHT]);
    x += width;
  }
  return { width: x, height: BAR_HEIGHT, blocks };
}
