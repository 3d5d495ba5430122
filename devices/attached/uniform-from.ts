import { scrambled } from "#core/processing-line/line-draws.ts";

/** Uniform draws, 0 to 1, the same for the same seed. */
export function uniformFrom(seed: number): () => number {
  let drawn = 0;
  return () => {
    drawn += 1;
    return (scrambled(Math.imul(seed, 0x9e3779b1) + drawn) >>> 0) / 2 ** 32;
  };
}
