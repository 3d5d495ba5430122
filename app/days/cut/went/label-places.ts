/**
 * Where labels stand beside the things they name, top to bottom: as near to them as may be, and never closer than a line.
 *
 * @param wanted in ascending order
 * @param height there is room for all of them in it
 */
export function labelPlaces(wanted: readonly number[], line: number, height: number): number[] {
  const places: number[] = [];
  for (const place of wanted) places.push(Math.max(place, line / 2, (places.at(-1) ?? -line) + line));
  // What hangs over the end pushes those above it up.
  let lowest = height - line / 2;
  for (let index = places.length - 1; index >= 0; index -= 1) {
    places[index] = Math.min(places[index]!, lowest);
    lowest = places[index]! - line;
  }
  return places;
}
