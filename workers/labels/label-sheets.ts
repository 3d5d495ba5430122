import { createRequire } from "node:module";
import PDFDocument from "pdfkit";
import type { LabelTemplate, LabelTexts } from "#core/label/label-parts.ts";
import { placedLabel } from "#core/label/placed-label.ts";
import { type CodeKind, codePicture } from "#workers/labels/code-picture.ts";

export interface LabelSheets {
  readonly paper: "LETTER" | "A4";
  readonly madeAt: number;
  readonly title: string;
  readonly template: LabelTemplate;
  readonly rows: number;
  readonly columns: number;
  /** Places on the first sheet that were used before. */
  readonly skip: number;
  readonly codeKind: CodeKind;
  readonly labels: readonly LabelTexts[];
}

const POINTS_PER_MILLIMETER = 72 / 25.4;
/** Drawn for a label without a code, and left out of it. */
const NO_CODE = "0";

const { resolve } = createRequire(import.meta.url);
const FONTS = {
  text: "@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff",
  strong: "@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-600-normal.woff",
} as const;

type Pdf = InstanceType<typeof PDFDocument>;

/** Labels in rows and columns, true to size, the whole grid in the middle of the paper. */
export async function labelSheets(sheets: LabelSheets): Promise<Uint8Array> {
  const pdf = new PDFDocument({
    size: sheets.paper,
    margin: 0,
    autoFirstPage: false,
    info: { Title: sheets.title, Creator: "Pale Morning", CreationDate: new Date(sheets.madeAt) },
  });
  const chunks: Uint8Array[] = [];
  pdf.on("data", (chunk: Uint8Array) => chunks.push(chunk));
  const done = new Promise<void>((finish, fail) => {
    pdf.on("end", finish);
    pdf.on("error", fail);
  });
  for (const [name, file] of Object.entries(FONTS)) pdf.registerFont(name, resolve(file));
  const perPage = sheets.rows * sheets.columns;
  for (const [index, label] of sheets.labels.entries()) {
    const place = (sheets.skip % perPage) + index;
    if (index === 0 || place % perPage === 0) pdf.addPage();
    drawLabel(pdf, sheets, label, place % perPage);
  }
  pdf.end();
  await done;
  return new Uint8Array(Buffer.concat(chunks));
}

function drawLabel(pdf: Pdf, sheets: LabelSheets, texts: LabelTexts, place: number): void {
  const { template, rows, columns, codeKind } = sheets;
  const width = template.widthMillimeters * POINTS_PER_MILLIMETER;
  const height = template.heightMillimeters * POINTS_PER_MILLIMETER;
  const x = (pdf.page.width - columns * width) / 2 + (place % columns) * width;
  const top = (pdf.page.height - rows * height) / 2 + Math.floor(place / columns) * height;
  const label = placedLabel(template, texts, codePicture(codeKind, texts.code ?? NO_CODE));
  for (const { text, points, isStrong, x: left, y } of label.texts) {
    pdf.font(isStrong ? "strong" : "text").fontSize(points);
    pdf.text(text, x + left * POINTS_PER_MILLIMETER, top + y * POINTS_PER_MILLIMETER, {
      lineBreak: false,
      baseline: "alphabetic",
    });
  }
  pdf.save().translate(x, top).scale(POINTS_PER_MILLIMETER);
  for (const [bx, by, bw, bh] of label.blocks) pdf.rect(bx, by, bw, bh);
  pdf.fill("black").restore();
}
