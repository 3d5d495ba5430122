import { z } from "zod";
import { choice, entryId, optional, wholeNumber, words } from "#app/ui/read/read-field.ts";
import { temperature } from "#app/ui/read/read-measure.ts";
import type { UnitSystem } from "#core/quantity/read-weight.ts";
import { REST_KINDS } from "#core/rest/rest-part.ts";

const id = optional(wholeNumber({ least: 1, most: 1_000_000_000, ask: "" }));

/** Something done with resting birds: each kind keeps what belongs to it; other boxes may stand filled in. */
export const restForm = (unitSystem: UnitSystem) =>
  z
    .object({
      entryId,
      kind: choice(REST_KINDS, "Choose what was done"),
      lotId: id,
      personId: id,
      placeId: id,
      birds: optional(wholeNumber({ least: 1, most: 100_000, ask: "Enter how many birds" })),
      bags: optional(wholeNumber({ least: 1, most: 200, ask: "Enter how many bags" })),
      temperature: optional(temperature({ unitSystem, least: -30, most: 50, ask: "Enter the temperature" })),
      note: optional(words(200, "")),
    })
    .refine(({ kind, temperature: degrees }) => !kind.endsWith("temperature") || degrees !== undefined, {
      path: ["temperature"],
      message: "Enter the temperature first, then tap what it is of",
    })
    .transform(
      ({ entryId: entry, kind, lotId, personId, placeId, birds, bags, temperature: degrees, note }) => ({
        entryId: entry,
        fact: {
          kind,
          lotId,
          personId,
          placeId: kind === "moved" ? placeId : undefined,
          count: kind === "moved" ? birds : kind === "ice" ? (bags ?? 1) : undefined,
          millicelsius: kind.endsWith("temperature") ? degrees : undefined,
          note: kind === "moved" ? (note ?? "") : "",
        },
      }),
    );
