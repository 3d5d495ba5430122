import { median } from "d3-array";
import { RouterContextProvider } from "react-router";
import { clockFrom } from "#app/server/farm/clock.server.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { openFarmFile } from "#db/farm-file.server.ts";
import { makeDemoFarm } from "#demo/make-demo-farm.ts";
import { fillYears } from "#demo/many-years.ts";

const REPEATS = 41;

/** The batch page's work on the server with twenty years of history in the file: what its loader reads and calculates. */
export async function benchBatchPage(birdsAYear: number): Promise<void> {
  const { loader } = await import("#app/batches/batch.tsx");
  const file = openFarmFile(":memory:");
  const here = { file, now: clockFrom(Date.parse("2026-09-17T10:12:00Z")) };
  const context = new RouterContextProvider(new Map([[farmContext, here]]));
  fillYears(file, 20, birdsAYear);
  makeDemoFarm(file);
  for (const { id, name, aliveCount } of file.batches().filter((batch) => batch.aliveCount > 0)) {
    const once = () => {
      const startedAt = performance.now();
      loader({ context, params: { batchId: String(id) }, request: new Request("http://farm/") } as never);
      return performance.now() - startedAt;
    };
    // A server that has answered before, as it has on any but the first page of its life.
    for (let time = 0; time < REPEATS; time += 1) once();
    const times = Array.from({ length: REPEATS }, once);
    console.log(
      `Batch page of ${name} (${aliveCount} birds) on the server, 20 years at ${birdsAYear} birds a year: median ${median(times)!.toFixed(2)} ms, worst ${Math.max(...times).toFixed(2)} ms`,
    );
  }
}
