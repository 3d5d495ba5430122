import { parseArgs } from "node:util";
import { ownHosts } from "#app/server/gate.server.ts";
import { httpsFolder, httpsPort, plainNames } from "#app/server/https/https-folder.server.ts";
import { dataFile } from "#commands/file/file-command.ts";
import { makeHttpsFiles } from "#commands/https/https-files.ts";
import { openFarmFile } from "#db/farm-file.server.ts";

/** npm run certificate [-- --data farm.sqlite]: makes the farm's own authority, which phones are then asked to trust. */
const { values } = parseArgs({ options: { data: { type: "string" } } });
const path = dataFile(values.data);
const file = openFarmFile(path);
const farmName = file.farm()?.name ?? "A farm";
file.close();
const names = plainNames(ownHosts());
const folder = httpsFolder(path);
await makeHttpsFiles(folder, { farmName, names, now: Date.now() });
console.log(
  [
    `Made a certificate for ${names.join(", ")}, in ${folder}.`,
    `Start Pale Morning again: it then answers by HTTPS on port ${httpsPort()} too.`,
    "On each phone, open the page /phone and follow it. A phone that trusted an earlier certificate has to be told anew.",
    `Whoever can read ${folder} can pass for this computer on your network. Keep it to yourself.`,
  ].join("\n"),
);
