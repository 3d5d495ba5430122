import { interpolateLab } from "d3-interpolate";
import { scaleLinear } from "d3-scale";

/** Colours of the sky by the sun's height in degrees: night, blue hour, dawn, morning, day. */
export const skyColor = scaleLinear<string>()
  .domain([-18, -10, -6, -3, 0, 4, 10, 40])
  .range(["#1f2c37", "#2e4257", "#55617f", "#b98a8c", "#eeb68a", "#f3dcb4", "#dfe9ea", "#cfe0e8"])
  .interpolate(interpolateLab)
  .clamp(true);

/** A stretch of sky from left to right, as a background. */
export function skyBackground(altitudes: readonly number[]): string {
  const last = Math.max(1, altitudes.length - 1);
  const stops = altitudes.map(
    (altitude, index) => `${skyColor(altitude)} ${Math.round((100 * index) / last)}%`,
  );
  return `linear-gradient(to right, ${stops.join(", ")})`;
}
