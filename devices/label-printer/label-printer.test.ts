import type { AddressInfo } from "node:net";
import fc from "fast-check";
import { afterAll, beforeAll, expect, test } from "vitest";
import { placedLabel } from "#core/label/placed-label.ts";
import { jobLines, readJob } from "#devices/label-printer/label-job.ts";
import { askPrinter, printLabels } from "#devices/label-printer/label-printer-driver.ts";
import { SimulatedPrinter, servePrinter } from "#devices/label-printer/simulated-printer.ts";

const CODE = { width: 3, height: 3, blocks: [[0, 0, 2, 1]] } as const;
const TEMPLATE = { widthMillimeters: 100, heightMillimeters: 50, letterPoints: 7, required: [] };
const jobOf = (job: string, product = "Wings") => ({
  job,
  label: placedLabel(TEMPLATE, { product, "net-weight": "Net wt 2.00 lb", code: "23YWM" }, CODE),
});

const server = servePrinter(new SimulatedPrinter(), 0);
let address: { host: string; port: number };
beforeAll(async () => {
  if (!server.listening) await new Promise((resolve) => server.once("listening", resolve));
  address = { host: "127.0.0.1", port: (server.address() as AddressInfo).port };
});
afterAll(() => void server.close());

test("a label comes out as it was sent, and a changed letter on the way is noticed", () => {
  const lines = jobLines(jobOf("job-1"));
  const read = readJob(lines)!;
  expect(read).toMatchObject({ job: "job-1", width: 10_000, height: 5000 });
  expect(read.texts.map(({ text, isStrong }) => [text, isStrong])).toEqual([
    ["Wings", true],
    ["Net wt 2.00 lb", true],
    ["23YWM", true],
  ]);
  expect(read.blocks).toHaveLength(1);
  fc.assert(
    fc.property(
      fc.nat(lines.length - 2),
      fc.nat(200),
      fc.constantFrom(..."xyz019 "),
      (line, place, letter) => {
        const old = lines[line]!;
        const at = place % old.length;
        if (old[at] === letter) return;
        expect(readJob(lines.with(line, old.slice(0, at) + letter + old.slice(at + 1)))).toBeUndefined();
      },
    ),
  );
});

test("a job is printed once however often it is sent, and no job is lost where the paper ends", async () => {
  expect(await printLabels(address, [jobOf("job-a"), jobOf("job-b")])).toEqual([
    { printed: true },
    { printed: true },
  ]);
  expect(await askPrinter(address, "status")).toBe("ready 58 simulated");
  expect(await printLabels(address, [jobOf("job-b")])).toEqual([{ printed: true }]);
  expect(await askPrinter(address, "paper 1")).toBe("ready 1 simulated");
  expect(await printLabels(address, [jobOf("job-c"), jobOf("job-d"), jobOf("job-e")])).toEqual([
    { printed: true },
    { printed: false, reason: "no-paper" },
  ]);
  await askPrinter(address, "paper 60");
  expect(await printLabels(address, [jobOf("job-d", "Livers"), jobOf("job-e", "Hearts")])).toHaveLength(2);
  expect(JSON.parse((await askPrinter(address, "show"))!)).toMatchObject({
    job: "job-e",
    texts: [{ text: "Hearts" }, {}, {}],
  });
});

test("a printer that is not there is said", async () => {
  expect(await printLabels({ host: "127.0.0.1", port: 1 }, [jobOf("job-x")])).toEqual([
    { printed: false, reason: "not-reached" },
  ]);
  expect(await askPrinter({ host: "127.0.0.1", port: 1 }, "status")).toBeUndefined();
});
