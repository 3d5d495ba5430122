import { z } from "zod";
import { choice, wholeNumber, words } from "#app/ui/read/read-field.ts";
import { ATTACHED_DEVICES } from "#core/quantity/device-reading.ts";
import { LABEL_PRINTER } from "#devices/label-printer/label-printer-driver.ts";

const HOST = /^(?:[a-z0-9](?:[a-z0-9-]{0,61}[a-z0-9])?)(?:\.[a-z0-9-]{1,63})*$|^[0-9a-f:]{2,45}$/i;

/** Everything that can be connected: what reads, and the printer. */
export const CONNECTED_DEVICES = [...ATTACHED_DEVICES, LABEL_PRINTER] as const;

/** Where a device is found. */
export const attachForm = z.object({
  device: choice(CONNECTED_DEVICES, "Choose which device it is"),
  host: words(100, "Enter where it is, such as 192.168.1.40 or probe.local").refine(
    (host) => HOST.test(host),
    "Enter an address such as 192.168.1.40, or a name such as probe.local, without http:// or a port",
  ),
  port: wholeNumber({ least: 1, most: 65_535, ask: "Enter its port, such as 5281" }),
});

/** What can be done to a simulated device, as the line that it is told. */
export const SIMULATED_DEEDS = {
  "bath-probe": {
    dunk: "dunk 1",
    "dunk-two": "dunk 2",
    lift: "lift",
    "cold-water": "cold-water",
    unplug: "quiet 20",
    hang: "freeze",
    free: "free",
    garble: "garble 20",
  },
  "bench-scale": {
    "small-bird": "put 1480",
    "usual-bird": "put 1885",
    "large-bird": "put 2620",
    empty: "empty",
    unplug: "quiet 20",
    garble: "garble 20",
  },
  "label-printer": { "no-paper": "take-paper", paper: "paper 60" },
} as const;
