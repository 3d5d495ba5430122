import type { LotSettlement } from "#app/server/day/settlement-of.server.ts";
import { Figure } from "#app/ui/figure.tsx";
import { Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { COST_WORDS } from "#app/words/words.ts";

/** What a lot's birds cost, counted three ways. */
export function CostTable({ lot, isOnly, hasKit }: { lot: LotSettlement; isOnly: boolean; hasKit: boolean }) {
  const show = useShow();
  const settlement = lot.settlement!;
  return (
    <Sheet
      heading={isOnly ? "Cost per bird" : `Cost per bird: ${lot.batch.name}`}
      beside="counted three ways; each includes the one before"
    >
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
