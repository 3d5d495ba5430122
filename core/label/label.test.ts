import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { labelLayout, missingParts } from "#core/label/label-parts.ts";
import { LABEL_SCALE, labelPrice, printedWeight } from "#core/label/label-price.ts";
import { packCode, packIdOf } from "#core/label/pack-code.ts";
import { packPrice } from "#core/label/pack-price.ts";
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

describe("a label's layout", () => {
  const template = { widthMillimeters: 100, heightMillimeters: 50, letterPoints: 7, required: [] };
  const words = fc
    .array(fc.stringMatching(/^[a-z]{1,14}$/), { minLength: 1, maxLength: 20 })
    .map((some) => some.join(" "));

  test("loses no word of a part, however narrow the label", () => {
    fc.assert(
      fc.property(words, fc.integer({ min: 30, max: 200 }), (text, widthMillimeters) => {
        const { lines } = labelLayout(
          { ...template, widthMillimeters },
          { product: "Wings", "safe-handling": text },
        );
        const printed = lines.filter(({ part }) => part === "safe-handling").map((line) => line.text);
        expect(printed.join("").replace(/ /g, "")).toBe(text.replace(/ /g, ""));
      }),
    );
  });

  test("says what does not fit, and refuses letters that no one can read", () => {
    expect(labelLayout(template, { product: "Wings", code: "23YWM" })).toMatchObject({
      fits: true,
      codeMillimeters: 22,
    });
    expect(
      labelLayout(
        { ...template, heightMillimeters: 15 },
        { product: "Wings", "safe-handling": "wash ".repeat(60) },
      ).fits,
    ).toBe(false);
    expect(() => labelLayout({ ...template, letterPoints: 5.9 }, {})).toThrow(
      "letters must be at least 6 pt, got 5.9",
    );
  });

  test("names what the farm's rule asks for and the label lacks, in the usual order", () => {
    expect(missingParts(["code", "farm", "product"], { product: "Wings", farm: "" })).toEqual([
      "farm",
      "code",
    ]);
  });
});

test("a pack costs its printed weight times its price, or its volume, or so much a pack", () => {
  const pack = {
    weightMilligrams: 1_115_928,
    tareMilligrams: 1_721,
    volumeMilliliters: undefined,
    priceCents: 1915,
  };
  // 2.46 lb at 19.15.
  expect(packPrice({ ...pack, priceUnit: "pound" })).toBe(4711);
  // 1.115 kg at 19.15: 21.35.
  expect(packPrice({ ...pack, priceUnit: "kilogram" })).toBe(2135);
  expect(packPrice({ ...pack, priceUnit: "pack" })).toBe(1915);
  expect(packPrice({ ...pack, priceUnit: "quart" })).toBeUndefined();
  expect(
    packPrice({ ...pack, weightMilligrams: undefined, volumeMilliliters: 500, priceUnit: "liter" }),
  ).toBe(958);
  expect(packPrice({ ...pack, priceCents: undefined, priceUnit: "pound" })).toBeUndefined();
});
