import { expect, test } from "vitest";
import cases from "#commands/reckon/cases.json" with { type: "json" };
import { MODELS } from "#commands/reckon/models.ts";
import { runCase } from "#commands/reckon/run-case.ts";

test("every worked case passes, and every model has one", () => {
  const failed = cases.map(runCase).filter(({ passed }) => !passed);
  expect(failed.map(({ line }) => line)).toEqual([]);
  const withCases = new Set(cases.map(({ model }) => model));
  expect(Object.keys(MODELS).filter((model) => !withCases.has(model))).toEqual([]);
});

test("a model that is not built, and what is no case, is a line and not a crash", () => {
  expect(runCase({ model: "moon.phase", title: "new", inputs: {}, expected: {} }, 1)).toEqual({
    passed: false,
    line: "FAIL moon.phase (new): this model is not built",
  });
  expect(runCase("bath.ua", 3).line).toMatch(/^FAIL case 3: not a case/);
});

const UA = {
  model: "bath.ua",
  title: "pot",
  inputs: { u_surface_w_per_m2_k: 50, surface_m2: 0.1, u_wall_w_per_m2_k: 10, wall_m2: 0.5 },
  expected: { ua_w_per_k: 10 },
  tolerance: { relative: 0.001, absolute: 0.001 },
};

test("a number passes within its tolerance and fails past it, and no answer may be missing or over", () => {
  const run = (expected: object) => runCase({ ...UA, expected }, 1).passed;
  expect(run({ ua_w_per_k: 10.0109 })).toBe(true);
  expect(run({ ua_w_per_k: 10.012 })).toBe(false);
  expect(run({ ua_w_per_k: "10" })).toBe(false);
  expect(run({})).toBe(false);
  expect(run({ ua_w_per_k: 10, more: 1 })).toBe(false);
});

test("bad input is named", () => {
  expect(runCase({ ...UA, inputs: { ...UA.inputs, wall_m2: "wide" } }, 1).line).toMatch(/bad input: wall_m2/);
  const noBag = {
    model: "ice.mass",
    inputs: cases.find(({ model }) => model === "ice.mass")!.inputs,
    expected: {},
  };
  expect(runCase({ ...noBag, inputs: { ...noBag.inputs, bag_kg: 0 } }, 1).line).toMatch(
    /bad input: a bag must weigh more than 0 kg, got 0/,
  );
});

test("a case may leave out what its formula does not need", () => {
  const passes = (model: string, change: (inputs: Record<string, unknown>) => Record<string, unknown>) => {
    const found = cases.find(
      (one) => one.model === model && (one.inputs as { fuel?: string }).fuel !== "propane",
    )!;
    return runCase({ ...found, inputs: change({ ...found.inputs }) }, 1).line;
  };
  expect(passes("bath.heatup", ({ fuel: _fuel, ...rest }) => rest)).toMatch(/^pass/);
  // Each bird's own hour in place of evenly spaced kills.
  for (const model of ["feed.share", "feed.optimal"])
    expect(
      passes(model, ({ first_kill_h, interval_min, birds, ...rest }) => ({
        ...rest,
        kill_times_h: Array.from(
          { length: birds as number },
          (_, bird) => (first_kill_h as number) + (bird * (interval_min as number)) / 60,
        ),
      })),
    ).toMatch(/^pass/);
  const update = cases.find(
    ({ model, inputs }) =>
      model === "growth.update" &&
      (inputs as { samples?: { sd_kg: number | null }[] }).samples?.some(({ sd_kg }) => sd_kg === null),
  );
  if (update) {
    const { samples, ...rest } = update.inputs as unknown as { samples: { sd_kg: number | null }[] };
    const without = samples.map(({ sd_kg, ...sample }) => (sd_kg === null ? sample : { ...sample, sd_kg }));
    expect(runCase({ ...update, inputs: { ...rest, samples: without } }, 1).line).toMatch(/^pass/);
  }
});
