import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import PDFDocument from "pdfkit";
import { expect, test } from "vitest";
import { unpackedFont } from "#workers/pdf/unpacked-font.ts";

const FILE = createRequire(import.meta.url).resolve("@fontsource/besley/files/besley-latin-600-normal.woff");

function pageIn(font: string | Buffer): Promise<Buffer> {
  const pdf = new PDFDocument({ info: { CreationDate: new Date(0) } });
  const chunks: Uint8Array[] = [];
  pdf.on("data", (chunk: Uint8Array) => chunks.push(chunk));
  pdf.font(font).text("Scald 61 °C, ½ lb, “Rest”");
  return new Promise((resolve) => {
    pdf.on("end", () => resolve(Buffer.concat(chunks)));
    pdf.end();
  });
}

test("a font that is unpacked draws the same page, byte for byte", async () => {
  const plain = unpackedFont(readFileSync(FILE));
  expect(plain.length).toBeGreaterThan(readFileSync(FILE).length);
  expect((await pageIn(plain)).equals(await pageIn(FILE))).toBe(true);
});

test("what is no WOFF file is refused", () => {
  expect(() => unpackedFont(Buffer.from("OTTO and more"))).toThrow("not a WOFF file");
});
