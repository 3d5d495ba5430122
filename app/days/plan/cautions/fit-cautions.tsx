import { fewerBirds } from "#app/days/plan/choices/fewer-birds.ts";
import { splitAfter } from "#app/days/plan/choices/lot-moves.ts";
import { PLAN_FORM } from "#app/days/plan/choices/plan-form-id.ts";
import { usePlan } from "#app/days/plan/plan-context.tsx";
import { Button, Notice } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import { type BirdsThatFit, birdsThatFit, type DayLimit } from "#core/day/plan/room/birds-that-fit.ts";
import { restRoom } from "#core/day/plan/room/rest-room.ts";
import { birdsOf } from "#core/processing-line/line-day.ts";

/** Limits that the day's birds do not fit within: how many would, and what to do about the others. */
export function FitCautions() {
  const { planned, processedOn, around } = usePlan();
  const birds = birdsOf(planned.choices);
  const room = planned.choices.packsSameDay ? undefined : restRoom(processedOn, birds, around);
  const short = birdsThatFit(planned, {
    longestLineMinutes: around.longestLineMinutes,
    restFree: room?.free,
  });
  // Tanks too small for a single bird are a fault of the line, which says so.
  const said = short.filter(({ limit, birds: fitting }) => limit !== "tanks" || fitting > 0);
  return said.map((fit) => (
    <Notice key={fit.limit} tone={fit.limit === "tanks" || fit.limit === "hours" ? "heed" : "stop"}>
      <p>
        <LimitInWords fit={fit} birds={birds} />
      </p>
      {fit.birds > 0 && <WaysOut fit={fit} birds={birds} />}
    </Notice>
  ));
}

function LimitInWords({ fit, birds }: { fit: BirdsThatFit; birds: number }) {
  const { planned, around } = usePlan();
  const show = useShow();
  const { line, chill } = planned.plan;
  const of = fit.birds === 0 ? "None of them fits." : `${fit.birds} of ${birds} fit.`;
  const words: Readonly<Record<DayLimit, () => [string, string]>> = {
    light: () => [
      `It gets dark. ${of}`,
      `Cleanup ends at ${show.time(line.cleanAt.value)}; sunset is at ${show.time(planned.sun.sunset!)}. Start earlier, find another helper, or take fewer.`,
    ],
    hours: () => [
      `The line takes ${show.minutes(line.lineMinutes)}. ${fit.birds} of ${birds} are done within ${show.minutes(around.longestLineMinutes)}.`,
      "The longest line is set under Season, Rules. Find another helper, or take fewer.",
    ],
    tanks: () => [
      `The tanks hold ${fit.birds} of ${birds}.`,
      `Move cold birds out and refill them ${chill.tank.fillsNeeded} times, or find another cooler.`,
    ],
    "rest-room": () => [
      `Room to rest ${fit.birds} of ${birds}.`,
      "Rest the others in ice, find another refrigerator, or take fewer.",
    ],
  };
  const [what, then] = words[fit.limit]();
  return (
    <>
      <b>{what}</b> {then}
    </>
  );
}

/** Fewer birds on this day; the others another day, or not yet. */
function WaysOut({ fit, birds }: { fit: BirdsThatFit; birds: number }) {
  const { planned } = usePlan();
  return (
    <div className="flex flex-wrap gap-3 pt-2 print:hidden">
      <Button
        type="button"
        kind="plain"
        onClick={() => fewerBirds(PLAN_FORM, planned.choices.lots, fit.birds)}
      >
        Take {fit.birds}
      </Button>
      {planned.choices.lots.length === 1 && (
        <Button form={PLAN_FORM} kind="plain" name="move" value={splitAfter(fit.birds)}>
          Save {fit.birds} and plan {plural(birds - fit.birds, "bird")} for another day
        </Button>
      )}
    </div>
  );
}
