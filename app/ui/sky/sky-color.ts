import { interpolateLab } from "d3-interpolate";
import { scaleLinear } from "d3-scale";

/** Colors of the sky by the sun's height in degrees: night, blue hour, dawn, morning, day. */
export const skyColor = scaleLinear<string>()
  .domain([-18, -10, -6, -3, 0, 4, 10, 40])
  .range(["#1f2c37", "#2e4257", "#55617f", "#b98a8c", "#eeb68a", "#f3dcb4", "#dfe9ea", "#cfe0e8"])
  .interpolate(interpolateLab)
  .clamp(true);

/** More stops than this the eye does not tell apart. */
const MAX_STOPS = 30;

/** Stops of a gradient over the heights, without those between two of the same color. */
export function skyStops(altitudes: readonly number[]): { offset: number; color: string }[] {
  const last = Math.max(1, altitudes.length - 1);
  const every = Math.ceil(altitudes.length / MAX_STOPS);
  const stops = altitudes.flatMap((altitude, index) =>
    index % every === 0 || index === last
      ? [{ offset: Math.round((1000 * index) / last) / 1000, color: skyColor(altitude).replaceAll(" ", "") }]
      : [],
  );
  return stops.filter(
    ({ color }, index) =>
      index === 0 ||
      index === stops.length - 1 ||
      color !== stops[index - 1]!.color ||
      color !== stops[index + 1]!.color,
  );
}

/** A stretch of sky from left to right, as a background. */
export function skyBackground(altitudes: readonly number[]): string {
  const last = Math.max(1, altitudes.length - 1);
  const stops = altitudes.map(
    (altitude, index) => `${skyColor(altitude)} ${Math.round((100 * index) / last)}%`,
  );
  return `linear-gradient(to right, ${stops.join(", ")})`;
}
