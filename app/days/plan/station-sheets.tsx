import { Link } from "react-router";
import { planToSend, requireDay } from "#app/server/day-reading.server.ts";
import { plural } from "#app/ui/show.ts";
import { useShow } from "#app/ui/use-show.tsx";
import { STATION_WORDS } from "#app/ui/words.ts";
import { CHILL } from "#core/chill/chill-constants.ts";
import type { PlanForDate } from "#core/day/plan-for-date.ts";
import { neededStations } from "#core/processing-line/line-day.ts";
import type { Station } from "#core/processing-line/line-station.ts";
import type { Route } from "./+types/station-sheets.ts";

export const meta = () => [{ title: "A page for each station · Pale Morning" }];

export function loader({ params }: Route.LoaderArgs) {
  const { farm, day, batch } = requireDay(params.dayId);
  return { day, farmName: farm.name, planned: planToSend(farm, batch, day) };
}

/** One page a station, in large type, to be taped where the work is. */
export default function StationSheets({ loaderData: { day, farmName, planned } }: Route.ComponentProps) {
  const show = useShow();
  const { line } = planned.plan;
  const stations = neededStations(line.setup.day);
  const words = useStationWords(planned);
  return (
    <div className="bg-white">
      <p className="flex gap-4 p-4 print:hidden">
        <Link to={`/days/${day.id}/plan`} className="underline">
          Back to the plan
        </Link>
        <span className="text-soft">Print this with your browser: {stations.length + 1} pages.</span>
      </p>
      {[...stations, "chill" as const].map((station) => {
        const people = line.setup.day.people.filter(
          ({ stations: own }) => station !== "chill" && own.includes(station),
        );
        return (
          <article
            key={station}
            className="grid content-start gap-6 p-8 print:min-h-screen print:break-after-page"
          >
            <header className="border-b-4 border-ink pb-3">
              <p className="text-xl">
                {farmName}, {show.longDay(day.processedOn)}
              </p>
              <h1 className="text-6xl">{station === "chill" ? "Chill" : STATION_WORDS[station]}</h1>
            </header>
            {people.length > 0 && (
              <p className="text-3xl">
                {people.map(({ name, stations: own }, index) => (
                  <span key={name}>
                    {index > 0 && ", "}
                    <b>{name}</b>
                    {own[0] !== station && " helps"}
                  </span>
                ))}
              </p>
            )}
            <ul className="grid gap-4 text-3xl">
              {words(station).map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
            <p className="text-2xl">
              First bird {show.time(day.startAt)}, {plural(day.birdCount, "bird")}; last into the chill by{" "}
              {show.time(line.evenChanceAt.value)} at an even chance, {show.time(line.nineInTenAt.value)} nine
              times in ten.
            </p>
          </article>
        );
      })}
    </div>
  );
}

/** What somebody at a station must know, with this day's numbers; what can hurt last, where the eye stays. */
function useStationWords({ plan, choices }: PlanForDate) {
  const show = useShow();
  const { scald, chill, line } = plan;
  const [from, to] = scald.secondsRange.map((seconds) => show.value(seconds, "seconds"));
  return (station: Station | "chill"): string[] =>
    ({
      cones: [
        `${plural(choices.cones, "cone")}. Hold the bird until it calms; cut close to the jaw.`,
        "Bleed until it is dead and still: at least 90 s. Never scald a bird that moves.",
        `No kill in the 5 min before the break. At most ${3 * line.setup.day.people.length} birds between cone and chill.`,
        "Very sharp knife: cut away from your hand.",
      ],
      scald: [
        `${show.temperature(scald.bath.value)} for ${show.value(scald.seconds.value, "seconds")}; try from ${from}, not past ${to}. Never ${show.temperature(scald.skinCeilingCelsius)}.`,
        "Wing feathers that slip out easily decide. One person keeps the scald all day.",
        choices.changeWaterBirds
          ? `Change the water every ${choices.changeWaterBirds} birds.`
          : "Change the water when it is foul.",
        "Scalding water. Never a dry element; gas outdoors only. Children keep away.",
      ],
      pluck: [
        choices.pluckBy === "hand" ? "By hand, breast first, against the lie." : "10 to 30 s, hosed.",
        "Torn breast skin: the bird goes to be cut up. Say so.",
        "Hands, sleeves and hair clear of the drum. Off at the switch before you reach in.",
      ],
      pins: [
        "Pin feathers, feet off at the joint, head off, neck loosened, oil gland out.",
        "Many pins left: tell the scald, five seconds more.",
        "Gloves. A child may do feet and heads, not knives.",
      ],
      gut: [
        `${plural(choices.tablePlaces, "place")}. Free crop and windpipe, cut round the vent, draw in one pull, scrape the lungs.`,
        "Never nick gut or gall. If it happens: trim, rinse, say so.",
        "Bruise, sore, yellow fluid, odd liver: set aside, do not guess. A sick flock is not killed: stop, call a vet.",
        "Knives: one knife a hand, blade down when you look up.",
      ],
      rinse: [
        "Inside and out, then look at every bird.",
        "Own table, cut up, pets or condemned: say which before it goes into the chill.",
        "Tap each bird into the chill.",
      ],
      giblets: [
        "Hearts; livers, gall cut clear; gizzards split and peeled.",
        "Into their own cold bowl at once.",
      ],
      pack: ["Dry, legs tucked, bag, weigh, label."],
      cut: ["Breasts, quarters, wings, backs; keep the count."],
      seal: ["One layer; wipe the rim; look at each seal."],
      chill: [
        `${plural(chill.bags.value, "bag")} of ice. Room for ${plural(chill.tank.birdsThatFit.value, "bird")}.`,
        `Under ${show.temperature(CHILL.targetCelsius)} within ${show.value(chill.hours.value, "hours")}; often quoted limit ${chill.quotedHours} h, your local rule decides.`,
        "Stir. Cavity open to the water. A probe in the breast decides, not the clock.",
      ],
    })[station];
}
