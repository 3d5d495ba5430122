import { cpSync } from "node:fs";
import { join } from "node:path";
import { build } from "vite";
import { bin, root, run } from "./prepare.mjs";

/**
 * Builds all of the application into build/: pages by React Router, and what runs beside them here: the server, its threads, the stand-ins
 * of devices, and the commands for the file. A built server needs build/, package.json, and the installed packages, and no source.
 */
const PROGRAMS = [
  "commands/serve",
  "commands/make-demo",
  "commands/file/backup",
  "commands/file/restore",
  "commands/file/check",
  "commands/file/export",
  "commands/file/import",
  "commands/https/make-certificate",
  "demo/demo-moments",
  "workers/pool/worker",
  "workers/season/worker",
  "devices/bath-probe/simulate",
  "devices/bench-scale/simulate",
  "devices/forecast/simulate",
  "devices/label-printer/simulate",
];

// First, for it empties build/.
run(bin("react-router"), ["build"]);
await build({
  configFile: false,
  root,
  logLevel: "warn",
  build: {
    ssr: true,
    target: "node20",
    outDir: "build/programs",
    emptyOutDir: true,
    copyPublicDir: false,
    rollupOptions: {
      input: Object.fromEntries(PROGRAMS.map((program) => [program, join(root, `${program}.ts`)])),
      output: { entryFileNames: "[name].js", chunkFileNames: "shared/[name]-[hash].js" },
    },
  },
});
cpSync(join(root, "db", "migrations"), join(root, "build", "db", "migrations"), { recursive: true });
