import { Figure } from "#app/ui/figure.tsx";
import { Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { COST_WORDS } from "#app/words/words.ts";
import type { Settlement } from "#core/day/settle/settlement.ts";

/** Cost per bird, counted three ways. */
export function CostTable({ settlement, hasKit }: { settlement: Settlement; hasKit: boolean }) {
  const show = useShow();
  return (
    <Sheet heading="Cost per bird" beside="counted three ways; each includes the one before">
      <div className="grid gap-x-6 sm:grid-cols-3">
        {settlement.methods.map(({ method, total, perBird, perKilogram }) => (
          <section
            key={method}
            aria-label={COST_WORDS[method]}
            className="border-b border-rule py-2 last:border-b-0 sm:border-b-0 sm:border-r sm:pr-6 sm:last:border-r-0"
          >
            <h3 className="text-lg">{COST_WORDS[method]}</h3>
            <Figure label="Cost per bird" reckoning={perBird} />
            <Figure
              label={show.isUs ? "Cost per pound, dressed" : "Cost per kilogram, dressed"}
              reckoning={perKilogram}
              size="small"
            />
            <Figure label="Total" reckoning={total} size="small" />
          </section>
        ))}
      </div>
      {!hasKit && (
        <p className="pt-2 text-sm text-soft">
          No equipment is listed under Farm, so the second is the same as the first.
        </p>
      )}
    </Sheet>
  );
}
