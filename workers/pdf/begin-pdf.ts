import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import PDFDocument from "pdfkit";
import { unpackedFont } from "#workers/pdf/unpacked-font.ts";

export type Pdf = InstanceType<typeof PDFDocument>;

/** The fonts that ship with the program, by the names that pages call them by. */
const FONTS = {
  display: "@fontsource/besley/files/besley-latin-600-normal.woff",
  text: "@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff",
  strong: "@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-600-normal.woff",
  mono: "@fontsource/atkinson-hyperlegible-mono/files/atkinson-hyperlegible-mono-latin-600-normal.woff",
} as const;

const { resolve } = createRequire(import.meta.url);

let unpacked: readonly (readonly [name: string, font: Buffer])[] | undefined;

/** Read when a thread makes its first PDF. */
const fonts = () =>
  (unpacked ??= Object.entries(FONTS).map(([name, file]) => [
    name,
    unpackedFont(readFileSync(resolve(file))),
  ]));

export interface PdfStart {
  readonly paper: "LETTER" | "A4";
  /** Points on each side. */
  readonly margin: number;
  readonly madeAt: number;
  readonly title: string;
}

export interface BegunPdf {
  readonly pdf: Pdf;
  /** Writes what a reader aloud should say as, by a structure type such as H1 or P. */
  readonly say: (as: "H1" | "H2" | "P", draw: () => void) => void;
  /** Draws something that says nothing: a rule, a box, a page number. */
  readonly adorn: (draw: () => void) => void;
  /** Draws something that says a few words only. */
  readonly picture: (words: string, draw: () => void) => void;
  /** Begins a table; its rows follow, until it is ended. */
  readonly startTable: () => void;
  /** A row of the table that was begun: what draws each of its cells. */
  readonly row: (as: "TH" | "TD", cells: readonly (() => void)[]) => void;
  readonly endTable: () => void;
  /** Its bytes. */
  readonly end: () => Promise<Uint8Array<ArrayBuffer>>;
}

/** A head says that it is the head of its column. */
const cellOptions = (as: "TH" | "TD") => (as === "TH" ? ({ scope: "Column" } as object) : {});

/** A tagged PDF without a page yet: all that is drawn on it goes through `say`, `picture` or `adorn`. */
export function beginPdf({ paper, margin, madeAt, title }: PdfStart): BegunPdf {
  const pdf = new PDFDocument({
    size: paper,
    margin,
    autoFirstPage: false,
    bufferPages: true,
    pdfVersion: "1.7",
    // Its types know no PDF/UA yet.
    subset: "PDF/UA" as "PDF/A-1",
    tagged: true,
    // Formats are the farm's, words are English.
    lang: "en",
    displayTitle: true,
    info: { Title: title, Creator: "Pale Morning", CreationDate: new Date(madeAt) },
  });
  const chunks: Uint8Array[] = [];
  pdf.on("data", (chunk: Uint8Array) => chunks.push(chunk));
  const done = new Promise<void>((finish, fail) => {
    pdf.on("end", finish);
    pdf.on("error", fail);
  });
  for (const [name, font] of fonts()) pdf.registerFont(name, font);
  const document = pdf.struct("Document");
  pdf.addStructure(document);
  let table = document;
  return {
    pdf,
    say: (as, draw) => void document.add(pdf.struct(as, {}, draw)),
    picture: (alt, draw) => void document.add(pdf.struct("Figure", { alt }, draw)),
    adorn: (draw) => {
      pdf.markContent("Artifact", { type: "Layout" });
      draw();
      pdf.endMarkedContent();
    },
    startTable: () => {
      table = pdf.struct("Table");
      document.add(table);
    },
    row: (as, cells) =>
      void table.add(
        pdf.struct(
          "TR",
          {},
          cells.map((draw) => pdf.struct(as, cellOptions(as), draw)),
        ),
      ),
    endTable: () => void table.end(),
    end: async () => {
      document.end();
      pdf.end();
      await done;
      return new Uint8Array(Buffer.concat(chunks));
    },
  };
}
