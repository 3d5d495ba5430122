import { plural, type Show } from "#app/ui/show.ts";
import { STATION_WORDS } from "#app/ui/words.ts";
import { CHILL } from "#core/chill/chill-constants.ts";
import type { PlanForDate } from "#core/day/plan/plan-for-date.ts";
import { DRAIN_MINUTES } from "#core/processing-line/line-constants.ts";
import { mostInLine, neededStations } from "#core/processing-line/line-day.ts";
import type { Station } from "#core/processing-line/line-station.ts";

/** A page to be taped where the work is. */
export interface StationPage {
  readonly key: Station | "chill";
  readonly heading: string;
  readonly people: readonly { readonly name: string; readonly isFirst: boolean }[];
  /** What can hurt last, where the eye stays. */
  readonly lines: readonly string[];
  readonly foot: string;
}

/** A page for each station of the day and one for the chill, with the day's own numbers. */
export function stationPages(planned: PlanForDate, show: Show): StationPage[] {
  const { line } = planned.plan;
  const { startAt, birds } = planned.choices;
  const words = stationWords(planned, show);
  const foot = `First bird ${show.time(startAt)}, ${plural(birds, "bird")}; last into the chill by ${show.time(line.evenChanceAt.value)} at an even chance, ${show.time(line.nineInTenAt.value)} nine times in ten.`;
  return [...neededStations(line.setup.day), "chill" as const].map((key) => ({
    key,
    heading: key === "chill" ? "Chill" : STATION_WORDS[key],
    people:
      key === "chill"
        ? []
        : line.setup.day.people
            .filter(({ stations }) => stations.includes(key))
            .map(({ name, stations }) => ({ name, isFirst: stations[0] === key })),
    lines: words[key],
    foot,
  }));
}

/** What somebody at a station must know, with this day's numbers. */
function stationWords({ plan, choices }: PlanForDate, show: Show): Record<Station | "chill", string[]> {
  const { scald, chill, line, tanks } = plan;
  const { day } = line.setup;
  const hasBreak = day.breaks.length > 0;
  const [from, to] = scald.secondsRange.map((seconds) => show.value(seconds, "seconds"));
  const clock = (minute: number) => show.time(choices.startAt + minute * 60_000);
  return {
    cones: [
      `${plural(choices.cones, "cone")}. Hold the bird until it calms; cut close to the jaw.`,
      "Bleed until it is dead and still: at least 90 s. Never scald a bird that moves.",
      `${hasBreak ? `No kill in the ${DRAIN_MINUTES.kill} min before the break. ` : ""}At most ${mostInLine(day.people)} birds between cone and chill.`,
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
    feet: [
      "Feet off at the joint, head off, neck loosened, oil gland out.",
      choices.keepsFeet
        ? "Keep the feet: into their own bowl at once."
        : "Feet and heads into the waste barrel.",
      "Knife or shears: cut away from your hand. Nobody under 16 works here alone.",
    ],
    pins: [
      "Pick the pin feathers: back, tail, wings, then the rest.",
      "Many pins left: tell the scald, five seconds more.",
      "Gloves. No blades at this place; a young person can work here.",
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
      ...(tanks.fullMinute === undefined || chill.tank.birdsThatFit.value < 1
        ? []
        : [
            `Full about ${clock(tanks.fullMinute)}; the first bird is cold about ${clock(tanks.firstColdMinute)}. Move the cold ones on.`,
          ]),
      `Under ${show.temperature(CHILL.targetCelsius)} within ${show.value(chill.hours.value, "hours")}; often quoted limit ${chill.quotedHours} h, your local rule decides.`,
      "Stir. Cavity open to the water. A probe in the breast decides, not the clock.",
    ],
  };
}
