import { spawn } from "node:child_process";
import { built, root } from "./prepare.mjs";

/** Where the demo farm's devices listen. */
export const SIMULATED = [
  { name: "bath-probe", port: 5281 },
  { name: "bench-scale", port: 5282 },
  { name: "label-printer", port: 5283 },
];

/** Starts each stand-in as a program of its own. They end when this process does, however it ends: their input is closed then. */
export function startDevices() {
  for (const { name, port } of SIMULATED)
    spawn(process.execPath, [built(`devices/${name}/simulate.ts`), "--port", String(port)], {
      cwd: root,
      stdio: ["pipe", "inherit", "inherit"],
    });
}
