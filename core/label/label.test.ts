import fc from "fast-check";
import { expect, test } from "vitest";
import { LABEL_SCALE, labelPrice, printedWeight } from "#core/label/label-price.ts";
import { packCode, packIdOf } from "#core/label/pack-code.ts";
import { milligrams } from "#core/quantity/quantity.ts";

const id = fc.integer({ min: 1, max: 30_000_000 });

test("a pack's code leads back to it, however it is typed", () => {
  fc.assert(
    fc.property(id, (packId) => {
      const code = packCode(packId);
      expect(packIdOf(code)).toBe(packId);
      expect(packIdOf(` ${code.slice(0, 2).toLowerCase()}-${code.slice(2)} `)).toBe(packId);
    }),
  );
  expect(packCode(1)).toHaveLength(5);
  expect(() => packCode(0)).toThrow("a pack's number must be whole and at least 1, got 0");
});

test("one wrong character, or two changed about, is noticed", () => {
  fc.assert(
    fc.property(id, fc.nat(), fc.constantFrom(..."234679CDFGHJKMNPRTVWXYA"), (packId, at, letter) => {
      const code = [...packCode(packId)];
      const place = at % code.length;
      const wrong = code.with(place, letter);
      if (letter !== code[place]) expect(packIdOf(wrong.join(""))).toBeUndefined();
      const next = place + 1;
      if (next < code.length && code[place] !== code[next])
        expect(packIdOf(code.with(place, code[next]!).with(next, code[place]!).join(""))).toBeUndefined();
    }),
  );
  for (const text of ["", "wings", "2234", "0OIL1", "x".repeat(80)]) expect(packIdOf(text)).toBeUndefined();
});

test("a label never says more than the pack holds, nor more than half a cent above its printed weight", () => {
  const scale = fc.constantFrom(LABEL_SCALE.us, LABEL_SCALE.metric);
  const weight = fc.integer({ min: 1, max: 60_000_000 });
  fc.assert(
    fc.property(
      weight,
      weight,
      fc.integer({ min: 0, max: 20_000 }),
      scale,
      (one, other, centsPerUnit, of) => {
        const [tare, gross] = one < other ? [one, other] : [other, one];
        const printed = printedWeight(milligrams(gross), milligrams(tare), of);
        const step = of.unitMilligrams / of.stepsPerUnit;
        expect(printed.shownSteps * step).toBeLessThanOrEqual(printed.netMilligrams + 1e-6);
        expect((printed.shownSteps + 1) * step).toBeGreaterThan(printed.netMilligrams - 1e-6);
        const exact = (printed.shownSteps * centsPerUnit) / of.stepsPerUnit;
        expect(Math.abs(labelPrice(printed, centsPerUnit, of) - exact)).toBeLessThanOrEqual(0.5 + 1e-9);
      },
    ),
  );
  expect(() => printedWeight(milligrams(5), milligrams(6), LABEL_SCALE.us)).toThrow(/tare must not be more/);
});
