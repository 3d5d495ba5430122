import type { BirdKind } from "#core/growth/bird-kind.ts";
import { input, type Reckoning, reckoning } from "#core/reckoning/reckoning.ts";
import { REST_CLOCKS } from "#core/rest/rest.ts";
import type { RestTimes } from "#core/rest/rest-part.ts";
import { type Cover, REST_LOSS } from "#core/rest/rest-weight.ts";

/** What a bird of a part loses while it rests, kg, with its working. */
export const restLoss = (
  dressedKilograms: number,
  { hours, cover, lostFraction }: { hours: number; cover: Cover } & Pick<RestTimes, "lostFraction">,
): Reckoning =>
  reckoning({
    value: dressedKilograms * lostFraction,
    unit: "carcass-kg",
    inputs: [
      input("dressed-weight-per-bird", dressedKilograms, "carcass-kg", "calculated"),
      input("hours-of-rest", hours, "hours", "farm-setting"),
      input("drip-in-the-first-day", REST_LOSS.dripFraction, "fraction", "our-estimate"),
      input("drying-a-day", REST_LOSS.dryingFractionPerDay, "fraction", "our-estimate"),
      input("share-of-drying-under-this-cover", REST_LOSS.coverFactor[cover], "fraction", "our-estimate"),
    ],
    rule: "rest-loss",
    source: "rest",
  });

/** When rigor has passed in the last bird of a part, with its working. Its kill was tapped, or follows from a tap further on. */
export const rigorPassed = ({
  kind,
  lastKillAt,
  rigorPassedAt,
}: { kind: BirdKind } & Pick<RestTimes, "lastKillAt" | "rigorPassedAt">): Reckoning =>
  reckoning({
    value: rigorPassedAt,
    unit: "instant",
    inputs: [
      input("last-bird-killed", lastKillAt, "instant", "calculated"),
      input("until-rigor-ends", REST_CLOCKS[kind].passedHours, "hours", "our-estimate"),
    ],
    rule: "rest-over",
    source: "rest",
  });
