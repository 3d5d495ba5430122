import { Link } from "react-router";
import type { BatchView } from "#app/batches/batch-view.server.ts";
import { againstWords, recommendation, whatWouldChangeIt } from "#app/batches/growth/when-words.ts";
import { Figure } from "#app/ui/figure.tsx";
import { ButtonLink, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import type { WhenRow, WhenToGo } from "#core/day/season/when-to-go.ts";

interface WhenProps {
  view: BatchView;
  when: WhenToGo;
  batchId: number;
  /** Birds that have no day yet. */
  freeCount: number;
}

/** The day that is recommended, why, and what would change its mind. */
export function Recommended({ view, when, batchId, freeCount }: WhenProps) {
  const show = useShow();
  const best = when.best === undefined ? undefined : when.rows[when.best]!;
  const turns = whatWouldChangeIt(when, view, show);
  return (
    <Sheet
      heading="When to process"
      beside={freeCount === 0 ? "all birds are scheduled; this ignores that" : undefined}
    >
      <div className="grid gap-2 py-1">
        {best && <p className="is-worked-out font-display text-2xl">{show.longDay(best.day)}</p>}
        <p>{recommendation(when, show)}</p>
        {turns && <p className="text-sm text-soft">What would change this: {turns}</p>}
        {freeCount > 0 && view.proposed.length > 0 && (
          <p className="text-sm">
            With all batches considered, the{" "}
            <Link to="/season" className="underline">
              season plan
            </Link>{" "}
            proposes{" "}
            {view.proposed.map(({ day, birds }) => `${show.shortDay(day)} for ${birds}`).join(" and ")}.
          </p>
        )}
        {when.netValue && <Figure label="They are worth" reckoning={when.netValue} size="small" />}
        {best && freeCount > 0 && (
          <div>
            <ButtonLink to={`/days/new?batch=${batchId}&on=${best.day}`}>Schedule this day</ButtonLink>
          </div>
        )}
      </div>
    </Sheet>
  );
}

/** Week by week, what waiting brings and costs. */
export function WhenTable({ view, when }: Pick<WhenProps, "view" | "when">) {
  const heads = [
    "Day",
    "Age",
    "Mean dressed weight",
    ...view.sizes.map(({ who }) => `For ${who}`),
    "Feed from today on",
    "Cost so far",
    "Cost of next week's gain",
    "Sales value",
    "Net value",
    "Conflicts",
  ];
  return (
    <Sheet heading="Week by week" beside="best day of each week, all birds, from today on">
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys */}
      <section className="overflow-x-auto" tabIndex={0} aria-label="Week by week, wide table">
        <table className="w-full min-w-4xl text-sm">
          <thead>
            <tr className="text-left align-bottom text-soft">
              {heads.map((head) => (
                <th key={head} scope="col" className="py-1 pr-4 font-normal">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {when.rows.map((row, index) => (
              <Week
                key={row.day}
                row={row}
                view={view}
                isBest={index === when.best}
                isRival={index === when.rival}
              />
            ))}
          </tbody>
        </table>
      </section>
    </Sheet>
  );
}

function Week({
  row,
  view,
  isBest,
  isRival,
}: {
  row: WhenRow;
  view: BatchView;
  isBest: boolean;
  isRival: boolean;
}) {
  const show = useShow();
  const { worth, nextWeek } = row;
  const birds = Math.round(view.birds * worth.survival);
  const kilograms = birds * worth.dressedKilograms;
  return (
    <tr className={`border-t border-rule align-baseline ${isBest ? "bg-wheat" : ""}`}>
      <th scope="row" className="py-1.5 pr-4 pl-1 text-left font-normal whitespace-nowrap">
        <span className={isBest ? "font-semibold" : ""}>{show.shortDay(row.day)}</span>
        {isBest && <span className="block text-xs">best</span>}
        {isRival && <span className="block text-xs text-soft">next best</span>}
      </th>
      <td className="pr-4 whitespace-nowrap">{show.decimal(worth.ageDays / 7, 1, 1)} wk</td>
      <td className="pr-4 font-mono whitespace-nowrap">{show.value(worth.dressedKilograms, "carcass-kg")}</td>
      {row.bySize.map((count, index) => (
        <td key={view.sizes[index]!.who} className="pr-4">
          {Math.round(count)} of {birds}
        </td>
      ))}
      <td className="pr-4 whitespace-nowrap">
        {show.value(view.birds * worth.feedKilograms, "kg")}
        <span className="block text-soft">{show.money(row.spentCents)}</span>
      </td>
      <td className="pr-4 whitespace-nowrap">{show.moneyPerWeight(row.centsPerKilogramSoFar)}</td>
      <td className="pr-4 whitespace-nowrap">
        {nextWeek.centsPerGainedKilogram === undefined ? (
          "no gain"
        ) : (
          <>
            {show.value(nextWeek.gainKilogramsEach, "carcass-kg")} a bird
            <span className="block text-soft">at {show.moneyPerWeight(nextWeek.centsPerGainedKilogram)}</span>
          </>
        )}
      </td>
      <td className="pr-4 whitespace-nowrap">
        {show.money(Math.round(view.birds * worth.sellsCents[row.way]))}
        <span className="block text-soft">
          {row.way === "cut" ? "cut up" : "whole"}, {show.value(kilograms, "kg")}
        </span>
      </td>
      <td className="pr-4 font-mono whitespace-nowrap">{show.money(row.netValueCents)}</td>
      <td className="pr-1">
        {row.against.map((one) => (
          <span key={one.reason} className="block">
            {againstWords(one, row, show)}
          </span>
        ))}
      </td>
    </tr>
  );
}
