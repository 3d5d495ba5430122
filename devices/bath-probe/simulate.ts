import { parseArgs } from "node:util";
import { runSimulated } from "#devices/attached/run-simulated.ts";
import { uniformFrom } from "#devices/attached/uniform-from.ts";
import { simulatedBath } from "#devices/bath-probe/simulated-bath.ts";

/** The stand-in probe as a program: simulate.ts --port 5281 --liters 60 --watts 2000 --set 60 --bird 2.5 --seed 1 */
const { values } = parseArgs({
  options: {
    port: { type: "string", default: "5281" },
    liters: { type: "string", default: "60" },
    watts: { type: "string", default: "2000" },
    set: { type: "string", default: "60" },
    bird: { type: "string", default: "2.5" },
    seed: { type: "string", default: "1" },
  },
});
runSimulated(
  simulatedBath({
    liters: Number(values.liters),
    watts: Number(values.watts),
    setCelsius: Number(values.set),
    birdKilograms: Number(values.bird),
    uniform: uniformFrom(Number(values.seed)),
  }),
  Number(values.port),
  87,
);
