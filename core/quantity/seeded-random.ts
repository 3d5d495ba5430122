/**
 * Random numbers of at least 0 and below 1 that are the same every time for the same seed: Mulberry32 (T. Ettinger, public domain).
 * For draws that a page makes; the line has its own, by bird and station.
 */
export function seededRandom(seed: number): () => number {
  let state = seed | 0;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let bits = Math.imul(state ^ (state >>> 15), state | 1);
    bits ^= bits + Math.imul(bits ^ (bits >>> 7), bits | 61);
    return ((bits ^ (bits >>> 14)) >>> 0) / 2 ** 32;
  };
}
