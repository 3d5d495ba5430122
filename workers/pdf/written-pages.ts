import { type BegunPdf, beginPdf, type Pdf } from "#workers/pdf/begin-pdf.ts";

/** A table on paper, all in words; numbers stand to the right. */
export interface WrittenTable {
  readonly heads: readonly string[];
  /** Columns that hold numbers, by their place. */
  readonly numbers: readonly number[];
  /** Widths of the columns against each other. */
  readonly widths: readonly number[];
  readonly rows: readonly (readonly string[])[];
  /** A last row that stands out, such as a total. */
  readonly foot?: readonly string[];
}

/** What stands under each other on paper. */
export type WrittenPart =
  | { readonly heading: string }
  | { readonly text: string }
  | { readonly table: WrittenTable };

export interface WrittenPages {
  readonly paper: "LETTER" | "A4";
  readonly madeAt: number;
  readonly title: string;
  /** Over the title, small: whose paper it is. */
  readonly over: string;
  readonly parts: readonly WrittenPart[];
}

const MARGIN = 54;
const FOOT = 16;
const SIZE = 11;
const CELL_GAP = 8;

/** Writes plain pages: headings, sentences, and tables that go on over as many pages as they take. */
export function writtenPages(pages: WrittenPages): Promise<Uint8Array> {
  const begun = beginPdf({ ...pages, margin: MARGIN });
  const { pdf, say } = begun;
  pdf.addPage();
  say("P", () => pdf.font("text").fontSize(SIZE).text(pages.over, MARGIN, MARGIN));
  say("H1", () => pdf.font("display").fontSize(24).text(pages.title));
  pdf.moveDown(0.5);
  for (const part of pages.parts) {
    if ("heading" in part) heading(begun, part.heading);
    else if ("text" in part) paragraph(begun, part.text);
    else table(begun, part.table);
  }
  numberPages(begun, pages.title);
  return begun.end();
}

const width = (pdf: Pdf) => pdf.page.width - 2 * MARGIN;
const bottom = (pdf: Pdf) => pdf.page.height - MARGIN - FOOT;

/** Begins another page where what comes next does not fit on this one. */
function makeRoom(pdf: Pdf, height: number): void {
  if (pdf.y + height <= bottom(pdf)) return;
  pdf.addPage();
  pdf.x = MARGIN;
  pdf.y = MARGIN;
}

function heading({ pdf, say }: BegunPdf, words: string): void {
  // A heading is never left alone at the foot of a page.
  makeRoom(pdf, 70);
  pdf.moveDown(0.6);
  say("H2", () => pdf.font("display").fontSize(15).text(words, MARGIN));
  pdf.moveDown(0.2);
}

function paragraph({ pdf, say }: BegunPdf, words: string): void {
  pdf.font("text").fontSize(SIZE);
  makeRoom(pdf, pdf.heightOfString(words, { width: width(pdf) }));
  say("P", () => pdf.text(words, MARGIN, pdf.y, { width: width(pdf) }));
  pdf.moveDown(0.3);
}

function table(begun: BegunPdf, { heads, numbers, widths, rows, foot }: WrittenTable): void {
  const { pdf, adorn } = begun;
  const sum = widths.reduce((all, one) => all + one, 0);
  const columns = widths.map((share) => (share / sum) * width(pdf));
  const row = (cells: readonly string[], isStrong: boolean) => {
    pdf.font(isStrong ? "strong" : "text").fontSize(SIZE);
    const height = Math.max(
      ...cells.map((cell, index) => pdf.heightOfString(cell, { width: columns[index]! - CELL_GAP })),
    );
    const isNewPage = pdf.y + height + 8 > bottom(pdf);
    makeRoom(pdf, height + 8);
    return { top: pdf.y, height, isNewPage };
  };
  const draw = (cells: readonly string[], isStrong: boolean, as: "TH" | "TD") => {
    const { top, height, isNewPage } = row(cells, isStrong);
    if (isNewPage && as === "TD") return drawHeadThen(cells, isStrong);
    begun.row(
      as,
      cells.map((cell, index) => () => {
        const left = MARGIN + columns.slice(0, index).reduce((all, one) => all + one, 0);
        pdf
          .font(isStrong ? "strong" : "text")
          .fontSize(SIZE)
          .text(cell, left, top, {
            width: columns[index]! - CELL_GAP,
            align: numbers.includes(index) ? "right" : "left",
          });
      }),
    );
    pdf.y = top + height + 3;
    adorn(() =>
      pdf
        .moveTo(MARGIN, pdf.y)
        .lineTo(MARGIN + width(pdf), pdf.y)
        .lineWidth(as === "TH" ? 1 : 0.3)
        .stroke("black"),
    );
    pdf.y += 4;
    pdf.x = MARGIN;
  };
  // A table that goes on repeats its heads.
  const drawHeadThen = (cells: readonly string[], isStrong: boolean) => {
    draw(heads, true, "TH");
    draw(cells, isStrong, "TD");
  };
  begun.startTable();
  draw(heads, true, "TH");
  for (const cells of rows) draw(cells, false, "TD");
  if (foot) draw(foot, true, "TD");
  begun.endTable();
  pdf.moveDown(0.5);
}

function numberPages({ pdf, adorn }: BegunPdf, title: string): void {
  const { start, count } = pdf.bufferedPageRange();
  for (let index = 0; index < count; index += 1) {
    pdf.switchToPage(start + index);
    // Below the margin, where text would else begin another page.
    pdf.page.margins.bottom = 0;
    adorn(() =>
      pdf
        .font("text")
        .fontSize(9)
        .text(`${title}, page ${index + 1} of ${count}`, MARGIN, pdf.page.height - MARGIN, {
          width: width(pdf),
          align: "right",
          lineBreak: false,
        }),
    );
  }
}
