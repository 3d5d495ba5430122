import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { packDoubt } from "#core/packing/pack-check.ts";
import { packsOfPieces } from "#core/packing/packs-of-pieces.ts";
import { piecesLeft } from "#core/packing/pieces-left.ts";
import { type WentRow, whereItWent } from "#core/packing/where-it-went.ts";

test("every piece is in a pack or left over", () => {
  fc.assert(
    fc.property(fc.nat(5000), fc.integer({ min: 1, max: 500 }), (pieces, each) => {
      const { packs, leftOver } = packsOfPieces(pieces, each);
      expect(packs * each + leftOver).toBe(pieces);
      expect(leftOver).toBeLessThan(each);
    }),
  );
  expect(() => packsOfPieces(3, 0)).toThrow(/at least 1/);
});

describe("pieces that are left", () => {
  const birds = { dressed: 30, cutUp: 12 };
  test.each([
    ["breasts come from birds that are cut up", "breast-boneless", [], 24],
    ["livers come from every bird", "liver", [{ product: "liver", pieces: 8 }], 22],
    ["breasts of any kind count", "breast-boneless", [{ product: "breast-bone-in", pieces: 20 }], 4],
    ["a thigh leaves one leg quarter less", "leg-quarter", [{ product: "thigh", pieces: 3 }], 21],
    [
      "a thigh and its drumstick are one leg",
      "leg-quarter",
      [
        { product: "thigh", pieces: 3 },
        { product: "drumstick", pieces: 3 },
      ],
      21,
    ],
    ["a leg quarter leaves one drumstick less", "drumstick", [{ product: "leg-quarter", pieces: 20 }], 4],
    ["a frame is a back with its ribs", "back", [{ product: "frame", pieces: 5 }], 7],
    ["ground meat has no pieces", "ground", [], undefined],
  ] as const)("%s", (_, product, packed, left) => {
    expect(piecesLeft(product, birds, packed)).toBe(left);
  });

  test("never more of one kind than a bird has, in whatever order they are packed", () => {
    const some = fc.array(
      fc.record({ product: fc.constantFrom("thigh", "drumstick", "leg-quarter"), pieces: fc.nat(6) }),
    );
    fc.assert(
      fc.property(some, (packs) => {
        const packed: { product: "thigh" | "drumstick" | "leg-quarter"; pieces: number }[] = [];
        for (const pack of packs)
          if (pack.pieces <= piecesLeft(pack.product, birds, packed)!)
            packed.push(pack as (typeof packed)[number]);
        const of = (product: string) =>
          packed.filter((pack) => pack.product === product).reduce((sum, { pieces }) => sum + pieces, 0);
        expect(of("leg-quarter") + of("thigh")).toBeLessThanOrEqual(24);
        expect(of("leg-quarter") + of("drumstick")).toBeLessThanOrEqual(24);
      }),
    );
  });
});

describe("a pack is doubted", () => {
  const pack = {
    product: "breast-boneless",
    pieces: 2,
    kilograms: 0.5,
    birds: { dressed: 30, cutUp: 12 },
    packed: [],
    pieceKilograms: 0.25,
    birdsKilograms: 24,
  } as const;
  test.each([
    ["not at all where all agrees", {}, undefined],
    ["where it has more breasts than are left", { pieces: 26 }, { doubt: "too-many-pieces", left: 24 }],
    [
      "where it is heavier than its birds",
      { kilograms: 25 },
      { doubt: "heavier-than-birds", birdsKilograms: 24 },
    ],
    [
      "where two weigh like three and three quarters",
      { kilograms: 0.93 },
      { doubt: "unlikely-weight", likePieces: 4 },
    ],
    ["where two weigh like less than one", { kilograms: 0.2 }, { doubt: "unlikely-weight", likePieces: 1 }],
    [
      "not by its weight where nobody knows a piece's",
      { kilograms: 3, pieceKilograms: undefined },
      undefined,
    ],
  ] as const)("%s", (_, change, expected) => {
    expect(packDoubt({ ...pack, ...change })).toEqual(expected);
  });
});

describe("where it went", () => {
  const row = (kind: WentRow["kind"], milligrams: number): WentRow => ({
    kind,
    what: kind,
    milligrams,
    packs: 1,
  });
  test("the rows add up to the live weight to the milligram, whatever was weighed", () => {
    const kinds = fc.constantFrom(
      "whole",
      "cut",
      "giblets",
      "boiled",
      "dried",
      "minced",
      "compost",
      "condemned",
    );
    const rows = fc.array(fc.tuple(kinds, fc.integer({ min: 1, max: 50_000_000 })));
    fc.assert(
      fc.property(
        rows,
        fc.nat(400_000_000),
        fc.nat(40_000_000),
        (some, liveMilligrams, cutBirdsMilligrams) => {
          const answer = whereItWent({
            liveMilligrams,
            cutBirdsMilligrams,
            rows: some.map(([kind, milligrams]) => row(kind, milligrams)),
          });
          expect(answer.rows.reduce((sum, { milligrams }) => sum + milligrams, 0)).toBe(liveMilligrams);
          expect(answer.isTooMuch).toBe(answer.rows.some(({ milligrams }) => milligrams < 0));
        },
      ),
    );
  });

  test("what of the cut birds is in no pack and no pot is trim", () => {
    const { rows } = whereItWent({
      liveMilligrams: 100,
      cutBirdsMilligrams: 30,
      rows: [row("whole", 40), row("cut", 20), row("boiled", 6)],
    });
    expect(rows.map(({ kind, milligrams }) => [kind, milligrams])).toEqual([
      ["whole", 40],
      ["cut", 20],
      ["boiled", 6],
      ["trim", 4],
      ["not-weighed", 30],
    ]);
  });
});
