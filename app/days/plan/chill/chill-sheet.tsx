import { HourChart } from "#app/days/plan/chill/hour-chart.tsx";
import { usePlan } from "#app/days/plan/plan-context.tsx";
import { FoldedSheet, Notice } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import { MINUTE } from "#core/calendar/milliseconds.ts";
import { CHILL } from "#core/chill/chill-constants.ts";
import { GIBLET_CHILL_HOURS } from "#core/chill/chill-deadline.ts";
import type { ChillOfBird } from "#core/day/plan/chill-by-hour.ts";
import type { BrinePlan } from "#core/day/plan/chill-plan.ts";
import { type RestRoom, restRoom } from "#core/day/plan/room/rest-room.ts";
import { birdsOf } from "#core/processing-line/line-day.ts";

/** The tanks by the hour: ice, room, how long to cold, brine, and where the birds rest. */
export function ChillSheet() {
  const { planned, basis, around, processedOn } = usePlan();
  const show = useShow();
  const { chill, tanks } = planned.plan;
  const { startAt } = planned.choices;
  const birds = birdsOf(planned.choices);
  const time = (minute: number) => show.time(startAt + minute * MINUTE);
  const bag = basis.means.bagKilograms.value;
  const bought = basis.iceBagsInStock;
  return (
    <FoldedSheet
      id="chill"
      heading="Chill"
      beside={`${show.value(chill.ice.value, "kg")} of ice needed, ${plural(chill.bags.value, "bag")} to have ready`}
      isOpen={!chill.isWithinQuoted || (bought !== undefined && chill.bags.value > bought)}
    >
      <HourChart planned={planned} atHandKilograms={(bought ?? 0) * bag + chill.ownKilograms} />
      <ShortOfIce />
      <ul className="grid gap-1 py-2 text-sm">
        <li>
          {chill.ownKilograms > 0
            ? `Your own ice: ${show.value(chill.ownKilograms, "kg")}. Bought: ${plural(chill.bags.value, "bag")} of ${show.value(bag, "kg")}.`
            : `All bought: ${plural(chill.bags.value, "bag")} of ${show.value(bag, "kg")}. Enter jugs you freeze yourself under Farm.`}
        </li>
        <li>
          {tanks.fullMinute === undefined
            ? `The tanks hold ${chill.tank.birdsThatFit.value}, so all ${birds} fit at once.`
            : chill.tank.birdsThatFit.value < 1
              ? "The tanks are too small for even one bird."
              : `The tanks hold ${chill.tank.birdsThatFit.value} and are full at about ${time(tanks.fullMinute)}. The first bird is cold at about ${time(tanks.firstColdMinute)}; from then on, move cold birds to the refrigerator and refill.`}
        </li>
        <EndBird which="lightest" bird={tanks.lightest} />
        <EndBird which="heaviest" bird={tanks.heaviest} />
        <ChillRules />
      </ul>
      {planned.choices.packsSameDay ? (
        <p className="border-t border-rule py-2 text-sm">
          They are packed the same day, so none rests overnight.
        </p>
      ) : (
        <Rest room={restRoom(processedOn, birds, around)} birds={birds} />
      )}
      {chill.brine && <Brine brine={chill.brine} />}
      <p className="border-t border-rule pt-2 text-sm text-soft">
        Go by a probe in the thickest part of the breast, not the clock. The hours are commonly quoted for
        this weight; follow your local rules.
      </p>
    </FoldedSheet>
  );
}

/** What goes for any day: water taken up, giblets, and no warm birds in a refrigerator. */
function ChillRules() {
  const { planned } = usePlan();
  const show = useShow();
  const { chill } = planned.plan;
  return (
    <>
      <li>
        In the tank a bird takes up about {show.value(chill.uptake.atLift, "fraction")} of its weight in
        water; after half an hour's draining about {show.value(chill.uptake.afterDrain, "fraction")} stays.
        Drain before you weigh, and follow your rules on water in what you sell.
      </li>
      {planned.choices.lots.some(({ keepsGiblets }) => keepsGiblets) && (
        <li>
          Giblets have a shorter limit of their own, often quoted as {GIBLET_CHILL_HOURS} h to{" "}
          {show.temperature(CHILL.targetCelsius)}: into ice as they come off, not at the end.
        </li>
      )}
      {chill.refrigeratorHours > chill.quotedHours && (
        <li>
          Do not chill warm birds in a household refrigerator: these would take about{" "}
          {show.value(chill.refrigeratorHours, "hours")} there. Chill them in ice first.
        </li>
      )}
    </>
  );
}

/** Too few bags for the day, and about when the ice would run out. */
function ShortOfIce() {
  const { planned, basis } = usePlan();
  const show = useShow();
  const { chill, tanks } = planned.plan;
  const bought = basis.iceBagsInStock;
  if (bought === undefined || chill.bags.value <= bought) return null;
  const outAt =
    tanks.iceOutMinute === undefined
      ? undefined
      : show.time(planned.choices.startAt + tanks.iceOutMinute * MINUTE);
  return (
    <Notice>
      <b>{outAt === undefined ? "Not enough ice." : `The ice runs out at about ${outAt}.`}</b> There{" "}
      {bought === 1 ? "is" : "are"} {plural(bought, "bag")} for this day, which needs {chill.bags.value}. Buy{" "}
      {plural(chill.bags.value - bought, "bag")} more, or freeze more jugs beforehand.
    </Notice>
  );
}

function EndBird({ which, bird }: { which: "lightest" | "heaviest"; bird: ChillOfBird }) {
  const show = useShow();
  return (
    <li className={bird.isWithinQuoted ? "" : "font-semibold text-barn"}>
      The {which}, {show.value(bird.carcassKilograms, "carcass-kg")}: under{" "}
      {show.temperature(CHILL.targetCelsius)} after {show.value(bird.hours, "hours")} in ice slush, with at
      most {show.minutes(bird.waitMinutes)} on the table first. Commonly quoted limit: {bird.quotedHours} h.
    </li>
  );
}

function Rest({ room, birds }: { room: RestRoom | undefined; birds: number }) {
  const show = useShow();
  if (!room) {
    return (
      <p className="border-t border-rule py-2 text-sm">
        No refrigerator is listed under Freezers, so there is no place for the birds to rest.
      </p>
    );
  }
  const places = room.places
    .map(({ name, free, isFreezing }) => `${name} ${isFreezing ? "none; it is set to freeze" : free}`)
    .join(", ");
  return (
    <div className="border-t border-rule py-2 text-sm">
      <p>
        They rest until {show.shortDay(room.until)}. Free space then: {places}
        {room.othersBirds > 0 && `, less ${plural(room.othersBirds, "bird")} for another day`}.
      </p>
      {!room.isEnough && (
        <Notice>
          <b>
            {room.free === 0 ? "There is no room" : `There is room for ${room.free} of ${birds}`} for resting.
          </b>{" "}
          Empty the refrigerator first, rest the others in fresh ice slush, or split the day.
        </Notice>
      )}
    </div>
  );
}

function Brine({ brine }: { brine: BrinePlan }) {
  const show = useShow();
  const percent = (share: number) => show.value(share, "fraction");
  return (
    <div className="grid gap-1 border-t border-rule py-2 text-sm">
      <p>
        <b>Brine:</b> <b className="font-mono">{show.value(brine.salt.value, "kg")}</b> of salt by weight in{" "}
        <b className="font-mono">{show.volume(brine.waterLiters)}</b> of cold water: {percent(brine.strength)}{" "}
        strong, {Math.round(brine.salinometerDegrees)}° on a salinometer. Brine 6 to 24 h, kept below{" "}
        {show.temperature(CHILL.targetCelsius)} with ice in sealed jugs so it is not diluted. The birds may
        gain {percent(brine.uptake)} of their weight; a label must state the added solution where your rules
        require it.
      </p>
      {!brine.dissolves && (
        <Notice tone="stop">
          <b>That much salt will not dissolve.</b> Use less salt or more water.
        </Notice>
      )}
    </div>
  );
}
