import { listed, lotsInWords } from "#app/words/lot-words.ts";
import { plural, type Show } from "#app/words/show.ts";
import { STATION_WORDS } from "#app/words/words.ts";
import { MINUTE } from "#core/calendar/milliseconds.ts";
import { CHILL } from "#core/chill/chill-constants.ts";
import type { PlanForDate } from "#core/day/plan/plan-for-date.ts";
import { DRAIN_MINUTES } from "#core/processing-line/line-constants.ts";
import { birdsOf, mostInLine, neededStations, type PluckBy } from "#core/processing-line/line-day.ts";
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
  const { startAt } = planned.choices;
  const birds = birdsOf(planned.choices);
  const words = stationWords(planned, show);
  const foot = `First bird ${show.time(startAt)}, ${plural(birds, "bird")}; last bird in the chill tank likely by ${show.time(line.likelyAt.value)}, 9 in 10 by ${show.time(line.nineInTenAt.value)}.`;
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

const HOW_TO_PLUCK: Readonly<Record<PluckBy, string>> = {
  drum: "10 to 30 s with the hose on.",
  hand: "By hand, breast first, against the grain.",
  skin: "Skin them: slit at the breast, pull the skin off toward the back and legs. No scald. Knife: cut away from your hand.",
};

const lotsNamed = (lots: PlanForDate["plan"]["lots"]) =>
  lots.map(({ batchName, choices: { birds } }) => ({ batchName, birds }));

/** What someone at a station must know, with this day's numbers. */
function stationWords({ plan, choices }: PlanForDate, show: Show): Record<Station | "chill", string[]> {
  const { lots, chill, line, tanks } = plan;
  const isOnly = lots.length === 1;
  const { day } = line.setup;
  const hasBreak = day.breaks.length > 0;
  const dips = lots.map(({ scald, batchName }) => {
    const [from, to] = scald.secondsRange.map((seconds) => show.value(seconds, "seconds"));
    return `${isOnly ? "" : `${batchName}: `}${show.temperature(scald.bath.value)} for ${show.value(scald.seconds.value, "seconds")}; start testing at ${from}, no longer than ${to}. Never above ${show.temperature(scald.skinCeilingCelsius)}.`;
  });
  const feet = lots.filter(({ choices: lot }) => lot.keepsFeet).map(({ batchName }) => batchName);
  const clock = (minute: number) => show.time(choices.startAt + minute * MINUTE);
  return {
    cones: [
      ...(isOnly ? [] : [`In this order: ${lotsInWords(lotsNamed(lots))}.`]),
      `${plural(choices.cones, "cone")}. Hold the bird until it calms; cut close to the jaw.`,
      "Bleed until it is dead and still, at least 90 s. Never scald a bird that moves.",
      `${hasBreak ? `No kill in the ${DRAIN_MINUTES.kill} min before the break. ` : ""}At most ${mostInLine(day.people)} birds between cone and chill tank.`,
      "Very sharp knife: cut away from your hand.",
    ],
    scald: [
      ...(choices.rinsesFirst ? ["Rinse each bird with the hose first."] : []),
      ...dips,
      ...(choices.coolsAfter ? ["Then into cool water for a moment, before the plucker."] : []),
      "Go by wing feathers that slip out easily. Keep one person at the scald all day.",
      choices.changeWaterBirds
        ? `Change the water every ${choices.changeWaterBirds} birds.`
        : "Change the water when it is dirty.",
      "Scalding water. Never power a dry element; gas outdoors only. Keep children away.",
    ],
    pluck: [
      HOW_TO_PLUCK[choices.pluckBy],
      "Torn breast skin: send the bird to be cut up, and say so.",
      "Keep hands, sleeves, and hair clear of the drum. Switch it off before you reach in.",
    ],
    feet: [
      "Cut feet off at the joint, head off, loosen the neck, remove the oil gland.",
      feet.length > 0
        ? `Keep the feet${feet.length < lots.length ? ` of ${listed(feet)}` : ""}: put them in their own bowl right away.`
        : "Feet and heads go into the waste barrel.",
      "Knife or shears: cut away from your hand. No one under 16 works here alone.",
    ],
    pins: [
      "Pick the pinfeathers: back, tail, wings, then the rest.",
      "Many pinfeathers left: ask for five more seconds at the scald.",
      "Wear gloves. No blades here; a young person can work here.",
    ],
    gut: [
      `${plural(choices.tablePlaces, "place")}. Free the crop and windpipe, cut around the vent, draw in one pull, scrape out the lungs.`,
      "Never nick the gut or gall. If it happens: trim, rinse, say so.",
      "Bruise, sore, yellow fluid, odd liver: set the bird aside, don't guess. Never process a sick flock: stop and call a vet.",
      "One knife per person, blade down when you look up.",
    ],
    rinse: [
      "Rinse inside and out, then inspect every bird.",
      "Home use, cut up, pets, or condemned: decide before it goes into the chill tank.",
      "Count each bird into the chill tank.",
    ],
    giblets: [
      "Hearts; livers with the gall cut off; gizzards split and peeled.",
      "Put them in their own cold bowl right away.",
    ],
    pack: ["Drain, tuck the legs, bag, weigh, label."],
    cut: ["Breasts, quarters, wings, backs; keep count."],
    seal: ["One layer; wipe the rim; check each seal."],
    chill: [
      `${plural(chill.bags.value, "bag")} of ice. Room for ${plural(chill.tank.birdsThatFit.value, "bird")}.`,
      ...(tanks.fullMinute === undefined || chill.tank.birdsThatFit.value < 1
        ? []
        : [
            `Full at about ${clock(tanks.fullMinute)}; the first bird is cold at about ${clock(tanks.firstColdMinute)}. Move cold birds out.`,
          ]),
      `Under ${show.temperature(CHILL.targetCelsius)} within ${show.value(chill.hours.value, "hours")}; commonly quoted limit ${chill.quotedHours} h; follow your local rules.`,
      "Stir. Keep the cavity open to the water. Go by a probe in the breast, not the clock.",
    ],
  };
}
