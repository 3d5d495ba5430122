/**
 * Which lot the bird of a number is of, where nobody said otherwise: lots come in the order of their kill, and a bird
 * beyond the plan is of the last.
 *
 * @param lots in that order, at least one
 * @param birdNumber from 1
 * @returns the lot's place, from 0
 */
export function lotOfBird(lots: readonly { readonly birds: number }[], birdNumber: number): number {
  let before = 0;
  for (const [place, { birds }] of lots.entries()) {
    before += birds;
    if (birdNumber <= before) return place;
  }
  return lots.length - 1;
}
