import { spawnSync } from "node:child_process";
import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, test } from "vitest";

const folder = mkdtempSync(join(tmpdir(), "pale-morning-"));

function simulate(day: unknown) {
  const path = join(folder, "day.json");
  writeFileSync(path, typeof day === "string" ? day : JSON.stringify(day));
  const { status, stdout, stderr } = spawnSync("node_modules/.bin/tsx", ["commands/simulate.ts", path], {
    encoding: "utf8",
  });
  return {
    status,
    answer: stdout === "" ? undefined : JSON.parse(stdout),
    errors: stderr.trim().split("\n"),
  };
}

const DAY = {
  birds: 12,
  people: [{ name: "Tobias", stations: ["cones", "scald", "pluck"] }, { name: "Maren" }],
  kit: { cones: 2 },
  replications: 60,
};

test("a day from the shell answers in JSON, and what can't be is named and ends with a fault", {
  timeout: 60_000,
}, () => {
  const { status, answer } = simulate(DAY);
  expect(status).toBe(0);
  expect(answer.killMinutes).toHaveLength(12);
  expect(answer.finishMinutes.p10).toBeLessThan(answer.finishMinutes.p90);
  expect(Object.keys(answer.people)).toEqual(["Tobias", "Maren"]);
  expect(answer.stations.gut.busy).toBeGreaterThan(0.2);
  const longer = simulate({ ...DAY, cleanUpMinutes: 90 }).answer;
  expect(longer.finishMinutes.p50 - answer.finishMinutes.p50).toBeCloseTo(30, 6);

  expect(simulate({ ...DAY, birds: 0, chairs: 3 })).toMatchObject({
    status: 2,
    errors: [expect.stringContaining("birds: must be at least 1"), expect.stringContaining('"chairs"')],
  });
  const noGut = simulate({
    ...DAY,
    people: [{ stations: ["cones", "scald", "pluck", "pins", "rinse", "giblets"] }],
  });
  expect(noGut).toMatchObject({
    status: 2,
    errors: ["simulate: people: no one is at gut, which this day needs"],
  });
  expect(simulate("{").errors[0]).toContain("is not JSON");
});
