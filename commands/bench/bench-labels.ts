import { USUAL_LABEL } from "#app/server/freezer/label-of-pack.server.ts";
import { SECOND } from "#core/calendar/milliseconds.ts";
import { packCode } from "#core/label/pack-code.ts";
import { WorkPool } from "#workers/pool/client.ts";

const LABELS = 60;

/** Sixty labels as a PDF in the work pool, from asking to the whole file; the thread stands already. */
export async function benchLabels(): Promise<void> {
  const pool = new WorkPool({ root: process.cwd(), threads: 1, mostMilliseconds: 60 * SECOND });
  const { rows, columns, codeKind } = USUAL_LABEL;
  const grid = {
    template: USUAL_LABEL,
    rows,
    columns,
    codeKind,
    labels: Array.from({ length: LABELS }, (_, index) => ({
      product: "Breasts, bone in, skin on",
      "net-weight": "Net wt 1.91 lb",
      "total-price": "$13.16",
      "safe-handling": USUAL_LABEL.handlingLine,
      code: packCode(index + 1),
    })),
  };
  const sheets = { paper: "LETTER", madeAt: 0, title: "Labels", skip: 0 } as const;
  await pool.run("label-sheets", { ...sheets, grids: [{ ...grid, labels: grid.labels.slice(0, 1) }] });
  const startedAt = performance.now();
  const pdf = await pool.run("label-sheets", { ...sheets, grids: [grid] });
  const took = Math.round(performance.now() - startedAt);
  console.log(`${LABELS} labels as PDF in the pool: ${took} ms, ${Math.round(pdf.length / 1024)} kB\n`);
  await pool.close();
}
