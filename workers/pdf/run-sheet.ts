import { beginPdf, type Pdf } from "#workers/pdf/begin-pdf.ts";

/** A page to be taped where the work is. */
interface StationPage {
  readonly heading: string;
  readonly people: readonly { readonly name: string; readonly isFirst: boolean }[];
  readonly lines: readonly string[];
  readonly foot: string;
}

/** A day's run sheet, all in words. */
export interface RunSheet {
  readonly paper: "LETTER" | "A4";
  readonly madeAt: number;
  readonly title: string;
  readonly line: string;
  readonly tasks: readonly { readonly when: string; readonly what: string; readonly more: string }[];
  readonly needs: readonly { readonly what: string; readonly amount: string; readonly short: string }[];
  readonly stations: readonly StationPage[];
}

const MARGIN = 48;
const GAP = 10;
const BOX = 12;

/** Writes the pages in black, to be read from a step away: tasks to tick, what to have ready, a page a station. */
export function runSheet(sheet: RunSheet): Promise<Uint8Array> {
  const { pdf, end } = beginPdf({ ...sheet, margin: MARGIN });
  pdf.addPage();
  tasksPage(pdf, sheet);
  needsPage(pdf, sheet);
  for (const station of sheet.stations) stationPage(pdf, sheet, station);
  return end();
}

const width = (pdf: Pdf) => pdf.page.width - 2 * MARGIN;
const bottom = (pdf: Pdf) => pdf.page.height - MARGIN;

function head(pdf: Pdf, over: string, title: string) {
  pdf.font("text").fontSize(14).text(over, MARGIN, MARGIN);
  pdf.font("display").fontSize(38).text(title);
  pdf.moveDown(0.2);
  pdf
    .moveTo(MARGIN, pdf.y)
    .lineTo(MARGIN + width(pdf), pdf.y)
    .lineWidth(3)
    .stroke();
  pdf.y += GAP;
}

function rule(pdf: Pdf) {
  pdf.y += GAP / 2;
  pdf
    .moveTo(MARGIN, pdf.y)
    .lineTo(MARGIN + width(pdf), pdf.y)
    .lineWidth(0.5)
    .stroke();
  pdf.y += GAP / 2;
}

const tickBox = (pdf: Pdf, x: number) =>
  pdf
    .rect(x, pdf.y + 1, BOX, BOX)
    .lineWidth(1)
    .stroke();

function tasksPage(pdf: Pdf, { title, line, tasks }: RunSheet) {
  head(pdf, `${title}. ${line}`, "Schedule");
  const whenAt = MARGIN + BOX + GAP;
  pdf.font("mono").fontSize(12);
  const whatAt = whenAt + Math.max(0, ...tasks.map(({ when }) => pdf.widthOfString(when))) + GAP;
  for (const { when, what, more } of tasks) {
    const room = { width: MARGIN + width(pdf) - whatAt };
    const height =
      pdf.font("strong").fontSize(14).heightOfString(what, room) +
      pdf.font("text").fontSize(11).heightOfString(more, room);
    if (pdf.y + height + GAP > bottom(pdf)) {
      pdf.addPage();
      head(pdf, title, "Schedule, continued");
    }
    tickBox(pdf, MARGIN);
    const top = pdf.y;
    pdf.font("mono").fontSize(12).text(when, whenAt, top, { lineBreak: false });
    pdf.font("strong").fontSize(14).text(what, whatAt, top, room);
    pdf.font("text").fontSize(11).text(more, whatAt, pdf.y, room);
    rule(pdf);
  }
}

function needsPage(pdf: Pdf, { title, needs }: RunSheet) {
  pdf.addPage();
  head(pdf, title, "What to have ready");
  const third = width(pdf) / 3;
  for (const { what, amount, short } of needs) {
    if (pdf.y + 30 > bottom(pdf)) pdf.addPage();
    const top = pdf.y;
    tickBox(pdf, MARGIN);
    pdf
      .font("text")
      .fontSize(15)
      .text(what, MARGIN + BOX + GAP, top, { width: third + 40 });
    const after = pdf.y;
    pdf.font("mono").text(amount, MARGIN + third + 70, top, { lineBreak: false });
    pdf.font("strong").text(short, MARGIN + 2 * third + 60, top, { lineBreak: false });
    pdf.y = after;
    rule(pdf);
  }
}

function stationPage(pdf: Pdf, { title }: RunSheet, { heading, people, lines, foot }: StationPage) {
  pdf.addPage();
  head(pdf, title, heading);
  const names = people.map(({ name, isFirst }) => (isFirst ? name : `${name} helps`)).join(", ");
  if (names !== "")
    pdf
      .font("strong")
      .fontSize(24)
      .text(names, MARGIN, pdf.y, { width: width(pdf) });
  pdf.moveDown(0.5);
  for (const words of lines) {
    pdf
      .font("text")
      .fontSize(27)
      .text(words, MARGIN, pdf.y, { width: width(pdf) });
    pdf.moveDown(0.5);
  }
  pdf.moveDown(0.5);
  pdf
    .font("text")
    .fontSize(15)
    .text(foot, MARGIN, pdf.y, { width: width(pdf) });
}
