/** Made-up spread that is the same every time: a small linear congruential generator and a sum of twelve. */
export function drawsFrom(seed: number) {
  let state = seed >>> 0;
  const uniform = () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return state / 2 ** 32;
  };
  return {
    uniform,
    /** About normal, mean 0 and standard deviation 1, never past 3 either way. */
    normal(): number {
      let sum = -6;
      for (let draw = 0; draw < 12; draw += 1) sum += uniform();
      return Math.max(-3, Math.min(3, sum));
    },
  };
}
