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
