import { z } from "zod";
import { type Model, model, number } from "#commands/reckon/model.ts";
import { seededRandom } from "#core/quantity/seeded-random.ts";
import { shareParts } from "#core/sharing/share-basis.ts";
import { fairShare, meanOf } from "#core/sharing/share-fair.ts";
import { weeksLeft } from "#core/sharing/weeks-left.ts";

const said = (value: number) => ({ value, provenance: "farm-setting" as const });

export const SHARING_MODELS: Readonly<Record<string, Model>> = {
  "share.fair": model(z.object({ weights_g: z.array(number), birds_each: z.array(number) }), (of) => ({
    fair_g_per_bird: meanOf(of.weights_g),
    largest_gap_g: fairShare(
      of.weights_g,
      shareParts(of.weights_g, of.birds_each, "birds"),
      0,
      seededRandom(1),
    ).largestGap,
  })),
  "weeks.left": model(
    z.object({ whole_birds: number, cut_kg: number, kg_per_bird: number, birds_per_week: number }),
    (of) => {
      const { birds, weeks, shortForYear } = weeksLeft({
        wholeBirds: of.whole_birds,
        cutKilograms: of.cut_kg,
        kilogramsPerBird: said(of.kg_per_bird),
        birdsPerWeek: said(of.birds_per_week),
      });
      return { bird_equivalents: birds.value, weeks: weeks?.value, short_for_year: shortForYear };
    },
  ),
};
