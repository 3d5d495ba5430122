import { addDays, type LocalDay } from "#core/calendar/local-day.ts";

/** A fridge, and the birds that lie in it now. */
export interface RestPlace {
  readonly name: string;
  readonly capacity: number;
  readonly stored: number;
  /** It can be turned down to freeze: with frozen birds in it nothing rests there. */
  readonly canFreeze: boolean;
}

/** Another scheduled day whose birds rest too. */
export interface OtherRest {
  readonly day: LocalDay;
  readonly birds: number;
  readonly restDays: number;
}

export interface RestRoom {
  readonly until: LocalDay;
  readonly places: readonly (RestPlace & { readonly free: number; readonly isFreezing: boolean })[];
  /** Birds of other days that rest in the same nights. */
  readonly othersBirds: number;
  readonly free: number;
  readonly isEnough: boolean;
}

/**
 * Where a day's birds rest until they are frozen, and whether there is room: what lies there now is taken to lie there
 * still, and other days' birds of the same nights are counted. Undefined where the farm named no fridge.
 */
export function restRoom(
  day: LocalDay,
  birds: number,
  around: {
    readonly places: readonly RestPlace[];
    readonly others: readonly OtherRest[];
    readonly restDays: number;
  },
): RestRoom | undefined {
  if (around.places.length === 0) return undefined;
  const until = addDays(day, around.restDays);
  const places = around.places.map((place) => {
    const isFreezing = place.canFreeze && place.stored > 0;
    return { ...place, isFreezing, free: isFreezing ? 0 : Math.max(0, place.capacity - place.stored) };
  });
  const othersBirds = around.others
    .filter((other) => other.day < until && day < addDays(other.day, other.restDays))
    .reduce((sum, other) => sum + other.birds, 0);
  const free = Math.max(0, places.reduce((sum, place) => sum + place.free, 0) - othersBirds);
  return { until, places, othersBirds, free, isEnough: free >= birds };
}
