import { type SimulatedDevice, serveSimulated } from "#devices/attached/simulated-device.ts";

/** Runs a stand-in as a program, until it is ended or whoever started it is gone. */
export function runSimulated(simulated: SimulatedDevice, port: number, battery: number): void {
  if (!(Number.isInteger(port) && port > 0 && port < 65_536)) throw new Error(`${port} is no port`);
  const server = serveSimulated(simulated, port, battery);
  server.on("error", (error) => {
    console.error(`The simulated ${simulated.device} can't listen on port ${port}: ${error.message}`);
    process.exit(1);
  });
  process.stdin.on("end", () => process.exit(0)).resume();
}
