import { DateCautions } from "#app/days/plan/cautions/date-cautions.tsx";
import { FitCautions } from "#app/days/plan/cautions/fit-cautions.tsx";
import { LineCautions } from "#app/days/plan/cautions/line-cautions.tsx";
import { usePlan } from "#app/days/plan/plan-context.tsx";
import { Notice } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { listed } from "#app/words/lot-words.ts";
import { plural, type Show } from "#app/words/show.ts";
import { STATION_WORDS } from "#app/words/words.ts";
import { adultsBeside } from "#core/day/crew/crew.ts";
import type { LotPlan } from "#core/day/plan/day-plan.ts";
import type { PlanForDate } from "#core/day/plan/plan-for-date.ts";
import type { ClashLot } from "#core/day/plan/withdrawal-clash.ts";

/** What is wrong with a plan, and the ways out: what can hurt first. Nothing where nothing is wrong. */
export function PlanCautions() {
  const { planned, around } = usePlan();
  return (
    <div className="grid gap-2 empty:hidden">
      <ClashCaution planned={planned} />
      <DateCautions />
      <LineCautions faults={planned.plan.line.faults} />
      <HeatCautions planned={planned} />
      <HourCautions planned={planned} at={around.at} />
      {planned.plan.lots.map((lot) => (
        <WindowCaution
          key={lot.choices.batchId}
          lot={lot}
          name={planned.plan.lots.length > 1 ? ` of ${lot.batchName}` : ""}
        />
      ))}
      <YoungCautions planned={planned} />
      <FitCautions />
    </div>
  );
}

interface CautionProps {
  planned: PlanForDate;
}

/** Birds of somebody else: the farm's own rule about them stands before everything. */
export function OthersCaution() {
  const {
    planned,
    around: { forOthers },
  } = usePlan();
  const owners = planned.choices.lots.flatMap(({ ownerId }) =>
    ownerId === undefined ? [] : (forOthers.names[ownerId] ?? "someone else"),
  );
  if (owners.length === 0) return null;
  return (
    <Notice tone="stop">
      <b>This day has birds of {listed([...new Set(owners)])}.</b>{" "}
      {forOthers.rule === ""
        ? "Many local rules allow you to process only your own birds. Ask before you do, and write your rule down under Farm."
        : `Your rule: “${forOthers.rule}” If it does not allow this, take the lot off the day.`}
    </Notice>
  );
}

/** Lots that stand in one pen, whose feed can only be pulled at one time. */
function ClashCaution({ planned: { plan } }: CautionProps) {
  const show = useShow();
  return plan.clashes.map(({ pen, lots, feedOffAt, outside, outsideReversed }) => (
    <Notice key={pen} tone="stop">
      <b>
        {listed(lots.map(({ batchName }) => batchName))} stand in one pen, {pen}, so their feed is pulled at
        one time.
      </b>{" "}
      The best is {show.dayTime(feedOffAt)}:{" "}
      {lots
        .filter(({ tooShort, tooLong }) => tooShort + tooLong > 0)
        .map((lot) => clashWords(lot, show))
        .join("; ")}
      .{" "}
      {outsideReversed < outside
        ? `Killed in the other order, ${plural(outsideReversed, "bird")} would be outside instead of ${outside}.`
        : "The other order is no better. Pen them apart the day before, or choose methods whose hours overlap."}
    </Notice>
  ));
}

/** Which birds of a lot are outside its window, and by how much at most. */
function clashWords({ batchName, tooShort, tooLong, shortBy, longBy }: ClashLot, show: Show): string {
  const hours = (of: number) => show.minutes(of * 60);
  return `${batchName}: ${[
    tooShort > 0 && `${tooShort} too full, by up to ${hours(shortBy)}`,
    tooLong > 0 && `${tooLong} off feed too long, by up to ${hours(longBy)}`,
  ]
    .filter(Boolean)
    .join(", ")}`;
}

/** Water that does not get or stay hot, an element too large for its breaker, meat that chills too slowly. */
function HeatCautions({ planned }: CautionProps) {
  const show = useShow();
  const { lots, heat, chill } = planned.plan;
  const isSpent = lots.some(({ scald }) => scald.birdsPerHour.value === 0);
  return (
    <>
      {heat.circuit?.isOverloaded && (
        <Notice tone="stop">
          <b>The breaker is too small for the element.</b> The element needs{" "}
          {show.value(heat.circuit.neededAmps.value, "amps")} and the breaker is {heat.circuit.breakerAmps} A.
          Use another circuit; ask an electrician and follow your code.
        </Notice>
      )}
      {!heat.burner.possible && (
        <Notice tone="stop">
          <b>The water never gets hot enough.</b> At this power it levels off at{" "}
          {show.value(heat.burner.ceiling.value, "°C")}. Use a lid, less water, or more power.
        </Notice>
      )}
      {heat.burner.possible && isSpent && (
        <Notice tone="stop">
          <b>The bath has no heat to spare with its lid off.</b> It cools with every bird and does not
          recover. Use more power, less water, or a lid between birds.
        </Notice>
      )}
      {!chill.isWithinQuoted && (
        <Notice tone="stop">
          <b>Chilling is too slow.</b> A heavy bird needs {show.value(chill.hours.value, "hours")}, longer
          than the {chill.quotedHours} h commonly quoted; follow your local rules. Stir or bubble the slush,
          or open the birds wider.
        </Notice>
      )}
    </>
  );
}

/** The hour to pull the feed gone by. */
function HourCautions({ planned, at }: CautionProps & { at: number }) {
  const show = useShow();
  const { lots } = planned.plan;
  return (
    <>
      {planned.choices.startAt > at &&
        lots
          .filter(({ withdrawal }) => withdrawal.feedOffAt.value < at)
          .map(({ choices, batchName, withdrawal }) => (
            <Notice key={choices.batchId} tone="stop">
              <b>
                The time to pull the feed{lots.length > 1 && ` of ${batchName}`} has passed:{" "}
                {show.dayTime(withdrawal.feedOffAt.value)}.
              </b>{" "}
              If the birds still have feed, pull it now and start later, or tie off every crop before you
              draw.
            </Notice>
          ))}
    </>
  );
}

/** Birds that are killed too full or too long off feed. */
function WindowCaution({ lot, name }: { lot: LotPlan; name: string }) {
  const { share, windowHours, isDuskBound, mostBirdsInOneWindow } = lot.withdrawal;
  const { tooShort, tooLong } = share;
  const [least, most] = windowHours;
  if (tooShort + tooLong === 0) return null;
  return (
    <Notice>
      <b>
        {plural(tooShort + tooLong, "bird")} of {lot.choices.birds}
        {name} outside the withdrawal window:
      </b>{" "}
      {[tooLong > 0 && `${tooLong} over ${most} h`, tooShort > 0 && `${tooShort} under ${least} h`]
        .filter(Boolean)
        .join(", ")}
      .{" "}
      {isDuskBound
        ? "Birds don't eat after dusk, so withdrawal starts then. Keep a light on in the pens until you pull the feed, start earlier, or choose a longer method."
        : `One feed-off time works for at most ${mostBirdsInOneWindow}. Work faster, process fewer birds, or pull the feed in two visits.`}
    </Notice>
  );
}

function YoungCautions({ planned }: CautionProps) {
  return adultsBeside(planned.crew).map(({ young, station, adult }) => (
    <Notice key={`${young} ${station}`}>
      <b>
        {young} works at {STATION_WORDS[station].toLowerCase()} only with {adult} beside them.
      </b>{" "}
      Your farm allows it; follow local law on young workers. If {adult} leaves the table, {young} picks
      pinfeathers or rinses.
    </Notice>
  ));
}
