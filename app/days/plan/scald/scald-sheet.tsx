import { usePlan } from "#app/days/plan/plan-context.tsx";
import { DipChart } from "#app/days/plan/scald/dip-chart.tsx";
import { Notice, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural, type Show } from "#app/words/show.ts";
import type { BathOnDay, ColdestDip, Remedy } from "#core/day/plan/bath-on-day.ts";
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
  "skin-damage": "comes out with cooked skin",
};

/** What the lowest water of the day means for the dip, and whether the yellow skin stays on. */
function coldestWords({ seconds, afterUsual, isCuticleLikelyKept }: ColdestDip, usual: number, show: Show) {
  const dip = (of: number) => show.value(of, "seconds");
  const there =
    seconds === undefined
      ? "At that temperature the feathers never loosen."
      : `At that temperature the dip takes ${dip(seconds)}; a bird taken out after ${dip(usual)} ${VERDICT_WORDS[afterUsual.verdict]}.`;
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
