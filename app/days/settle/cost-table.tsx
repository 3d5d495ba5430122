import { Figure } from "#app/ui/figure.tsx";
import { Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import type { Settlement } from "#core/day/settle/settlement.ts";

/** What a bird cost, in three schools side by side: all three are right for somebody. */
export function CostTable({ settlement, hasKit }: { settlement: Settlement; hasKit: boolean }) {
  const show = useShow();
  return (
    <Sheet heading="What a bird cost" beside="three ways of counting; each holds the one before it">
      <div className="grid gap-x-6 sm:grid-cols-3">
        {settlement.schools.map(({ school, total, perBird, perKilogram }) => (
          <section
            key={school}
            aria-label={school}
            className="border-b border-rule py-2 last:border-b-0 sm:border-b-0 sm:border-r sm:pr-6 sm:last:border-r-0"
          >
            <h3 className="text-lg first-letter:uppercase">{school}</h3>
            <Figure label="A bird" reckoning={perBird} />
            <Figure
              label={show.isUs ? "A pound dressed" : "A kilogram dressed"}
              reckoning={perKilogram}
              size="small"
            />
            <Figure label="In all" reckoning={total} size="small" />
          </section>
        ))}
      </div>
      {!hasKit && (
        <p className="pt-2 text-sm text-soft">
          No kit is written down in the Yard, so the second is the same as the first.
        </p>
      )}
    </Sheet>
  );
}
