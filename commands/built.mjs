import { built, ensureBuilt, ensureInstalled } from "./prepare.mjs";

/** Runs a program of ours as it was built: node commands/built.mjs commands/file/backup.ts [WORDS] */
const [source] = process.argv.splice(2, 1);
ensureInstalled();
ensureBuilt();
await import(built(source));
