import { ensureBuilt, ensureInstalled } from "./prepare.mjs";
import { SIMULATED, startDevices } from "./simulated-devices.mjs";

/** Starts the simulated devices until it is ended: a probe in the demo farm's bath, and a bench scale. */
ensureInstalled();
ensureBuilt();
startDevices();
for (const { name, port } of SIMULATED) console.log(`${name} on 127.0.0.1, port ${port}`);
