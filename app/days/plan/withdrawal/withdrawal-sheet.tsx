import { sum } from "d3-array";
import { usePlan } from "#app/days/plan/plan-context.tsx";
import { HoursChart } from "#app/days/plan/withdrawal/hours-chart.tsx";
import { type Column, DataTable } from "#app/ui/data-table.tsx";
import { FoldedSheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import { WITHDRAWAL_OPTIONS } from "#app/words/words.ts";
import type { LotPlan } from "#core/day/plan/day-plan.ts";
import type { MethodOutcome, PenOfDay } from "#core/day/plan/withdrawal-choices.ts";
import type { FeedShare } from "#core/withdrawal/feed-share.ts";

const nameOf = (method: string) => WITHDRAWAL_OPTIONS.find(({ value }) => value === method)!.label;

/** Hours off feed of every bird, what each method would do to them, visits to the pens, and when to catch. */
export function WithdrawalSheet() {
  const { planned } = usePlan();
  const { lots } = planned.plan;
  const words = lots.map((lot) => `${nameOf(lot.choices.withdrawalMethod)}: ${windowInWords(lot)}`);
  return (
    <FoldedSheet id="off-feed" heading="Off feed" beside={[...new Set(words)].join("; then ")}>
      {lots.map((lot) => (
        <LotOffFeed key={lot.choices.batchId} lot={lot} isOnly={lots.length === 1} />
      ))}
    </FoldedSheet>
  );
}

const windowInWords = ({ withdrawal: { windowHours } }: LotPlan) =>
  `${windowHours[0]} to ${windowHours[1]} h`;

function LotOffFeed({ lot, isOnly }: { lot: LotPlan; isOnly: boolean }) {
  const { planned } = usePlan();
  const show = useShow();
  const { withdrawal, methods, choices } = lot;
  const chosen = methods.find(({ method }) => method === choices.withdrawalMethod)!;
  const [least, most] = chosen.windowHours;
  return (
    <>
      {!isOnly && (
        <h3 className="pt-3 font-sans font-semibold">
          {lot.batchName}: feed off {show.dayTime(withdrawal.feedOffAt.value)}
        </h3>
      )}
      <p className="text-sm">
        {outsideInWords(withdrawal.share, choices.birds)} On a slow day (1 in 10):{" "}
        {outsideInWords(withdrawal.lateShare, choices.birds).toLowerCase()}
      </p>
      <HoursChart planned={planned} lot={lot} feedOffAt={chosen.feedOffAt} window={[least, most]} />
      <Methods lot={lot} chosen={chosen} />
      <p className="text-sm text-soft">
        Too full is worse than too long: a burst gut costs more than an hour's weight loss. Of the weight lost
        with your method, {show.value(chosen.tissueKilograms, "kg")} is meat, not gut contents; it is priced
        as whole birds. Leave water until catching in all four. The grass and grain methods are common
        practice, not science. Tie off the crop of any bird processed without withdrawal.
      </p>
      <Visits lot={lot} />
    </>
  );
}

function Methods({ lot, chosen }: { lot: LotPlan; chosen: MethodOutcome }) {
  const { planned, around } = usePlan();
  const isOnly = planned.plan.lots.length === 1;
  const show = useShow();
  const hours = (value: number) => show.value(value, "hours");
  const columns: Column<MethodOutcome>[] = [
    { head: "Method", cell: ({ method }) => nameOf(method) },
    { head: "Feed off", cell: ({ feedOffAt }) => show.dayTime(feedOffAt), isOneLine: true },
    {
      head: "First, last bird",
      cell: ({ share }) => `${hours(share.shortestHours)}, ${hours(share.longestHours)}`,
      isNumber: true,
    },
    { head: "Too full", cell: ({ share }) => share.tooShort, isNumber: true },
    { head: "Too long", cell: ({ share }) => share.tooLong, isNumber: true },
    {
      head: "Live weight lost",
      cell: ({ shrinkKilograms }) => show.value(shrinkKilograms, "kg"),
      isNumber: true,
    },
    {
      head: "Of that, meat",
      cell: ({ tissueKilograms }) => show.money(Math.round(tissueKilograms * around.centsPerKilogram)),
      isNumber: true,
      isWideOnly: true,
    },
  ];
  return (
    <DataTable
      caption={`What each method does to ${isOnly ? "this day's birds" : lot.batchName}`}
      isCaptionHidden={false}
      columns={columns}
      rows={lot.methods}
      keyOf={({ method }) => method}
      isMarked={(method) => method === chosen}
    />
  );
}

/** When to go to the pens, by the number of visits, and when to catch. */
function Visits({ lot }: { lot: LotPlan }) {
  const show = useShow();
  const { visits, pens, catching } = lot;
  const crates = catching.map(
    (one) => `${show.time(one.at)} ${plural(one.birds, "bird")} in ${plural(one.crates, "crate")}`,
  );
  return (
    <>
      <h3 className="pt-3 font-sans font-semibold">Trips to the pens</h3>
      <ul className="text-sm">
        {visits.map((visit, index) => (
          <li key={visit.visits} className="border-b border-rule py-1 last:border-b-0">
            <b>{plural(visit.visits, "visit")}:</b>{" "}
            {index === 0
              ? `all ${show.dayTime(visit.feedOffAtByPen[0]!)}`
              : pens
                  .map((_, at) => `${penInWords(pens, at)} ${show.dayTime(visit.feedOffAtByPen[at]!)}`)
                  .join("; ")}
            . {outsideInWords(visit, lot.choices.birds)} {show.value(visit.shrinkKilograms, "kg")} lost, with
            no margin for an early start.
          </li>
        ))}
      </ul>
      <h3 className="pt-3 font-sans font-semibold">Catching</h3>
      <p className="text-sm">
        {crates.join("; ")}. Catch in low light from clean ground, keep crates in the shade, and don't leave
        birds in them long.
      </p>
    </>
  );
}

/** A pen by its name, or the birds that are caught one after the other by their numbers. */
function penInWords(pens: readonly PenOfDay[], at: number): string {
  const before = sum(pens.slice(0, at), ({ birds }) => birds);
  return pens[at]!.name ?? `birds ${before + 1} to ${before + pens[at]!.birds}`;
}

function outsideInWords(
  { tooShort, tooLong }: Pick<FeedShare, "tooShort" | "tooLong">,
  birds: number,
): string {
  if (tooShort + tooLong === 0) return `All ${birds} within the window.`;
  return `${[tooShort > 0 && `${tooShort} too full`, tooLong > 0 && `${tooLong} off feed too long`]
    .filter(Boolean)
    .join(", ")}, of ${birds}.`;
}
