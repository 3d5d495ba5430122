import { parseArgs } from "node:util";
import { SimulatedPrinter, servePrinter } from "#devices/label-printer/simulated-printer.ts";

/** The stand-in label printer as a program: simulate.ts --port 5283 */
const { values } = parseArgs({ options: { port: { type: "string", default: "5283" } } });
const port = Number(values.port);
if (!(Number.isInteger(port) && port > 0 && port < 65_536)) throw new Error(`${port} is no port`);
servePrinter(new SimulatedPrinter(), port).on("error", (error) => {
  console.error(`The simulated label printer can't listen on port ${port}: ${error.message}`);
  process.exit(1);
});
process.stdin.on("end", () => process.exit(0)).resume();
