import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import type { PrintedLabel } from "#devices/label-printer/label-job.ts";
import { askPrinter, LABEL_PRINTER } from "#devices/label-printer/label-printer-driver.ts";

/** Where the farm's label printer is; undefined where it has none. */
export const printerAddress = ({ file }: FarmContext) =>
  file.attached.addresses().find(({ device }) => device === LABEL_PRINTER);

export interface PrinterNow {
  readonly entryId: string;
  readonly host: string;
  readonly port: number;
  readonly state: "ready" | "no-paper" | "not-reached";
  /** Labels left on the roll, where the printer says so. */
  readonly left: number | undefined;
  readonly isSimulated: boolean;
  /** What a stand-in printed last. */
  readonly last: PrintedLabel | undefined;
}

/** How the label printer is doing; undefined where the farm has none. A real one is asked for nothing but its status. */
export async function printerNow(here: FarmContext): Promise<PrinterNow | undefined> {
  const address = printerAddress(here);
  if (!address) return undefined;
  const said = await askPrinter(address, "status");
  const [, word, left, simulated] = /^(ready|no-paper)(?: (\d{1,6}))?( simulated)?$/.exec(said ?? "") ?? [];
  const isSimulated = simulated !== undefined;
  const shown = isSimulated ? await askPrinter(address, "show") : undefined;
  return {
    ...address,
    state: (word as "ready" | "no-paper" | undefined) ?? "not-reached",
    left: left === undefined ? undefined : Number(left),
    isSimulated,
    last: lastOf(shown),
  };
}

function lastOf(shown: string | undefined): PrintedLabel | undefined {
  try {
    return (JSON.parse(shown ?? "null") as PrintedLabel | null) ?? undefined;
  } catch {
    return undefined;
  }
}
