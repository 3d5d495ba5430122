import { scaleLinear } from "d3-scale";
import { area, line as lineShape } from "d3-shape";
import { useId } from "react";
import { usePlan } from "#app/days/plan/plan-context.tsx";
import { Notice, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural, type Show } from "#app/words/show.ts";
import { SCALD_OPTIONS } from "#app/words/words.ts";
import type { BathOnDay, ColdestDip, DipPoint, Remedy } from "#core/day/plan/bath-on-day.ts";
import type { PlanForDate } from "#core/day/plan/plan-for-date.ts";
import { METHOD_BATH, SCALD_METHODS } from "#core/scald/scald-constants.ts";
import type { ScaldVerdict } from "#core/scald/scald-verdict.ts";

/** How hot and how long, whether the bath keeps up with the line, and what it takes. */
export function ScaldSheet() {
  const { planned, basis } = usePlan();
  const { scalder } = basis.means;
  const show = useShow();
  const { scald, bath, dips } = planned.plan;
  const { degrees } = show;
  const { energy, waterChanges } = bath;
  return (
    <Sheet
      heading="Scald"
      beside={`${show.temperature(scald.bath.value)} for ${show.value(scald.seconds.value, "seconds")}`}
    >
      <DipChart dips={dips} planned={planned} />
      <p className="text-sm">
        Each load takes {degrees(bath.sagKelvin)} off this bath
        {bath.recoveryMinutes === undefined
          ? " and never recovers with its lid off."
          : ` and recovers in ${show.minutes(bath.recoveryMinutes)}.`}{" "}
        In its fastest hour the line brings {show.value(bath.demandBirdsPerHour, "birds-per-hour")}; the bath
        can heat {show.value(bath.heldBirdsPerHour, "birds-per-hour")}. Lowest on a typical day:{" "}
        {degrees(bath.lowestBelow)} below its setting.
      </p>
      <p className="text-sm">{coldestWords(bath.coldest, scald.seconds.value, show)}</p>
      {bath.failsAtBird !== undefined && <CantKeepUp bath={bath} />}
      <ul className="pt-2 text-sm">
        {energy.totalKilowattHours !== undefined && (
          <li>
            {scalder.heat === "electric"
              ? `Power: ${show.decimal(energy.heatUpKilowattHours!, 1, 1)} kWh to heat, ${show.decimal(energy.workingKilowattHours, 1, 1)} kWh to hold.`
              : `Propane: ${show.value(energy.propaneKilograms!, "kg")}, to heat and to hold.`}
          </li>
        )}
        {waterChanges.count > 0 && (
          <li>
            Water changed {plural(waterChanges.count, "time")}: the scald stops for{" "}
            {show.minutes(waterChanges.minutes)} each
            {energy.heatUpKilowattHours !== undefined &&
              `, and ${show.decimal(energy.heatUpKilowattHours, 1, 1)} kWh of heat`}
            .
          </li>
        )}
      </ul>
      <p className="pt-2 text-sm text-soft">
        Go by the feather test: wing feathers slip out easily.{" "}
        {scalder.heat === "electric"
          ? "Never power an element that is not fully under water, and switch it off before draining. Use a heavy cord, a circuit of its own, and a ground-fault device installed by an electrician."
          : "Use gas burners outdoors only: carbon monoxide. Never leave a flame unattended."}{" "}
        Scalding water: keep children away.
      </p>
    </Sheet>
  );
}

const VERDICT_WORDS: Readonly<Record<ScaldVerdict, string>> = {
  good: "still plucks clean",
  under: "comes out under-scalded",
  over: "comes out over-scalded",
  "skin-damage": "has its skin cooked",
};

/** What the lowest water of the day means for the dip, and whether the yellow skin stays on. */
function coldestWords({ seconds, afterUsual, isCuticleLikelyKept }: ColdestDip, usual: number, show: Show) {
  const dip = (of: number) => show.value(of, "seconds");
  const there =
    seconds === undefined
      ? "There it never loosens the feathers."
      : `There the dip takes ${dip(seconds)}; taken out after ${dip(usual)}, a bird ${VERDICT_WORDS[afterUsual.verdict]}.`;
  const cuticle = isCuticleLikelyKept
    ? "The yellow outer skin likely stays on."
    : "The yellow outer skin comes off with the feathers.";
  return `${there} ${cuticle}`;
}

const WAY_WORDS: Readonly<Record<Remedy["what"], string>> = {
  "lid-between-birds": "Put the lid on between birds",
  "cooler-method": "Cooler and longer",
  "hot-top-up": "Top up with hot water instead of cold",
  "more-power": "More power",
};

function CantKeepUp({ bath }: { bath: BathOnDay }) {
  const show = useShow();
  return (
    <div className="pt-2">
      <Notice tone="stop">
        <b>The bath can't keep up: from bird {bath.failsAtBird} on, the water is too cool.</b> The line has to
        wait, or birds come out with feathers left. Options, cheapest first:
        <ul className="list-disc pl-5">
          {bath.remedies.map((way) => (
            <li key={way.what}>
              {WAY_WORDS[way.what]}
              {way.watts === undefined
                ? `: heats ${show.value(way.birdsPerHour, "birds-per-hour")}${way.isEnough ? ", enough" : ", not enough"}`
                : `: ${show.value(way.watts, "watts")} total, on a circuit rated for it`}
            </li>
          ))}
        </ul>
      </Notice>
    </div>
  );
}

const WIDTH = 640;
const HEIGHT = 200;
const LEFT = 56;
const BOTTOM = 26;
const MOST_SECONDS = 240;

/** Seconds against temperature for this kind: where feathers still hold, where they slip, and where the skin tears. */
function DipChart({ dips, planned }: { dips: readonly DipPoint[]; planned: PlanForDate }) {
  const show = useShow();
  const id = useId();
  const { scald } = planned.plan;
  const x = scaleLinear([50, scald.skinCeilingCelsius + 2], [LEFT, WIDTH]);
  const y = scaleLinear([0, MOST_SECONDS], [HEIGHT - BOTTOM, 6]).clamp(true);
  const good = area<DipPoint>(
    ({ celsius }) => x(celsius),
    ({ earliest }) => y(earliest),
    ({ latest }) => y(latest),
  );
  const best = lineShape<DipPoint>(
    ({ celsius }) => x(celsius),
    ({ seconds }) => y(seconds),
  );
  const ceiling = x(scald.skinCeilingCelsius);
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-labelledby={id} className="block w-full">
      <title id={id}>
        {`Seconds by temperature: at ${show.temperature(scald.bath.value)} from ${Math.round(scald.secondsRange[0])} to ${Math.round(scald.secondsRange[1])} seconds; skin tears after ${show.temperature(scald.skinCeilingCelsius)}`}
      </title>
      {SCALD_METHODS.map((method) => {
        const [from, to] = METHOD_BATH[method].band;
        return (
          <g key={method}>
            <rect
              x={x(from)}
              width={x(to) - x(from)}
              y={6}
              height={HEIGHT - BOTTOM - 6}
              className={method === planned.choices.scaldMethod ? "fill-wheat" : "fill-paper"}
            />
          </g>
        );
      })}
      <path d={good(dips) ?? ""} className="fill-mist" />
      {SCALD_METHODS.map((method) => (
        <text key={method} x={x(METHOD_BATH[method].band[0]) + 3} y={20} className="fill-ink text-xs">
          {SCALD_OPTIONS.find(({ value }) => value === method)!.label}
        </text>
      ))}
      <path d={best(dips) ?? ""} className="fill-none stroke-pine stroke-2" />
      <rect x={ceiling} width={WIDTH - ceiling} y={6} height={HEIGHT - BOTTOM - 6} className="fill-blush" />
      <text x={ceiling + 4} y={60} className="fill-barn text-xs font-semibold">
        skin
      </text>
      <text x={ceiling + 4} y={74} className="fill-barn text-xs font-semibold">
        tears
      </text>
      <text x={LEFT + 8} y={HEIGHT - BOTTOM - 10} className="fill-ink text-xs">
        feathers stay in
      </text>
      <circle cx={x(scald.bath.value)} cy={y(scald.seconds.value)} r={5} className="fill-dawn stroke-ink" />
      {[60, 120, 180, 240].map((seconds) => (
        <text
          key={seconds}
          x={LEFT - 6}
          y={y(seconds) + 4}
          textAnchor="end"
          className="fill-soft font-mono text-xs"
        >
          {seconds} s
        </text>
      ))}
      {x
        .ticks(6)
        .filter((celsius) => x(celsius) < WIDTH - 24)
        .map((celsius) => (
          <text
            key={celsius}
            x={x(celsius)}
            y={HEIGHT - 8}
            textAnchor="middle"
            className="fill-soft font-mono text-xs"
          >
            {show.temperature(celsius)}
          </text>
        ))}
    </svg>
  );
}
