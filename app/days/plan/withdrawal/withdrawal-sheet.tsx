import { interpolateRound } from "d3-interpolate";
import { scaleLinear } from "d3-scale";
import { useId } from "react";
import { Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import { WITHDRAWAL_OPTIONS } from "#app/words/words.ts";
import type { PlanForDate } from "#core/day/plan/plan-for-date.ts";
import type { FeedShare } from "#core/withdrawal/feed-share.ts";

const nameOf = (method: string) => WITHDRAWAL_OPTIONS.find(({ value }) => value === method)!.label;

interface WithdrawalSheetProps {
  planned: PlanForDate;
  startAt: number;
  /** What a kilogram of a whole dressed bird brings. */
  centsPerKilogram: number;
}

/** Hours off feed of every bird, what each method would do to them, visits to the pens, and when to catch. */
export function WithdrawalSheet({ planned, startAt, centsPerKilogram }: WithdrawalSheetProps) {
  const show = useShow();
  const { withdrawal, methods, visits, pens, catching } = planned.plan;
  const chosen = methods.find(({ method }) => method === planned.choices.withdrawalMethod)!;
  const [least, most] = chosen.windowHours;
  return (
    <Sheet heading="Off feed" beside={`${nameOf(chosen.method)}: ${least} to ${most} h`}>
      <p className="text-sm">
        {outsideInWords(withdrawal.share, planned.choices.birds)} On a slow day (1 in 10):{" "}
        {outsideInWords(withdrawal.lateShare, planned.choices.birds).toLowerCase()}
      </p>
      <HoursChart planned={planned} feedOffAt={chosen.feedOffAt} startAt={startAt} window={[least, most]} />
      <div className="overflow-x-auto">
        <table className="my-2 w-full text-sm">
          <caption className="pb-1 text-left font-semibold">
            What each method does to this day's birds
          </caption>
          <thead>
            <tr className="border-b border-ink text-left">
              <th className="py-1 pr-2">Method</th>
              <th className="pr-2">Feed off</th>
              <th className="pr-2 text-right">First, last bird</th>
              <th className="pr-2 text-right">Too full</th>
              <th className="pr-2 text-right">Too long</th>
              <th className="pr-2 text-right">Live weight lost</th>
              <th className="hidden text-right sm:table-cell">Of that, meat</th>
            </tr>
          </thead>
          <tbody>
            {methods.map((method) => (
              <tr
                key={method.method}
                className={`border-b border-rule ${method === chosen ? "bg-wheat font-semibold" : ""}`}
              >
                <th scope="row" className="py-1 pr-2 text-left">
                  {nameOf(method.method)}
                </th>
                <td className="pr-2 font-mono">{show.dayTime(method.feedOffAt)}</td>
                <td className="pr-2 text-right font-mono">
                  {show.value(method.share.shortestHours, "hours")},{" "}
                  {show.value(method.share.longestHours, "hours")}
                </td>
                <td className="pr-2 text-right font-mono">{method.share.tooShort}</td>
                <td className="pr-2 text-right font-mono">{method.share.tooLong}</td>
                <td className="pr-2 text-right font-mono">{show.value(method.shrinkKilograms, "kg")}</td>
                <td className="hidden text-right font-mono sm:table-cell">
                  {show.money(Math.round(method.tissueKilograms * centsPerKilogram))}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="text-sm text-soft">
        Too full is worse than too long: a burst gut costs more than an hour's weight loss. Of the weight lost
        with your method, {show.value(chosen.tissueKilograms, "kg")} is meat, not gut contents; it is priced
        as whole birds. Leave water until catching in all four. The grass and grain methods are common
        practice, not science. Tie off the crop of any bird processed without withdrawal.
      </p>
      <h3 className="pt-3 font-sans font-semibold">Trips to the pens</h3>
      <ul className="text-sm">
        {visits.map((visit, index) => (
          <li key={visit.visits} className="border-b border-rule py-1 last:border-b-0">
            <b>{plural(visit.visits, "visit")}:</b>{" "}
            {index === 0
              ? `all ${show.dayTime(visit.feedOffAtByPen[0]!)}`
              : pens.map((pen, at) => `${pen.name} ${show.dayTime(visit.feedOffAtByPen[at]!)}`).join("; ")}
            . {outsideInWords(visit, planned.choices.birds)} {show.value(visit.shrinkKilograms, "kg")} lost,
            with no margin for an early start.
          </li>
        ))}
      </ul>
      <h3 className="pt-3 font-sans font-semibold">Catching</h3>
      <p className="text-sm">
        {catching
          .map(
            ({ at, birds, crates }) =>
              `${show.time(at)} ${plural(birds, "bird")} in ${plural(crates, "crate")}`,
          )
          .join("; ")}
        . Catch in low light from clean ground, keep crates in the shade, and don't leave birds in them long.
      </p>
    </Sheet>
  );
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

const WIDTH = 640;
const HEIGHT = 150;
const LEFT = 8;
const BOTTOM = 24;

/** Each bird as a line from a quick to a slow morning, a dot where it is on an ordinary one; the window is shaded. */
function HoursChart({
  planned,
  feedOffAt,
  startAt,
  window: [least, most],
}: {
  planned: PlanForDate;
  feedOffAt: number;
  startAt: number;
  window: readonly [number, number];
}) {
  const id = useId();
  const { kills } = planned.plan.line.answer;
  const { effectiveOffHours } = planned.plan.withdrawal.share;
  const effectiveAt = Math.max(feedOffAt, startAt + effectiveOffHours * 3_600_000);
  const offBy = (minute: number) =>
    (startAt + minute * 60_000 - Math.min(feedOffAt, effectiveAt)) / 3_600_000;
  const hours = kills.flatMap(({ p10, p90 }) => [offBy(p10), offBy(p90)]);
  const x = scaleLinear(
    [Math.min(least, ...hours) - 0.5, Math.max(most, ...hours) + 0.5],
    [LEFT, WIDTH - LEFT],
  ).interpolate(interpolateRound);
  const y = scaleLinear([0, Math.max(1, kills.length - 1)], [8, HEIGHT - BOTTOM - 8]).interpolate(
    interpolateRound,
  );
  const isOutside = (hours: number) => hours < least || hours > most;
  const bar = (kill: (typeof kills)[number], at: number) =>
    `M${x(offBy(kill.p10))} ${at}H${x(offBy(kill.p90))}`;
  /** A round dot for each bird: a line of no length with round ends. */
  const dotsWhere = (outside: boolean) =>
    kills
      .map((kill, bird) =>
        isOutside(offBy(kill.p50)) === outside ? `M${x(offBy(kill.p50))} ${y(bird)}h0` : "",
      )
      .join("");
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-labelledby={id} className="my-2 block w-full">
      <title
        id={id}
      >{`Hours off feed for each of ${kills.length} birds in kill order; the window is ${least} to ${most} h`}</title>
      <rect x={x(least)} width={x(most) - x(least)} height={HEIGHT - BOTTOM} className="fill-mist" />
      <path d={kills.map((kill, bird) => bar(kill, y(bird))).join("")} className="stroke-rule" />
      <path d={dotsWhere(false)} className="fill-none stroke-pine stroke-4" strokeLinecap="round" />
      <path d={dotsWhere(true)} className="fill-none stroke-barn stroke-4" strokeLinecap="round" />
      <text x={x(least) + 4} y={HEIGHT - BOTTOM - 6} className="fill-soft text-xs">
        window, {least} to {most} h
      </text>
      {x
        .ticks(8)
        .filter((tick) => x(tick) > 20 && x(tick) < WIDTH - 20)
        .map((tick) => (
          <text
            key={tick}
            x={x(tick)}
            y={HEIGHT - 6}
            textAnchor="middle"
            className="fill-soft font-mono text-xs"
          >
            {tick} h
          </text>
        ))}
    </svg>
  );
}
