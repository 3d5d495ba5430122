import { plural } from "#app/words/show.ts";
import { STATION_WORDS } from "#app/words/words.ts";
import type { Lever } from "#core/processing-line/alternatives/what-helps.ts";

/** A change of the day as a person would say it. @param clock the time of a minute after the start */
export function leverInWords(lever: Lever, clock: (minute: number) => string): string {
  switch (lever.what) {
    case "one-more-person":
      return "One more practiced person, at any station";
    case "without-person":
      return `Without ${lever.name}`;
    case "more-cones":
    case "fewer-cones":
      return `With ${plural(lever.cones, "cone")}`;
    case "more-places":
    case "fewer-places":
      return `${STATION_WORDS[lever.station]}: ${plural(lever.places, "place")}`;
    case "scald-more-at-once":
      return `Scald ${lever.birds} at a time`;
    case "pluck-more-at-once":
      return `Pluck ${lever.birds} at a time`;
    case "more-tank":
      return `Tanks for ${lever.birds} birds`;
    case "break-moved":
      return `Break at ${clock(lever.toMinute)}`;
    case "fewer-cut-up":
      return `Only ${lever.cutUp} cut up`;
    case "hotter-water":
      return "Refill the scalder from the hot tap";
  }
}

/** Less than so many minutes makes no difference to anybody. */
export const NO_DIFFERENCE_MINUTES = 1;

/** Whether a change is something that could be done without, rather than something more. */
export const isLess = ({ what }: Lever) =>
  what === "without-person" || what === "fewer-cones" || what === "fewer-places";
