import { type BegunPdf, beginPdf, type Pdf } from "#workers/pdf/begin-pdf.ts";

/** A page to be taped where the work is. */
interface StationPage {
  readonly heading: string;
  readonly people: readonly { readonly name: string; readonly isFirst: boolean }[];
  readonly lines: readonly string[];
  readonly foot: string;
}

/** What is to be done on one date. */
export interface TasksOfDate {
  readonly date: string;
  readonly tasks: readonly { readonly when: string; readonly what: string; readonly more: string }[];
}

/** A day's run sheet, all in words. */
export interface RunSheet {
  readonly paper: "LETTER" | "A4";
  readonly madeAt: number;
  readonly title: string;
  readonly line: string;
  readonly dates: readonly TasksOfDate[];
  readonly needs: readonly { readonly what: string; readonly amount: string; readonly short: string }[];
  /** What is mixed for tables and knives, and what never to mix it with. */
  readonly mix: { readonly heading: string; readonly lines: readonly string[] };
  readonly stations: readonly StationPage[];
}

const MARGIN = 48;
const GAP = 10;
const BOX = 12;
/** Kept free at the foot of each page for its number. */
const FOOT = 14;
/** Of a station's words: as large as they fit on its page. */
const STATION_SIZES = [42, 38, 34, 31, 28, 25, 22, 19, 16];

/** Writes the pages in black, to be read from a step away: tasks to tick, what to have ready, a page a station. */
export function runSheet(sheet: RunSheet): Promise<Uint8Array> {
  const begun = beginPdf({ ...sheet, margin: MARGIN });
  const { pdf } = begun;
  pdf.addPage();
  tasksPage(begun, sheet);
  needsPage(begun, sheet);
  for (const station of sheet.stations) stationPage(begun, sheet, station);
  numberPages(begun, sheet.title);
  return begun.end();
}

const width = (pdf: Pdf) => pdf.page.width - 2 * MARGIN;
const bottom = (pdf: Pdf) => pdf.page.height - MARGIN - FOOT;

function head({ pdf, say, adorn }: BegunPdf, over: string, title: string, size = 38) {
  say("P", () => pdf.font("text").fontSize(14).text(over, MARGIN, MARGIN));
  say("H1", () => pdf.font("display").fontSize(size).text(title));
  pdf.moveDown(0.2);
  adorn(() =>
    pdf
      .moveTo(MARGIN, pdf.y)
      .lineTo(MARGIN + width(pdf), pdf.y)
      .lineWidth(3)
      .stroke(),
  );
  pdf.y += GAP;
}

function rule({ pdf, adorn }: BegunPdf) {
  pdf.y += GAP / 2;
  adorn(() =>
    pdf
      .moveTo(MARGIN, pdf.y)
      .lineTo(MARGIN + width(pdf), pdf.y)
      .lineWidth(0.5)
      .stroke(),
  );
  pdf.y += GAP / 2;
}

const tickBox = ({ pdf, adorn }: BegunPdf, x: number) =>
  adorn(() =>
    pdf
      .rect(x, pdf.y + 1, BOX, BOX)
      .lineWidth(1)
      .stroke(),
  );

function tasksPage(begun: BegunPdf, { title, line, dates }: RunSheet) {
  const { pdf, say } = begun;
  head(begun, `${title}. ${line}`, "Schedule");
  const whenAt = MARGIN + BOX + GAP;
  pdf.font("mono").fontSize(12);
  const times = dates.flatMap(({ tasks }) => tasks.map(({ when }) => pdf.widthOfString(when)));
  const whatAt = whenAt + Math.max(0, ...times) + GAP;
  const room = { width: MARGIN + width(pdf) - whatAt };
  for (const { date, tasks } of dates)
    for (const [index, { when, what, more }] of tasks.entries()) {
      let hasDate = index === 0;
      const heading = hasDate ? pdf.font("display").fontSize(16).heightOfString(date) + GAP : 0;
      const height =
        pdf.font("strong").fontSize(13).heightOfString(what, room) +
        pdf.font("text").fontSize(11).heightOfString(more, room);
      if (pdf.y + heading + height > bottom(pdf)) {
        pdf.addPage();
        head(begun, title, "Schedule, continued", 20);
        hasDate = true;
      }
      if (hasDate) {
        say("H2", () => pdf.font("display").fontSize(16).text(date, MARGIN, pdf.y));
        pdf.y += GAP / 2;
      }
      tickBox(begun, MARGIN);
      const top = pdf.y;
      say("P", () => pdf.font("mono").fontSize(12).text(when, whenAt, top, { lineBreak: false }));
      say("P", () => pdf.font("strong").fontSize(13).text(what, whatAt, top, room));
      say("P", () => pdf.font("text").fontSize(11).text(more, whatAt, pdf.y, room));
      rule(begun);
    }
}

function needsPage(begun: BegunPdf, { title, needs, mix }: RunSheet) {
  const { pdf, say } = begun;
  pdf.addPage();
  head(begun, title, "What to have ready");
  const third = width(pdf) / 3;
  for (const { what, amount, short } of needs) {
    if (pdf.y + 30 > bottom(pdf)) pdf.addPage();
    const top = pdf.y;
    tickBox(begun, MARGIN);
    const isOneLine = { lineBreak: false };
    const name = { width: third + 40 };
    say("P", () =>
      pdf
        .font("text")
        .fontSize(15)
        .text(what, MARGIN + BOX + GAP, top, name),
    );
    const after = pdf.y;
    say("P", () => pdf.font("mono").text(amount, MARGIN + third + 70, top, isOneLine));
    if (short !== "") say("P", () => pdf.font("strong").text(short, MARGIN + 2 * third + 60, top, isOneLine));
    pdf.y = after;
    rule(begun);
  }
  const room = { width: width(pdf) };
  pdf.font("text").fontSize(15);
  const height = mix.lines.reduce((sum, words) => sum + pdf.heightOfString(words, room) + GAP / 2, 50);
  if (pdf.y + height > bottom(pdf)) pdf.addPage();
  pdf.y += 2 * GAP;
  say("H2", () => pdf.font("display").fontSize(22).text(mix.heading, MARGIN, pdf.y));
  for (const words of mix.lines) {
    pdf.y += GAP / 2;
    say("P", () => pdf.font("text").fontSize(15).text(words, MARGIN, pdf.y, room));
  }
}

/** Names and lines as large as fit above the foot of the page. */
function stationPage(begun: BegunPdf, { title }: RunSheet, { heading, people, lines, foot }: StationPage) {
  const { pdf, say } = begun;
  pdf.addPage();
  head(begun, title, heading);
  const names = people.map(({ name, isFirst }) => (isFirst ? name : `${name} helps`)).join(", ");
  const room = { width: width(pdf) };
  const write = (font: string, size: number, words: string) =>
    say("P", () => pdf.font(font).fontSize(size).text(words, MARGIN, pdf.y, room));
  pdf.font("text").fontSize(15);
  const footAt = bottom(pdf) - pdf.heightOfString(foot, room);
  const heightAt = (size: number) =>
    [names, ...lines].reduce(
      (sum, words) => sum + pdf.font("text").fontSize(size).heightOfString(words, room) + size * 0.7,
      0,
    );
  const size = STATION_SIZES.find((one) => pdf.y + heightAt(one) < footAt) ?? STATION_SIZES.at(-1)!;
  for (const [index, words] of [names, ...lines].entries()) {
    if (words === "") continue;
    write(index === 0 ? "strong" : "text", size, words);
    pdf.y += size * 0.6;
  }
  pdf.y = Math.max(pdf.y, footAt);
  write("text", 15, foot);
}

/** Which page of how many, so that a sheet that fell off the wall finds its place. */
function numberPages({ pdf, adorn }: BegunPdf, title: string) {
  const { start, count } = pdf.bufferedPageRange();
  for (let page = start; page < start + count; page += 1) {
    pdf.switchToPage(page);
    // Below the margin no text is written unless it is told that there is none.
    pdf.page.margins.bottom = 0;
    adorn(() =>
      pdf
        .font("text")
        .fontSize(10)
        .text(`${title} · page ${page + 1} of ${count}`, MARGIN, pdf.page.height - MARGIN, {
          width: width(pdf),
          align: "right",
          lineBreak: false,
        }),
    );
  }
}
