import { sum } from "d3-array";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { addDays, daysBetween } from "#core/calendar/local-day.ts";
import { productKind } from "#core/packing/product-kinds.ts";
import { kilogramsFromMilligrams } from "#core/quantity/conversion.ts";
import type { Setting } from "#core/reckoning/setting.ts";

/** The household's rate is taken from so many days back at most. */
const RATE_DAYS = 182;
/** Less than this is no rate yet. */
const LEAST_DAYS = 14;
/** A dressed bird where none lies in stock, kg. */
const USUAL_BIRD_KILOGRAMS = 1.9;

/** What a household has of its birds, and how fast it ate until now; undefined where it has eaten none. */
export function stockForHome({ file }: FarmContext, today: string, withSale: boolean) {
  const stored = file.freezers
    .stored()
    .filter(
      ({ purpose, productKind: kind }) =>
        (purpose === "own" || (withSale && purpose === "sale")) && !productKind(kind).isForPets,
    );
  const whole = stored.filter(({ birdNumber }) => birdNumber !== undefined);
  const kilograms = (packs: readonly { weightMilligrams: number | undefined }[]) =>
    kilogramsFromMilligrams(sum(packs, ({ weightMilligrams }) => weightMilligrams ?? 0));
  const kilogramsPerBird: Setting =
    whole.length > 0
      ? { value: kilograms(whole) / whole.length, provenance: "measured" }
      : { value: USUAL_BIRD_KILOGRAMS, provenance: "our-estimate" };
  const eaten = file.freezers.eatenBetween(addDays(today, -RATE_DAYS), today);
  const days = eaten.firstOn === undefined ? 0 : daysBetween(eaten.firstOn, today);
  return {
    wholeBirds: whole.length,
    cutKilograms: kilograms(stored.filter(({ birdNumber }) => birdNumber === undefined)),
    kilogramsPerBird,
    birdsPerWeek:
      days < LEAST_DAYS
        ? undefined
        : (eaten.birds + kilogramsFromMilligrams(eaten.cutMilligrams) / kilogramsPerBird.value) / (days / 7),
  };
}
