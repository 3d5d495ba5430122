/** How many of rising numbers are at most a limit, by halving. */
export function countAtMost(rising: ArrayLike<number>, limit: number): number {
  let low = 0;
  let high = rising.length;
  while (low < high) {
    const middle = (low + high) >>> 1;
    if (rising[middle]! <= limit) low = middle + 1;
    else high = middle;
  }
  return low;
}
