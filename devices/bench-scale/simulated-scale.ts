import type { SimulatedDevice } from "#devices/attached/simulated-device.ts";

/** Steps in which the scale shows a weight: five grams. */
const STEP_MILLIGRAMS = 5000;
const MOST_GRAMS = 30_000;
/** In so many seconds the pan settles by 63 %, and it swings so many times a second. */
const SETTLE_SECONDS = 0.5;
const SWINGS_A_SECOND = 1.3;
const STEADY_WITHIN_MILLIGRAMS = 3000;

/** A bench scale: what is put on it swings for a second or two, and then lies still. */
export function simulatedScale(): SimulatedDevice {
  let onIt = 0;
  let swing = 0;
  let seconds = 0;
  const shown = () => onIt + swing * Math.cos(2 * Math.PI * SWINGS_A_SECOND * seconds);
  return {
    device: "bench-scale",
    pass(passed) {
      seconds += passed;
      swing *= Math.exp(-passed / SETTLE_SECONDS);
    },
    reading: () => ({
      valueThousandths: Math.round(shown() / STEP_MILLIGRAMS) * STEP_MILLIGRAMS,
      isSteady: Math.abs(swing) < STEADY_WITHIN_MILLIGRAMS,
    }),
    obey(line) {
      const [word, amount] = line.split(" ");
      const grams = word === "empty" ? 0 : word === "put" ? Number(amount) : Number.NaN;
      if (!(grams >= 0 && grams <= MOST_GRAMS)) return;
      swing = (grams * 1000 - onIt) * 0.3;
      onIt = grams * 1000;
      seconds = 0;
    },
  };
}
