import { type LineInput, slowestStation } from "#core/processing-line/slowest-station.ts";

/** Birds that a crew brings into the chill in so many minutes, by the slowest station; 0 for less than one pair of hands. */
export function crewBirds(line: Omit<LineInput, "birds">, minutes: number): number {
  if (line.people < 1) return 0;
  const { lineMinutes, intervalMinutes } = slowestStation({ ...line, birds: 1 });
  return minutes < lineMinutes ? 0 : Math.floor((minutes - lineMinutes) / intervalMinutes) + 1;
}
