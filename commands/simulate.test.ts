import { spawnSync } from "node:child_process";
import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, test } from "vitest";

const folder = mkdtempSync(join(tmpdir(), "pale-morning-"));

function fileOf(name: string, content: unknown): string {
  const path = join(folder, name);
  writeFileSync(path, typeof content === "string" ? content : JSON.stringify(content));
  return path;
}

function simulate(day: unknown, taps?: unknown) {
  const soFar = taps === undefined ? [] : ["--so-far", fileOf("taps.json", taps)];
  const { status, stdout, stderr } = spawnSync(
    "node_modules/.bin/tsx",
    ["commands/simulate.ts", fileOf("day.json", day), ...soFar],
    { encoding: "utf8" },
  );
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

test("a day that has begun is forecast from its taps, and taps that can't be are named", {
  timeout: 60_000,
}, () => {
  const plan = simulate(DAY).answer;
  const { answer: untapped } = simulate(DAY, []);
  expect(untapped.finishMinutes).toEqual(plan.finishMinutes);
  expect(untapped.lastInChillMinutes).toEqual(plan.lastInChillMinutes);

  const { answer } = simulate(DAY, [
    { kind: "dip-in", minute: 6, birds: 1 },
    { kind: "chill", minute: 60, birds: 2 },
  ]);
  expect(answer.nowMinute).toBe(60);
  expect(answer.lastInChillMinutes.p50).toBeGreaterThan(plan.lastInChillMinutes.p50);
  expect(answer.chillMinutes.slice(0, 2)).toEqual([60, 60]);
  expect(Array.isArray(answer.moves)).toBe(true);
  const paused = simulate(DAY, [
    { kind: "start", minute: 10 },
    { kind: "pause", minute: 30 },
    { kind: "resume", minute: 75 },
  ]).answer;
  expect(paused.nowMinute).toBe(75);
  expect(paused.lastInChillMinutes.p50 - plan.lastInChillMinutes.p50).toBeGreaterThan(40);

  expect(simulate(DAY, [{ kind: "egg", minute: -3 }])).toMatchObject({
    status: 2,
    errors: [
      expect.stringContaining("taps 0.kind: must be one of kill"),
      expect.stringContaining("taps 0.minute: can't be before the start"),
    ],
  });
  expect(simulate(DAY, [{ kind: "chill", minute: 90, birds: 13 }]).errors).toEqual([
    "simulate: taps: more birds at chill than the day's 12",
  ]);
});
