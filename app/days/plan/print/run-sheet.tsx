import { Link } from "react-router";
import { PlanRibbon } from "#app/days/plan/plan-ribbon.tsx";
import { planToSend } from "#app/server/day/plan-of-day.server.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { placeOf } from "#app/server/farm/farm-means.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { useShow } from "#app/ui/use-show.tsx";
import { lotsInWords } from "#app/words/lot-words.ts";
import { plural, type Show } from "#app/words/show.ts";
import { MINUTE } from "#core/calendar/milliseconds.ts";
import { CHILL } from "#core/chill/chill-constants.ts";
import type { LotPlan } from "#core/day/plan/day-plan.ts";
import type { PlanForDate } from "#core/day/plan/plan-for-date.ts";
import type { Route } from "./+types/run-sheet.ts";

export const meta = () => [{ title: "Run sheet · Pale Morning" }];

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { farm, day, lots } = requireDay(here, params.dayId);
  return {
    day,
    lots: lots.map(({ birds, batchName, cutUp }) => ({ birds, batchName, cutUp })),
    farmName: farm.name,
    place: placeOf(farm),
    planned: planToSend(here, farm, day),
  };
}

/** The day on one page, to be taped to a wall and read with wet hands. */
export default function RunSheet({ loaderData }: Route.ComponentProps) {
  const { day, lots, farmName, place, planned } = loaderData;
  const show = useShow();
  const cutUp = lots.reduce((sum, lot) => sum + lot.cutUp, 0);
  return (
    <article className="grid max-w-page gap-5 bg-white p-4 md:p-8">
      <p className="flex gap-4 print:hidden">
        <Link to={`/days/${day.id}/print`} className="lone-link">
          Back to Print
        </Link>
        <span className="text-soft">Print this page from your browser.</span>
      </p>
      <header>
        <h1 className="text-4xl">{show.longDay(day.processedOn)}</h1>
        <p className="text-xl">
          {farmName}: {lotsInWords(lots)}, {cutUp === 0 ? "all whole" : `${cutUp} cut up`}.{" "}
          {plural(day.people, "person", "people")}.
        </p>
      </header>
      <PlanRibbon planned={planned} processedOn={day.processedOn} startAt={day.startAt} place={place} />
      <Schedule planned={planned} />
      <ScaldAndChill planned={planned} />
      <p className="border-t border-ink pt-3 text-lg">
        Scalding water, blades, drum, wet wires: know where the breaker is, and keep children away. A bird
        must be dead and still before the scald. Never process a sick flock: stop, isolate, call a vet.
      </p>
    </article>
  );
}

function Schedule({ planned }: { planned: PlanForDate }) {
  const show = useShow();
  return (
    <table className="w-full text-xl">
      <caption className="pb-2 text-left font-display text-2xl">Schedule</caption>
      <tbody>
        {momentsOf(planned, show).map(({ at, what, more }) => (
          <tr key={what} className="border-t border-ink align-baseline">
            <th
              scope="row"
              className="py-2 pr-4 text-left align-baseline font-mono text-base font-semibold sm:whitespace-nowrap print:whitespace-nowrap"
            >
              {show.dateTime(at)}
            </th>
            <td className="py-2 font-semibold">{what}</td>
            <td className="py-2">{more}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** What happens when, in the order of the clock. */
function momentsOf({ plan, sun, choices }: PlanForDate, show: Show) {
  const { lots, heat, line } = plan;
  const isOnly = lots.length === 1;
  const sunAt = (at: number | undefined, what: string) => (at === undefined ? [] : [{ at, what, more: "" }]);
  const heating = `To ${show.temperature(lots[0]!.scald.bath.value)}. Never power a dry element; gas outdoors only`;
  const burner = heat.burner.possible
    ? [{ at: heat.burner.safeAt.value, what: "Turn the heat on", more: heating }]
    : [];
  const offFeed = ({ withdrawal: { firstBirdHours, windowHours } }: LotPlan) =>
    `Off feed ${show.value(firstBirdHours.value, "hours")}; aim ${windowHours[0]} to ${windowHours[1]} h`;
  return [
    ...lots.map(({ withdrawal, batchName }) => ({
      at: withdrawal.feedOffAt.value,
      what: isOnly ? "Pull the feed" : `Pull the feed of ${batchName}`,
      more: "Leave the water until catching",
    })),
    ...burner,
    { at: line.setUpAt, what: "Set up", more: "Knives, tables, water, ice; test every machine" },
    ...sunAt(sun.sunrise, "Sunrise"),
    {
      at: choices.startAt,
      what: isOnly ? "First bird" : `First bird, ${lots[0]!.batchName}`,
      more: offFeed(lots[0]!),
    },
    ...lots.slice(1).map((lot) => ({
      at: choices.startAt + (line.answer.kills[lot.birdsBefore]?.p50 ?? 0) * MINUTE,
      what: `First of ${lot.batchName}, likely`,
      more: `Scald at ${show.temperature(lot.scald.bath.value)}. ${offFeed(lot)}`,
    })),
    {
      at: line.likelyAt.value,
      what: "Last bird in the chill tank, likely",
      more: `9 in 10 by ${show.time(line.nineInTenAt.value)}`,
    },
    { at: line.cleanAt.value, what: "Cleaned up", more: "" },
    ...sunAt(sun.sunset, "Sunset"),
  ].toSorted((one, other) => one.at - other.at);
}

function ScaldAndChill({ planned }: { planned: PlanForDate }) {
  const show = useShow();
  const { lots, chill } = planned.plan;
  const seconds = (value: number) => show.value(value, "seconds");
  return (
    <div className="grid gap-4 text-xl sm:grid-cols-2">
      <section>
        <h2 className="text-2xl">Scald</h2>
        {lots.map(({ batchName, choices, scald }) => (
          <p key={choices.batchId}>
            {lots.length > 1 && `${batchName}: `}
            <b className="font-mono">{show.temperature(scald.bath.value)}</b> for{" "}
            <b className="font-mono">{seconds(scald.seconds.value)}</b>. Start testing at{" "}
            {seconds(scald.secondsRange[0])}; no longer than {seconds(scald.secondsRange[1])}; never above{" "}
            {show.temperature(scald.skinCeilingCelsius)}. Go by wing feathers that slip out.
          </p>
        ))}
      </section>
      <section>
        <h2 className="text-2xl">Chill</h2>
        <p>
          <b className="font-mono">{plural(chill.bags.value, "bag")}</b> of ice. Under{" "}
          {show.temperature(CHILL.targetCelsius)} in {show.value(chill.hours.value, "hours")}; commonly quoted
          limit {chill.quotedHours} h; follow your local rules. Probe the breast.
        </p>
      </section>
    </div>
  );
}
