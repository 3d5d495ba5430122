import type { LabelTemplate, LabelTexts } from "#core/label/label-parts.ts";
import { placedLabel } from "#core/label/placed-label.ts";
import { type CodeKind, codePicture } from "#workers/labels/code-picture.ts";
import { type BegunPdf, beginPdf } from "#workers/pdf/begin-pdf.ts";

/** Labels of one size, in the rows and columns of their sheets. */
export interface LabelGrid {
  readonly template: LabelTemplate;
  readonly rows: number;
  readonly columns: number;
  readonly codeKind: CodeKind;
  readonly labels: readonly LabelTexts[];
}

export interface LabelSheets {
  readonly paper: "LETTER" | "A4";
  readonly madeAt: number;
  readonly title: string;
  /** Places on the first sheet that were used before. */
  readonly skip: number;
  /** Each begins a sheet of its own. */
  readonly grids: readonly LabelGrid[];
}

const POINTS_PER_MILLIMETER = 72 / 25.4;
/** Drawn for a label without a code, and left out of it. */
const NO_CODE = "0";

/** Labels in rows and columns, true to size, the whole grid in the middle of the paper. */
export async function labelSheets(sheets: LabelSheets): Promise<Uint8Array> {
  const begun = beginPdf({ ...sheets, margin: 0 });
  for (const [which, grid] of sheets.grids.entries()) {
    const perPage = grid.rows * grid.columns;
    const skip = which === 0 ? sheets.skip % perPage : 0;
    for (const [index, label] of grid.labels.entries()) {
      const place = skip + index;
      if (index === 0 || place % perPage === 0) begun.pdf.addPage();
      drawLabel(begun, grid, label, place % perPage);
    }
  }
  return begun.end();
}

function drawLabel({ pdf, say, picture }: BegunPdf, grid: LabelGrid, texts: LabelTexts, place: number): void {
  const { template, rows, columns, codeKind } = grid;
  const width = template.widthMillimeters * POINTS_PER_MILLIMETER;
  const height = template.heightMillimeters * POINTS_PER_MILLIMETER;
  const x = (pdf.page.width - columns * width) / 2 + (place % columns) * width;
  const top = (pdf.page.height - rows * height) / 2 + Math.floor(place / columns) * height;
  const label = placedLabel(template, texts, codePicture(codeKind, texts.code ?? NO_CODE));
  say("P", () => {
    for (const { text, points, isStrong, x: left, y } of label.texts) {
      pdf.font(isStrong ? "strong" : "text").fontSize(points);
      pdf.text(text, x + left * POINTS_PER_MILLIMETER, top + y * POINTS_PER_MILLIMETER, {
        lineBreak: false,
        baseline: "alphabetic",
      });
    }
  });
  if (label.blocks.length === 0) return;
  picture(`code ${texts.code ?? ""}`, () => {
    pdf.save().translate(x, top).scale(POINTS_PER_MILLIMETER);
    for (const [bx, by, bw, bh] of label.blocks) pdf.rect(bx, by, bw, bh);
    pdf.fill("black").restore();
  });
}
