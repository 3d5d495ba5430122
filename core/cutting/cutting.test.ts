import fc from "fast-check";
import { expect, test } from "vitest";
import { productOfBird } from "#core/carcass-yield/piece-weight.ts";
import { type CutPart, cutList, USUAL_SCHEME } from "#core/cutting/cut-list.ts";
import { SEALER } from "#core/cutting/cutting-constants.ts";
import { type EarlierPacks, ownShares, shareOf } from "#core/cutting/own-shares.ts";
import { BIRD_PIECES, productKind } from "#core/packing/product-kinds.ts";

const MEANS = { kind: "fast", dressedKilograms: 2, liveKilograms: 2 / 0.72 } as const;
const KNIFE = {
  minutesPerBird: { value: 2.5, provenance: "our-estimate" },
  sealer: { ...SEALER, packsPerCycle: 4 },
  own: new Map(),
} as const;
const packs = (product: EarlierPacks["product"], pieces: number, kilograms: number): EarlierPacks => ({
  product,
  pieces,
  kilograms,
  means: MEANS,
});

test("twelve birds make the packs that a person counts, with the hours at the block and the sealer", () => {
  const list = cutList(12, USUAL_SCHEME, MEANS, KNIFE);
  expect(list.cuts.map(({ packs: whole, leftOver }) => [whole, leftOver])).toEqual([
    [12, 0],
    [12, 0],
    [2, 0],
    [3, 0],
  ]);
  // 29 packs in 8 cycles: 29 x 20 s and 8 x 20 s of hands are longer than 8 x 60 s.
  expect(list).toMatchObject({ packs: 29, sealCycles: 8, cutting: { value: 30 } });
  expect(list.sealing.value).toBeCloseTo((29 * 20 + 8 * 20) / 60, 9);
  expect(cutList(1, USUAL_SCHEME, undefined, KNIFE).cuts[0]!.weight).toBeUndefined();
});

test("own packs speak for their cut, then for the same part of the bird, and the usual share for the rest", () => {
  // Leg quarters of 2 kg birds usually weigh 0.62 kg a bird; here 10 birds gave 7.44 kg, a fifth more.
  const own = ownShares([packs("leg-quarter", 20, 7.44), packs("wing", 4, 1)]);
  // (7.44 + 3 x 0.62) / (6.2 + 3 x 0.62) = 9.3 / 8.06
  expect(shareOf("leg-quarter", own)).toMatchObject({ from: "own-packs", birds: 10 });
  expect(shareOf("leg-quarter", own).ratio).toBeCloseTo(9.3 / 8.06, 9);
  expect(shareOf("thigh", own)).toMatchObject({ from: "alike", ratio: shareOf("leg-quarter", own).ratio });
  // Two birds are too few.
  expect(shareOf("wing", own)).toEqual({ ratio: 1, birds: 0, from: "default" });
  const weights = cutList(6, USUAL_SCHEME, MEANS, { ...KNIFE, own }).cuts.map(({ weight }) => weight!);
  expect(weights.map(({ provenance }) => provenance)).toEqual([
    "our-estimate",
    "measured",
    "our-estimate",
    "our-estimate",
  ]);
  expect(weights[1]!.value).toBeCloseTo(6 * 0.62 * (9.3 / 8.06), 9);
});

test("a farm whose packs weigh what they usually do learns nothing else, and pieces are never lost", () => {
  const birds = fc.integer({ min: 3, max: 500 });
  const scheme = fc.shuffledSubarray([...USUAL_SCHEME], { minLength: 1 });
  fc.assert(
    fc.property(birds, scheme, fc.integer({ min: 1, max: 30 }), (count, parts, each) => {
      const cut: CutPart[] = parts.map(({ product }) => ({ product, piecesPerPack: each }));
      const usual = ownShares(
        cut.map(({ product }) =>
          packs(
            product,
            count * BIRD_PIECES[productKind(product).piece!],
            count * productOfBird(product, MEANS)!,
          ),
        ),
      );
      for (const { product } of cut) expect(shareOf(product, usual).ratio).toBeCloseTo(1, 9);
      for (const { product, pieces, packs: whole, leftOver } of cutList(count, cut, MEANS, KNIFE).cuts)
        expect([whole * each + leftOver, pieces]).toEqual([
          count * BIRD_PIECES[productKind(product).piece!],
          count * BIRD_PIECES[productKind(product).piece!],
        ]);
    }),
  );
});
