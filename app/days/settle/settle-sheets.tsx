import { Figure } from "#app/ui/figure.tsx";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { ButtonLink, Notice, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import { supplyAmount } from "#app/words/supply-words.ts";
import { MOST_DRESSED_FRACTION } from "#core/carcass-yield/yield-constants.ts";
import type { Route } from "./+types/settle.ts";

type Loaded = Route.ComponentProps["loaderData"];

/** Birds that are still alive bear their share, which moves with every bag of feed. */
export function StillAlive({ lots }: Pick<Loaded, "lots">) {
  return lots
    .filter(({ stillAlive }) => stillAlive > 0)
    .map(({ lotId, batch, stillAlive }) => {
      const [is, bears] = stillAlive === 1 ? ["is", "bears its"] : ["are", "bear their"];
      return (
        <Notice key={lotId}>
          {plural(stillAlive, "bird")} of {batch.name} {is} still alive and {bears} share of the feed, so this
          day's part changes a little with every bag until the last bird is processed.
        </Notice>
      );
    });
}

export function Export({ dayId }: { dayId: number }) {
  const files = [
    { words: "Birds as CSV", name: "day.csv" },
    { words: "Packs as CSV", name: "packs.csv" },
    { words: "Whole day as JSON", name: "day.json" },
  ];
  return (
    <Sheet heading="Export">
      <div className="flex flex-wrap gap-x-6">
        {files.map(({ words, name }) => (
          <a
            key={name}
            className="inline-flex min-h-12 items-center underline"
            href={`/days/${dayId}/${name}`}
            download
          >
            {words}
          </a>
        ))}
      </div>
    </Sheet>
  );
}

/** What a lot's birds weighed, alive and dressed, and the feed it took. */
export function Yield({ lot, isOnly }: { lot: Loaded["lots"][number]; isOnly: boolean }) {
  const { live, batch } = lot;
  const show = useShow();
  const unit = show.isUs ? "pound" : "kilogram";
  const { dressedMean, dressedYield, feedPerKilogramDressed } = lot.settlement!;
  return (
    <Sheet heading={isOnly ? "Yield" : `Yield: ${batch.name}`}>
      <Figure label="Mean dressed weight, as packed" reckoning={dressedMean} />
      <Figure label="Mean live weight" reckoning={live} />
      <Figure
        label="Dressing percentage"
        reckoning={dressedYield}
        note={
          dressedYield.value > MOST_DRESSED_FRACTION && (
            <p className="text-barn">
              No bird yields that much. Check the weights, or enter their live weight.
            </p>
          )
        }
      />
      {feedPerKilogramDressed ? (
        <Figure label={`Feed per ${unit} dressed`} reckoning={feedPerKilogramDressed} />
      ) : (
        <p className="py-3 text-sm">
          No feed is recorded for {batch.name}, so feed per {unit} dressed is unknown.
        </p>
      )}
    </Sheet>
  );
}

export function DayCosts({ day, costs, used }: Pick<Loaded, "day" | "costs" | "used">) {
  const show = useShow();
  return (
    <Sheet heading="Costs of the day">
      {!day.settledEntryId && (
        <p className="pb-3 text-sm">
          Rental, power, and anything bought just for this day. Supplies from stock are counted when you
          settle; don't enter them here too.
        </p>
      )}
      <ul>
        {costs.map((cost) => (
          <li
            key={cost.entryId}
            className="flex items-baseline justify-between gap-3 border-b border-rule py-2"
          >
            <span>{cost.what}</span>
            <span className="flex items-baseline gap-3">
              <span className="font-mono">{show.money(cost.amountCents)}</span>
              {!day.settledEntryId && (
                <RemoveButton entryId={cost.entryId} back={`/days/${day.id}/settle`} what={cost.what} />
              )}
            </span>
          </li>
        ))}
        {used.map(({ supplyId, name, kind, amount, cents }) => (
          <li key={supplyId} className="flex items-baseline justify-between gap-3 border-b border-rule py-2">
            <span>
              {name} <span className="text-sm text-soft">{supplyAmount(kind, amount, show)} from stock</span>
            </span>
            <span className="font-mono">{show.money(cents)}</span>
          </li>
        ))}
      </ul>
      {!day.settledEntryId && (
        <ButtonLink kind="plain" to={`/days/${day.id}/settle/cost`} className="mt-3">
          Add a cost
        </ButtonLink>
      )}
    </Sheet>
  );
}

export function Kept({ kept, lots, loggedMinutes, day }: Loaded) {
  const show = useShow();
  const isDressed = lots.some(({ settlement }) => settlement);
  if (!kept || !isDressed) return null;
  const took = loggedMinutes.value / day.people;
  const weights = lots.flatMap(({ lotId, batch, settlement }) => {
    const planned = kept.lots.find((lot) => lot.lotId === lotId);
    return planned && settlement
      ? [
          [
            `Mean dressed weight${lots.length > 1 ? `, ${batch.name}` : ""}`,
            show.bird(planned.dressedMeanMilligrams),
            show.value(settlement.dressedMean.value, "carcass-kg"),
          ],
        ]
      : [];
  });
  return (
    <Sheet heading="Plan and actual">
      <dl>
        {[["Whole day", show.minutes(kept.wholeDayMinutes), show.minutes(took)], ...weights].map(
          ([name, planned, came]) => (
            <div key={name} className="grid grid-cols-3 gap-2 border-b border-rule py-2 last:border-b-0">
              <dt className="text-soft">{name}</dt>
              <dd>planned {planned}</dd>
              <dd>actual {came}</dd>
            </div>
          ),
        )}
      </dl>
    </Sheet>
  );
}
