/** The most of some moments that lie within a length of each other, its ends included. @param moments rising */
export function mostWithin(moments: readonly number[], length: number): number {
  let first = 0;
  let most = 0;
  for (const [last, moment] of moments.entries()) {
    while (moment - moments[first]! > length + 1e-9) first += 1;
    most = Math.max(most, last - first + 1);
  }
  return most;
}
