import type { DayChoices, LotChoices } from "#core/day/plan/plan-input.ts";
import { dipAt } from "#core/day/plan/scald-plan.ts";
import type { BirdKind } from "#core/growth/bird-kind.ts";
import { lineMinutes, neededStations } from "#core/processing-line/line-day.ts";
import { METHOD_BATH } from "#core/scald/scald-constants.ts";

/**
 * Minutes of hands' work in a lot's birds, by the medians of a practiced adult, loads of one: what its work weighs against
 * that of another lot of the day. See docs/sources.md#line.
 */
export function handMinutes(
  lot: Pick<LotChoices, "birds" | "cutUp" | "scaldMethod" | "scaldCelsius" | "keepsGiblets" | "keepsFeet">,
  kind: BirdKind,
  { pluckBy, packsSameDay }: Pick<DayChoices, "pluckBy" | "packsSameDay">,
): number {
  const dip = dipAt(lot.scaldCelsius ?? METHOD_BATH[lot.scaldMethod].set, kind, lot.scaldMethod);
  const minutes = lineMinutes({ dipMinutes: (dip.seconds ?? 0) / 60, keepsFeet: lot.keepsFeet, pluckBy });
  const ofBirds = (birds: number, cutUp: number) =>
    neededStations({
      packSameDay: packsSameDay,
      lots: [{ birds: 1, cutUp, giblets: lot.keepsGiblets }],
    }).reduce((sum, station) => sum + birds * minutes[station], 0);
  return ofBirds(lot.birds - lot.cutUp, 0) + ofBirds(lot.cutUp, 1);
}

/** Minutes of hands' work in cutting and packing a lot on a day after, by the same medians. */
export const packingMinutes = (lot: Parameters<typeof handMinutes>[0], kind: BirdKind): number =>
  handMinutes(lot, kind, { pluckBy: "drum", packsSameDay: true }) -
  handMinutes(lot, kind, { pluckBy: "drum", packsSameDay: false });
