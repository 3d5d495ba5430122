/** Parts that take the room of a whole bird, kg. Choice. See docs/sources.md#freezing. */
export const KILOGRAMS_PER_SPACE = 2;

/** What lies in a refrigerator or freezer. */
export interface PlaceContents {
  readonly wholeBirds: number;
  /** Of packs that are not whole birds; a liter counts as a kilogram. */
  readonly otherKilograms: number;
}

/** Spaces taken, a space being what one whole bird takes. */
export const spacesTaken = ({ wholeBirds, otherKilograms }: PlaceContents): number =>
  wholeBirds + Math.ceil(otherKilograms / KILOGRAMS_PER_SPACE);

/** What a space takes of a refrigerator or freezer, with the gaps between packs, liters. Choice. See docs/sources.md#freezing. */
const LITERS_PER_SPACE = 6;

/** Spaces in so many liters, at least one. */
export const spacesOfVolume = (liters: number): number => Math.max(1, Math.floor(liters / LITERS_PER_SPACE));
