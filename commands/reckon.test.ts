import { spawnSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, test } from "vitest";

const folder = mkdtempSync(join(tmpdir(), "pale-morning-"));

function reckon(content: string | undefined): { status: number | null; lines: string[] } {
  const path = join(folder, "cases.json");
  if (content !== undefined) writeFileSync(path, content);
  const args = content === undefined ? ["commands/reckon.ts"] : ["commands/reckon.ts", path];
  const { status, stdout, stderr } = spawnSync("node_modules/.bin/tsx", args, { encoding: "utf8" });
  return { status, lines: `${stdout}${stderr}`.trim().split("\n") };
}

test("from the shell, cases are run and counted, and what is no file of cases is said", {
  timeout: 30_000,
}, () => {
  const good = {
    model: "bath.ua",
    title: "pot",
    inputs: { u_surface_w_per_m2_k: 50, surface_m2: 0.09, u_wall_w_per_m2_k: 12, wall_m2: 0.33 },
    expected: { ua_w_per_k: 8.46 },
    tolerance: { relative: 1e-5, absolute: 1e-6 },
  };
  expect(reckon(JSON.stringify([good]))).toMatchObject({ status: 0 });
  const scrambled = reckon(
    JSON.stringify([good, { ...good, expected: { ua_w_per_k: 9 } }, { ...good, model: "moon.phase" }]),
  );
  expect(scrambled.status).toBe(1);
  expect(scrambled.lines.at(-1)).toBe("1 passed, 2 failed");
  expect(scrambled.lines).toHaveLength(4);
  expect(reckon("[{")).toMatchObject({ status: 2, lines: [expect.stringContaining("is not JSON")] });
  expect(reckon("{}")).toMatchObject({
    status: 2,
    lines: [expect.stringContaining("must hold an array of cases")],
  });
  expect(reckon(undefined)).toMatchObject({
    status: 2,
    lines: [expect.stringContaining("name a file of cases")],
  });
  rmSync(folder, { recursive: true });
});
