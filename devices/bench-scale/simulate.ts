import { parseArgs } from "node:util";
import { runSimulated } from "#devices/attached/run-simulated.ts";
import { simulatedScale } from "#devices/bench-scale/simulated-scale.ts";

/** The stand-in scale as a program: simulate.ts --port 5282 */
const { values } = parseArgs({ options: { port: { type: "string", default: "5282" } } });
runSimulated(simulatedScale(), Number(values.port), 64);
