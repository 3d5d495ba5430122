import { CUT_SHARES } from "#core/carcass-yield/yield-constants.ts";
import type { BirdKind } from "#core/growth/bird-kind.ts";
import { BIRD_PIECES, type ProductKindName, productKind } from "#core/packing/product-kinds.ts";

/**
 * How parts that are cut finer hang together with the shares of a carcass: skin on a boneless breast, rib and keel on a breast on
 * the bone, the halves of a leg. Choices, until the farm's own packs speak. See docs/sources.md#products.
 */
const FINER = {
  skinOfBreast: 0.1,
  boneOfFrame: 0.35,
  tenderOfBreast: 0.17,
  thighOfLeg: 0.55,
  drumstickOfLeg: 0.42,
  backOfFrame: 0.5,
} as const;

export interface BirdMeans {
  readonly kind: BirdKind;
  readonly dressedKilograms: number;
  readonly liveKilograms: number;
}

/**
 * Weight of what one bird gives of a product, kg, raw; undefined for what is not counted by pieces of a bird, or changes its
 * weight on the way.
 */
export function productOfBird(product: ProductKindName, bird: BirdMeans): number | undefined {
  const { ofDressed, ofLive } = CUT_SHARES[bird.kind];
  const dressed = (share: number) => share * bird.dressedKilograms;
  const live = (part: string) => ofLive[part]! * bird.liveKilograms;
  const breast = ofDressed.breast_boneless!;
  const legs = ofDressed.leg_quarters!;
  const frame = ofDressed.frame!;
  const bone = FINER.boneOfFrame * frame;
  const shares: Partial<Record<ProductKindName, number>> = {
    "whole-bird": bird.dressedKilograms,
    "cut-up-bird": bird.dressedKilograms,
    "breast-boneless-skinless": dressed(breast),
    "breast-boneless": dressed(breast * (1 + FINER.skinOfBreast)),
    "breast-bone-in-skinless": dressed(breast + bone),
    "breast-bone-in": dressed(breast * (1 + FINER.skinOfBreast) + bone),
    tender: dressed(breast * FINER.tenderOfBreast),
    "leg-quarter": dressed(legs),
    thigh: dressed(legs * FINER.thighOfLeg),
    drumstick: dressed(legs * FINER.drumstickOfLeg),
    wing: dressed(ofDressed.wings!),
    back: dressed(frame * FINER.backOfFrame),
    frame: dressed(frame),
    neck: live("neck"),
    liver: live("liver"),
    heart: live("heart"),
    gizzard: live("gizzard"),
    feet: live("feet"),
    "feet-peeled": live("feet"),
  };
  return shares[product];
}

/** Weight of one piece of a product, kg; undefined where pieces are not counted. */
export function pieceKilograms(product: ProductKindName, bird: BirdMeans): number | undefined {
  const { piece } = productKind(product);
  const ofBird = productOfBird(product, bird);
  return piece === undefined || ofBird === undefined ? undefined : ofBird / BIRD_PIECES[piece];
}
