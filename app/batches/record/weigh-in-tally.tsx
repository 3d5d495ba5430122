import type { WeightLines } from "#app/batches/record/weight-lines.ts";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import { GROWTH_LEARNING } from "#core/growth/growth-constants.ts";
import { birdsToWeigh, weighInSummary } from "#core/growth/weigh-more.ts";
import { kilogramsFromMilligrams, MILLIGRAMS_PER_OUNCE } from "#core/quantity/conversion.ts";

interface WeighInTallyProps {
  lines: WeightLines;
  flock: { birds: number; cvUsual: number };
}

/** How sure the mean is to be: two ounces, or sixty grams. */
const WITHIN_METRIC_GRAMS = 60;

/** What the birds weighed so far come to, as they are typed, and which lines are no weights yet. */
export function WeighInTally({ lines, flock }: WeighInTallyProps) {
  const show = useShow();
  const milligrams = lines.weights.map(({ weight }) => weight);
  if (milligrams.length === 0) {
    return (
      <p className="text-soft">The mean, the spread, and how many more to weigh appear here as you type.</p>
    );
  }
  const summary = weighInSummary(milligrams.map(kilogramsFromMilligrams));
  const within = kilogramsFromMilligrams(show.isUs ? 2 * MILLIGRAMS_PER_OUNCE : WITHIN_METRIC_GRAMS * 1000);
  const needed = birdsToWeigh(summary, { ...flock, cvPriorBirds: GROWTH_LEARNING.cvPriorBirds }, within);
  const more = Math.max(0, needed - summary.birds);
  const distance = show.isUs ? "2 oz" : `${WITHIN_METRIC_GRAMS} g`;
  return (
    <dl aria-live="polite" className="grid grid-cols-3 gap-3 border-l-4 border-straw bg-wheat px-4 py-2">
      <div>
        <dt className="text-sm text-soft">Mean of {plural(summary.birds, "bird")}</dt>
        <dd className="font-display text-xl">{show.value(summary.meanKilograms, "live-kg")}</dd>
      </div>
      <div>
        <dt className="text-sm text-soft">Spread</dt>
        <dd className="font-display text-xl">
          {summary.sdKilograms === undefined ? "needs two birds" : show.value(summary.sdKilograms, "live-kg")}
        </dd>
      </div>
      <div>
        <dt className="text-sm text-soft">For a mean within {distance}, 8 times in 10</dt>
        <dd className="font-display text-xl">{more === 0 ? "enough" : `${plural(more, "bird")} more`}</dd>
      </div>
      {lines.faults.length > 0 && (
        <div className="col-span-3">
          <dt className="font-semibold">Left out until corrected</dt>
          {lines.faults.map((fault) => (
            <dd key={fault}>{fault}</dd>
          ))}
        </div>
      )}
    </dl>
  );
}
