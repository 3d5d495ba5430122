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

/** A PDF without a page yet, and the way to end it: its bytes. */
export function beginPdf({ paper, margin, madeAt, title }: PdfStart): {
  readonly pdf: Pdf;
  readonly end: () => Promise<Uint8Array<ArrayBuffer>>;
} {
  const pdf = new PDFDocument({
    size: paper,
    margin,
    autoFirstPage: false,
    info: { Title: title, Creator: "Pale Morning", CreationDate: new Date(madeAt) },
  });
  const chunks: Uint8Array[] = [];
  pdf.on("data", (chunk: Uint8Array) => chunks.push(chunk));
  const done = new Promise<void>((finish, fail) => {
    pdf.on("end", finish);
    pdf.on("error", fail);
  });
  for (const [name, font] of fonts()) pdf.registerFont(name, font);
  return {
    pdf,
    end: async () => {
      pdf.end();
      await done;
      return new Uint8Array(Buffer.concat(chunks));
    },
  };
}
