import { Notice } from "#app/ui/sheet.tsx";
import { plural } from "#app/ui/show.ts";
import { useShow } from "#app/ui/use-show.tsx";
import { STATION_WORDS } from "#app/ui/words.ts";
import { adultsBeside } from "#core/day/crew/crew.ts";
import type { LineFault } from "#core/day/plan/line-setup.ts";
import type { PlanForDate } from "#core/day/plan/plan-for-date.ts";
import type { DayChoices } from "#core/day/plan/plan-input.ts";

interface PlanCautionsProps {
  planned: PlanForDate;
  choices: DayChoices;
  /** Now, by which an hour can be past. */
  at: number;
}

/** What is wrong with a plan, and the ways out: what can hurt first. Nothing where nothing is wrong. */
export function PlanCautions({ planned, choices, at }: PlanCautionsProps) {
  const show = useShow();
  const { line, scald, withdrawal, chill } = planned.plan;
  const { sunset } = planned.sun;
  const { tooShort, tooLong } = withdrawal.share;
  const [least, most] = withdrawal.windowHours;
  return (
    <div className="grid gap-2 empty:hidden">
      {line.faults.map((fault) => (
        <Notice key={faultKey(fault)} tone={MILD.includes(fault.what) ? "heed" : "stop"}>
          <LineFaultInWords fault={fault} />
        </Notice>
      ))}
      {scald.circuit?.isOverloaded && (
        <Notice tone="stop">
          <b>The breaker is too small for the element.</b> It asks for{" "}
          {show.value(scald.circuit.neededAmps.value, "amps")} and the breaker is {scald.circuit.breakerAmps}{" "}
          A. Use another circuit; an electrician and your code decide.
        </Notice>
      )}
      {!scald.burner.possible && (
        <Notice tone="stop">
          <b>The water never gets hot enough.</b> With this heat it stops at{" "}
          {show.value(scald.burner.ceiling.value, "°C")}. Put on a lid, use less water, or more power.
        </Notice>
      )}
      {scald.burner.possible && scald.birdsPerHour.value === 0 && (
        <Notice tone="stop">
          <b>The bath has no heat to spare with its lid off.</b> It sags with every bird and does not come
          back. More power, less water, or a lid between birds.
        </Notice>
      )}
      {!chill.isWithinQuoted && (
        <Notice tone="stop">
          <b>Chilling is too slow.</b> A heavy bird needs {show.value(chill.hours.value, "hours")}, past the{" "}
          {chill.quotedHours} h often quoted; your rule decides. Stir or bubble the slush, or open the birds
          wider.
        </Notice>
      )}
      {sunset !== undefined && line.cleanAt.value > sunset && (
        <Notice tone="stop">
          <b>It gets dark.</b> Clean-up ends at {show.time(line.cleanAt.value)}, sunset is at{" "}
          {show.time(sunset)}. Start earlier, take fewer, or find another pair of hands.
        </Notice>
      )}
      {withdrawal.feedOffAt.value < at && choices.startAt > at && (
        <Notice tone="stop">
          <b>The hour to pull the feed is past: {show.dayTime(withdrawal.feedOffAt.value)}.</b> If it still
          lies there, pull it now and start later, or tie off every crop before you draw.
        </Notice>
      )}
      {tooShort + tooLong > 0 && (
        <Notice>
          <b>
            {plural(tooShort + tooLong, "bird")} of {choices.birds} outside the withdrawal window:
          </b>{" "}
          {[tooLong > 0 && `${tooLong} past ${most} h`, tooShort > 0 && `${tooShort} not yet ${least} h`]
            .filter(Boolean)
            .join(", ")}
          .{" "}
          {withdrawal.isDuskBound
            ? "Birds don't eat after dusk, so that is when it begins. Keep a lamp in the pens until the feed is pulled, start earlier, or choose a longer school."
            : `One feed-off time can serve ${withdrawal.mostBirdsInOneWindow}. Go quicker, take fewer, or pull the feed in two visits.`}
        </Notice>
      )}
      {adultsBeside(planned.crew).map(({ young, station, adult }) => (
        <Notice key={`${young} ${station}`}>
          <b>
            {young} works at {STATION_WORDS[station].toLowerCase()} only with {adult} beside them.
          </b>{" "}
          Your farm allows it; local law on young workers decides. If {adult} leaves the table, {young} picks
          pins or rinses.
        </Notice>
      ))}
      {chill.tank.birdsThatFit.value >= 1 && chill.tank.fillsNeeded > 1 && (
        <Notice>
          <b>The tanks hold {chill.tank.birdsThatFit.value}.</b> Move the cold ones on and fill them{" "}
          {chill.tank.fillsNeeded} times, or find another cooler.
        </Notice>
      )}
    </div>
  );
}

const faultKey = (fault: LineFault) =>
  `${fault.what} ${"station" in fault ? fault.station : "name" in fault ? fault.name : ""}`;

/** Nothing goes wrong by these: the plan only leaves something out. */
const MILD: readonly LineFault["what"][] = [
  "break before the start",
  "break after the end",
  "comes after the end",
];

/** What keeps the line from running as it was planned, and the way out. The rest of the plan still answers. */
function LineFaultInWords({ fault }: { fault: LineFault }) {
  switch (fault.what) {
    case "nobody at":
      return (
        <>
          <b>
            {fault.mayAnybody ? "Nobody is at" : "Nobody who comes may stand at"}{" "}
            {STATION_WORDS[fault.station].toLowerCase()}.
          </b>{" "}
          {fault.mayAnybody
            ? "Move somebody there, or add a helper."
            : "Add a helper who may, or look at their rules under People."}{" "}
          Until then the plan reckons as if everybody helped everywhere.
        </>
      );
    case "no room in the tanks":
      return (
        <>
          <b>The tanks are too small for a single bird.</b> Check what they hold in the Yard. The line is
          reckoned with room for one.
        </>
      );
    case "break before the start":
      return (
        <>
          <b>The break comes before the first bird.</b> It is left out; put it at a later hour, or set it to 0
          minutes.
        </>
      );
    case "break after the end":
      return (
        <>
          <b>The break comes after the last bird.</b> At an even chance the line is done before it; on a slow
          day people will want it sooner.
        </>
      );
    case "break longer than the work":
      return (
        <>
          <b>The break is longer than the work.</b> Check its minutes. Birds already killed are brought into
          the chill before it, and the others wait off feed.
        </>
      );
    case "comes after the end":
      return (
        <>
          <b>{fault.name} comes after the last bird is in the chill.</b> Put the hours right under People, or
          count on {fault.name} for packing only.
        </>
      );
    case "gone too early":
      return (
        <>
          <b>The people go home before the birds are done.</b> Their hours end too early, or they come too
          late. Change them under People. The line is reckoned as if everybody stayed.
        </>
      );
  }
}
