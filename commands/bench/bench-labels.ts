import { USUAL_LABEL } from "#app/server/freezer/label-of-pack.server.ts";
import { SECOND } from "#core/calendar/milliseconds.ts";
import { packCode } from "#core/label/pack-code.ts";
import { WorkPool } from "#workers/pool/client.ts";

const LABELS = 60;

/** Sixty labels as a PDF in the work pool, from asking to the whole file; the thread stands already. */
export async function benchLabels(): Promise<void> {
  const pool = new WorkPool({ root: process.cwd(), threads: 1, mostMilliseconds: 60 * SECOND });
  const sheets = {
    paper: "LETTER",
    madeAt: 0,
    title: "Labels",
    template: USUAL_LABEL,
    rows: USUAL_LABEL.rows,
    columns: USUAL_LABEL.columns,
    skip: 0,
    codeKind: USUAL_LABEL.codeKind,
    labels: Array.from({ length: LABELS }, (_, index) => ({
      product: "Breasts, bone in, skin on",
      "net-weight": "Net wt 1.91 lb",
      "total-price": "$13.16",
      "safe-handling": USUAL_LABEL.handlingLine,
      code: packCode(index + 1),
    })),
  } as const;
  await pool.run("label-sheets", { ...sheets, labels: sheets.labels.slice(0, 1) });
  const startedAt = performance.now();
  const pdf = await pool.run("label-sheets", sheets);
  const took = Math.round(performance.now() - startedAt);
  console.log(`${LABELS} labels as PDF in the pool: ${took} ms, ${Math.round(pdf.length / 1024)} kB\n`);
  await pool.close();
}
