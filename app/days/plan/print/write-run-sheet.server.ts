import { createRequire } from "node:module";
import PDFDocument from "pdfkit";
import type { StationPage } from "#app/days/plan/line/station-words.ts";

interface RunSheet {
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

const { resolve } = createRequire(import.meta.url);
const FONTS = {
  display: "@fontsource/besley/files/besley-latin-600-normal.woff",
  text: "@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff",
  strong: "@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-600-normal.woff",
  mono: "@fontsource/atkinson-hyperlegible-mono/files/atkinson-hyperlegible-mono-latin-600-normal.woff",
} as const;

/** Writes the pages in black, to be read from a step away: tasks to tick, what to have ready, a page a station. */
export async function writeRunSheet(sheet: RunSheet): Promise<Uint8Array<ArrayBuffer>> {
  const pdf = new PDFDocument({
    size: sheet.paper,
    margin: MARGIN,
    info: { Title: sheet.title, Creator: "Pale Morning", CreationDate: new Date(sheet.madeAt) },
  });
  const chunks: Uint8Array[] = [];
  pdf.on("data", (chunk: Uint8Array) => chunks.push(chunk));
  const done = new Promise<void>((finish, fail) => {
    pdf.on("end", finish);
    pdf.on("error", fail);
  });
  for (const [name, file] of Object.entries(FONTS)) pdf.registerFont(name, resolve(file));
  tasksPage(pdf, sheet);
  needsPage(pdf, sheet);
  for (const station of sheet.stations) stationPage(pdf, sheet, station);
  pdf.end();
  await done;
  return new Uint8Array(Buffer.concat(chunks));
}

type Pdf = InstanceType<typeof PDFDocument>;

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
