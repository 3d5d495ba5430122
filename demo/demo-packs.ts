import { type BirdMeans, pieceKilograms } from "#core/carcass-yield/piece-weight.ts";
import { DRESSED_FRACTION } from "#core/carcass-yield/yield-constants.ts";
import type { BirdKind } from "#core/growth/bird-kind.ts";
import type { ProductKindName } from "#core/packing/product-kinds.ts";
import { MILLIGRAMS_PER_KILOGRAM, MILLIGRAMS_PER_OUNCE } from "#core/quantity/conversion.ts";
import type { FarmFile } from "#db/farm-file.server.ts";
import type { Carcass, PackFacts } from "#db/pack/pack-row.server.ts";
import { type entryMaker, must, priceOf } from "#demo/demo-file.ts";
import { drawsFrom } from "#demo/draws.ts";

type MakeEntry = ReturnType<typeof entryMaker>;

/** What the farm asks for a pound, and for a bag of dried feet. */
const PRICES = [
  ["whole-bird", 525, "pound"],
  ["breast-bone-in", 789, "pound"],
  ["leg-quarter", 449, "pound"],
  ["wing", 499, "pound"],
  ["back", 250, "pound"],
  ["liver", 450, "pound"],
  ["heart", 450, "pound"],
  ["feet-dried", 900, "pack"],
  ["broth", 800, "quart"],
] as const satisfies readonly (readonly [ProductKindName, number, PackFacts["priceUnit"]])[];

/** Prices, and what packs are weighed in. */
export function makeCatalog(file: FarmFile, entry: MakeEntry): void {
  for (const [kind, priceCents, priceUnit] of PRICES) {
    must(
      file.catalog.setPrice(entry("2026-06-15"), productOf(file, kind).id, {
        priceCents,
        priceUnit,
        fromDay: "2026-06-15",
      }),
    );
  }
  seenInTheShop(file, entry);
  must(
    file.labels.saveSetting(entry("2026-06-15"), {
      widthMillimeters: 100,
      heightMillimeters: 50,
      letterPoints: 7,
      required: [
        "product",
        "farm",
        "net-weight",
        "packed-on",
        "lot",
        "storage",
        "safe-handling",
        "cook",
        "exemption",
        "code",
      ],
      farmLine: "Harrow & Lark, Ottauk Valley",
      storageLine: "Keep frozen.",
      handlingLine: "Keep raw poultry cold and apart from other food. Wash hands, boards, and knives.",
      exemptionLine: "Exempt under our local rule: own birds, at most 1,000 a year.",
      codeKind: "qr",
      rows: 5,
      columns: 2,
    }),
  );
  for (const [name, ounces] of [
    ["Vacuum bag", 0.4],
    ["Steel bowl", 14.5],
  ] as const)
    must(
      file.catalog.addContainer(entry("2026-06-15"), {
        name,
        tareMilligrams: Math.round(ounces * MILLIGRAMS_PER_OUNCE),
      }),
    );
}

/** What the store in the valley asks. */
function seenInTheShop(file: FarmFile, entry: MakeEntry): void {
  for (const [kind, raised, priceCents, seenOn] of [
    ["whole-bird", "ordinary", 189, "2026-08-29"],
    ["whole-bird", "pastured", 599, "2026-08-29"],
    ["breast-bone-in", "ordinary", 449, "2026-08-29"],
  ] as const)
    must(
      file.catalog.addShopPrice(entry(seenOn), {
        productId: productOf(file, kind).id,
        priceCents,
        priceUnit: "pound",
        kind: raised,
        seenOn,
        place: "the store in the valley",
      }),
    );
}

const productOf = (file: FarmFile, kind: ProductKindName) =>
  file.catalog.products().find((product) => product.kind === kind)!;

/** How a piece of this farm's cutters compares with the usual share of a bird, and how many go into a pack. */
const CUTS = [
  ["breast-bone-in", 0.97, 2],
  ["leg-quarter", 1.04, 2],
  ["wing", 0.98, 12],
  ["back", 0.92, 4],
] as const satisfies readonly (readonly [ProductKindName, number, number])[];

export interface PartsOfDay {
  readonly dayId: number;
  readonly lotId: number;
  readonly packedOn: string;
  readonly time: string;
  readonly kind: BirdKind;
  /** Birds whose giblets are packed. */
  readonly drawn: number;
  readonly placeId: number;
}

/** What a bird weighed of those that are cut up. */
function meansOf(kind: BirdKind, cut: readonly Carcass[]): BirdMeans {
  const milligrams = cut.reduce((sum, { weightMilligrams }) => sum + (weightMilligrams ?? 0), 0);
  const dressedKilograms = milligrams / MILLIGRAMS_PER_KILOGRAM / Math.max(1, cut.length);
  return { kind, dressedKilograms, liveKilograms: dressedKilograms / DRESSED_FRACTION[kind] };
}

/** The cut-up birds of a day in packs of a fixed count, their livers by eight, and what is left over in an odd pack. */
export function packTheParts(file: FarmFile, entry: MakeEntry, of: PartsOfDay): void {
  const draws = drawsFrom(700 + of.dayId);
  const people = file.people.people();
  const packedBy = people.find(({ name }) => name === "Pell")?.id;
  const container = file.catalog.containers().find(({ name }) => name === "Vacuum bag")!;
  const packOne = (kind: ProductKindName, pieces: number, ounces: number) => {
    const productId = productOf(file, kind).id;
    const { priceCents, priceUnit } = priceOf(file, productId);
    const tenths = Math.round(pieces * ounces * (1 + 0.06 * draws.normal()) * 10);
    const weightMilligrams = Math.round((tenths / 10) * MILLIGRAMS_PER_OUNCE);
    must(
      file.pack.recordPacks(entry(of.packedOn, of.time), of.dayId, [
        {
          productId,
          lotId: of.lotId,
          birdNumber: undefined,
          pieces,
          purpose: "sale",
          weightMilligrams,
          tareMilligrams: container.tareMilligrams,
          volumeMilliliters: undefined,
          asTyped: `${(weightMilligrams + container.tareMilligrams) / 1000}g`,
          reason: "",
          placeId: of.placeId,
          packedBy,
          priceCents,
          priceUnit,
        },
      ]),
    );
  };
  const cut = file.pack.carcasses(of.dayId).filter(({ purpose }) => purpose === "cut");
  const means = meansOf(of.kind, cut);
  for (const [kind, share, perPack] of CUTS) {
    const pieces = cut.length * (kind === "back" ? 1 : 2);
    const ounces = (pieceKilograms(kind, means)! * MILLIGRAMS_PER_KILOGRAM * share) / MILLIGRAMS_PER_OUNCE;
    for (let left = pieces; left > 0; left -= perPack) packOne(kind, Math.min(perPack, left), ounces);
  }
  for (let left = of.drawn; left >= 8; left -= 8) packOne("liver", 8, 1.3);
}

/** Feet into the dehydrator and out a day later, frames into the pot, and what the compost got. */
export function theByProducts(
  file: FarmFile,
  entry: MakeEntry,
  { dayId, on, next, birds }: { dayId: number; on: string; next: string; birds: number },
): void {
  const { byProducts } = file;
  const grams = (each: number) => Math.round(birds * each) * 1000;
  must(
    byProducts.start(entry(on, "13:30"), dayId, {
      kind: "dry-feet",
      inMilligrams: grams(92),
      note: "dehydrator, 155 °F",
    }),
  );
  const [feet] = byProducts.loads(dayId);
  must(byProducts.check(entry(on, "21:00"), dayId, feet!.id, "still soft at the pads"));
  must(byProducts.end(entry(next, "07:30"), dayId, feet!.id, { outMilligrams: grams(35), milliliters: 0 }));
  must(
    byProducts.start(entry(on, "13:40"), dayId, { kind: "feathers", inMilligrams: grams(170), note: "wet" }),
  );
  must(byProducts.start(entry(on, "13:45"), dayId, { kind: "offal", inMilligrams: grams(230), note: "" }));
}
