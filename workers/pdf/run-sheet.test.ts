import { inflateSync } from "node:zlib";
import { expect, test } from "vitest";
import { type RunSheet, runSheet } from "#workers/pdf/run-sheet.ts";

const task = (index: number) => ({
  when: "6:00 PM",
  what: `Task ${index}`,
  more: "Maren: so that it is done",
});
const SHEET: RunSheet = {
  paper: "LETTER",
  madeAt: Date.UTC(2026, 8, 17),
  title: "Low Gate, Saturday, September 19",
  line: "10 birds of White 1. 3 people.",
  dates: [{ date: "Friday, September 18", tasks: [task(1), task(2)] }],
  needs: [{ what: "Ice", amount: "7 bags", short: "5 bags short" }],
  mix: { heading: "Sanitizing solution", lines: ["1 fl oz of plain bleach", "Never mix it with acid."] },
  stations: [
    {
      heading: "Cones",
      people: [{ name: "Tobias", isFirst: true }],
      lines: ["Hold the bird until it calms."],
      foot: "First bird 7:00 AM.",
    },
    { heading: "Chill", people: [], lines: ["Stir."], foot: "First bird 7:00 AM." },
  ],
};

/** What a PDF says outside of its packed parts, and within them. */
async function written(sheet: RunSheet): Promise<string> {
  const bytes = Buffer.from(await runSheet(sheet));
  const plain = bytes.toString("latin1");
  const packed = [...plain.matchAll(/stream\n/g)].map(({ index }) => {
    try {
      return inflateSync(bytes.subarray(index + "stream\n".length)).toString("latin1");
    } catch {
      return "";
    }
  });
  return [plain, ...packed].join("\n");
}
const pages = (pdf: string) => pdf.match(/\/Type \/Page\b(?!s)/g)!.length;
const counted = (pdf: string, what: RegExp) => pdf.match(what)?.length ?? 0;

test("a run sheet is tagged: its language, a heading for each page, dates as headings below them", async () => {
  const pdf = await written(SHEET);
  expect(pages(pdf)).toBe(4);
  expect(pdf).toContain("/StructTreeRoot");
  expect(pdf).toMatch(/\/Lang \(en\)/);
  expect(pdf).toContain("pdfuaid:part");
  expect(counted(pdf, /\/S \/H1\b/g)).toBe(4);
  // One date, and the mix.
  expect(counted(pdf, /\/S \/H2\b/g)).toBe(2);
  // Rules, boxes and page numbers say nothing.
  expect(counted(pdf, /\/Artifact\b/g)).toBeGreaterThan(8);
});

test("a long schedule goes on to a next page under its date, and a station's page stays one page however much is said", async () => {
  const long = {
    date: "Saturday, September 19",
    tasks: Array.from({ length: 60 }, (_, index) => task(index)),
  };
  const pdf = await written({ ...SHEET, dates: [long] });
  const of = pages(pdf);
  expect(of).toBeGreaterThan(5);
  // Its date stands on each of its pages, beside the mix.
  expect(counted(pdf, /\/S \/H2\b/g)).toBe(of - 3 + 1);
  const wordy = {
    ...SHEET.stations[0]!,
    lines: Array.from({ length: 8 }, () => "Hold the bird until it calms. ".repeat(3)),
  };
  expect(pages(await written({ ...SHEET, stations: [wordy] }))).toBe(3);
});
