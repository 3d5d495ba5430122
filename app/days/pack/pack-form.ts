import { z } from "zod";
import { choice, optional, tick, wholeNumber, words } from "#app/ui/read/read-field.ts";
import { weight } from "#app/ui/read/read-measure.ts";
import { CARCASS_RANGE_KILOGRAMS } from "#core/packing/carcass-range.ts";
import { CARCASS_USES } from "#core/packing/pack-tally.ts";
import type { UnitSystem } from "#core/quantity/read-weight.ts";

/** One bird on the scale. A condemned one needs a reason and no weight; every other one a weight. */
export function packForm(unitSystem: UnitSystem) {
  const carcass = weight({
    unitSystem,
    ask: "Put the bird on the scale and enter its weight",
    range: CARCASS_RANGE_KILOGRAMS,
    what: "a dressed chicken",
  });
  return z
    .object({
      birdNumber: wholeNumber({ least: 1, most: 100_000, ask: "Enter the bird's number" }),
      lotId: optional(wholeNumber({ least: 1, most: 1_000_000_000, ask: "" })),
      weight: z.string().trim().default(""),
      purpose: choice(CARCASS_USES, "Choose what the bird is for"),
      reason: optional(words(200, "")),
      placeId: optional(wholeNumber({ least: 1, most: 1_000_000_000, ask: "" })),
      printsLabel: tick,
    })
    .transform(({ weight: asTyped, ...bird }, context) => {
      const mayBeEmpty = bird.purpose === "condemned" && asTyped === "";
      const read = mayBeEmpty ? undefined : carcass.safeParse(asTyped);
      if (read && !read.success) {
        context.addIssue({ code: "custom", path: ["weight"], message: read.error.issues[0]!.message });
      }
      if (bird.purpose === "condemned" && !bird.reason) {
        context.addIssue({
          code: "custom",
          path: ["reason"],
          message: "Enter why it is condemned: yellow fluid, sores, smell",
        });
      }
      return {
        birdNumber: bird.birdNumber,
        lotId: bird.lotId ?? undefined,
        purpose: bird.purpose,
        printsLabel: bird.printsLabel,
        placeId: bird.purpose === "condemned" ? undefined : bird.placeId,
        reason: bird.purpose === "condemned" ? (bird.reason ?? "") : "",
        weightMilligrams: read?.data ?? undefined,
        asTyped: asTyped.slice(0, 40),
      };
    });
}
