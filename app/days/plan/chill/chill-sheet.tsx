import { scaleLinear } from "d3-scale";
import { useId } from "react";
import { usePlan } from "#app/days/plan/plan-context.tsx";
import { Notice, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import { CHILL } from "#core/chill/chill-constants.ts";
import type { ChillByHour, ChillOfBird } from "#core/day/plan/chill-by-hour.ts";
import type { BrinePlan } from "#core/day/plan/chill-plan.ts";
import type { PlanForDate } from "#core/day/plan/plan-for-date.ts";
import { type RestRoom, restRoom } from "#core/day/plan/rest-room.ts";
import { MILLIGRAMS_PER_KILOGRAM, MILLIGRAMS_PER_POUND } from "#core/quantity/conversion.ts";

const MINUTE = 60_000;

/** The tanks by the hour: ice, room, how long to cold, brine, and where the birds rest. */
export function ChillSheet() {
  const { planned, basis, around, processedOn } = usePlan();
  const show = useShow();
  const { chill, tanks } = planned.plan;
  const { startAt, birds } = planned.choices;
  const time = (minute: number) => show.time(startAt + minute * MINUTE);
  const bag = basis.means.bagKilograms.value;
  const bought = basis.iceBagsInStock;
  return (
    <Sheet
      heading="Chill"
      beside={`${show.value(chill.ice.value, "kg")} of ice needed, ${plural(chill.bags.value, "bag")} to have ready`}
    >
      <HourChart planned={planned} atHandKilograms={(bought ?? 0) * bag + chill.ownKilograms} />
      {bought !== undefined && chill.bags.value > bought && (
        <Notice>
          <b>
            {tanks.iceOutMinute === undefined
              ? "Not enough ice."
              : `The ice runs out at about ${time(tanks.iceOutMinute)}.`}
          </b>{" "}
          There {bought === 1 ? "is" : "are"} {plural(bought, "bag")} for this day, which needs{" "}
          {chill.bags.value}. Buy {plural(chill.bags.value - bought, "bag")} more, or freeze more jugs
          beforehand.
        </Notice>
      )}
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
        <li>
          In the tank a bird takes up about {show.value(chill.uptake.atLift, "fraction")} of its weight in
          water; after half an hour's draining about {show.value(chill.uptake.afterDrain, "fraction")} stays.
          Drain before you weigh, and follow your rules on water in what you sell.
        </li>
        {chill.refrigeratorHours > chill.quotedHours && (
          <li>
            Do not chill warm birds in a household refrigerator: these would take about{" "}
            {show.value(chill.refrigeratorHours, "hours")} there. Chill them in ice first.
          </li>
        )}
      </ul>
      <Rest room={restRoom(processedOn, birds, around)} birds={birds} />
      {chill.brine && <Brine brine={chill.brine} />}
      <p className="border-t border-rule pt-2 text-sm text-soft">
        Go by a probe in the thickest part of the breast, not the clock. The hours are commonly quoted for
        this weight; follow your local rules.
      </p>
    </Sheet>
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

const WIDTH = 640;
const HEIGHT = 190;
const LEFT = 64;
const RIGHT = 44;
const TOP = 22;
const BOTTOM = 26;

/** Ice melted so far as steps, what is at hand as a line, and birds in the tanks. */
function HourChart({
  planned: { plan, choices },
  atHandKilograms,
}: {
  planned: PlanForDate;
  atHandKilograms: number;
}) {
  const show = useShow();
  const id = useId();
  const { hours }: ChillByHour = plan.tanks;
  if (hours.length === 0) return null;
  const most = Math.max(plan.chill.ice.value, atHandKilograms) * 1.05;
  const x = scaleLinear([0, hours.length], [LEFT, WIDTH - RIGHT]);
  const y = scaleLinear([0, most], [HEIGHT - BOTTOM, TOP]);
  const perUnit = show.isUs ? MILLIGRAMS_PER_POUND / MILLIGRAMS_PER_KILOGRAM : 1;
  const ticks = scaleLinear([0, most / perUnit], [0, 1]).ticks(3);
  const yBirds = scaleLinear([0, choices.birds], [HEIGHT - BOTTOM, TOP]);
  const clock = (minute: number) => show.time(choices.startAt + minute * MINUTE);
  const words = hours
    .map(
      ({ fromMinute, meltedKilograms, birdsIn }) =>
        `by ${clock(fromMinute + 60)} ${show.value(meltedKilograms, "kg")} melted, ${plural(birdsIn, "bird")} in`,
    )
    .join("; ");
  const birdLine = hours.map(({ birdsIn }, index) => `${x(index + 1)},${yBirds(birdsIn)}`).join(" ");
  const coldLine = hours.map(({ coldBirds }, index) => `${x(index + 1)},${yBirds(coldBirds)}`).join(" ");
  const every = Math.ceil(hours.length / 8);
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-labelledby={id} className="block w-full">
      <title id={id}>{`Ice by the hour: ${words}`}</title>
      {hours.map(({ fromMinute, meltedKilograms }, index) => (
        <rect
          key={fromMinute}
          x={x(index) + 1.5}
          width={x(1) - x(0) - 3}
          y={y(meltedKilograms)}
          height={HEIGHT - BOTTOM - y(meltedKilograms)}
          className={
            atHandKilograms > 0 && meltedKilograms > atHandKilograms
              ? "fill-blush stroke-barn"
              : "fill-mist stroke-pine"
          }
        />
      ))}
      {ticks.map((tick) => (
        <text
          key={tick}
          x={LEFT - 6}
          y={y(tick * perUnit) + 4}
          textAnchor="end"
          className="fill-soft font-mono text-sm"
        >
          {tick} {show.weightUnit}
        </text>
      ))}
      {atHandKilograms > 0 && (
        <g>
          <line
            x1={LEFT}
            x2={WIDTH - RIGHT}
            y1={y(atHandKilograms)}
            y2={y(atHandKilograms)}
            className="stroke-ink stroke-2"
          />
          <text x={LEFT + 4} y={y(atHandKilograms) - 5} className="fill-ink text-sm font-semibold">
            on hand {show.value(atHandKilograms, "kg")}
          </text>
        </g>
      )}
      <polyline
        points={`${x(0)},${yBirds(0)} ${birdLine}`}
        className="fill-none stroke-dawn stroke-2"
        strokeDasharray="6 3"
      />
      <polyline
        points={`${x(0)},${yBirds(0)} ${coldLine}`}
        className="fill-none stroke-ink"
        strokeDasharray="2 3"
      />
      <text x={WIDTH - RIGHT + 4} y={yBirds(choices.birds) + 4} className="fill-soft text-sm">
        {choices.birds}
      </text>
      <text x={WIDTH - RIGHT} y={TOP - 8} textAnchor="end" className="fill-soft text-sm">
        bars: ice melted · dashes: birds in · dots: birds cold
      </text>
      <line x1={LEFT} x2={WIDTH - RIGHT} y1={HEIGHT - BOTTOM} y2={HEIGHT - BOTTOM} className="stroke-ink" />
      {hours
        .filter((_, index) => index % every === 0)
        .map(({ fromMinute }, index) => (
          <text
            key={fromMinute}
            x={x(index * every)}
            y={HEIGHT - 8}
            textAnchor="middle"
            className="fill-soft font-mono text-sm"
          >
            {clock(fromMinute)}
          </text>
        ))}
    </svg>
  );
}
