import { built, ensureBuilt, ensureInstalled } from "./prepare.mjs";

/** Serves a farm's own file. PALE_MORNING_DATA says where it lies; else it lies in the user's data folder. */
ensureInstalled();
ensureBuilt();
const { defaultDataFile } = await import("./data-folder.mjs");
process.env.PALE_MORNING_DATA ??= defaultDataFile("farm.sqlite");
process.env.NODE_ENV ??= "production";
await import(built("commands/serve.ts"));
