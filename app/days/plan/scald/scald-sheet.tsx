import { usePlan } from "#app/days/plan/plan-context.tsx";
import { DipChart } from "#app/days/plan/scald/dip-chart.tsx";
import { FoldedSheet, Notice } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural, type Show } from "#app/words/show.ts";
import type { BathOfLot, ColdestDip, Remedy } from "#core/day/plan/bath-on-day.ts";
import type { LotPlan } from "#core/day/plan/day-plan.ts";
import type { ScaldPlan } from "#core/day/plan/scald-plan.ts";
import type { BathSetting } from "#core/scald/bath-setting.ts";
import type { ScaldVerdict } from "#core/scald/scald-verdict.ts";

/** How hot and how long, whether the bath keeps up with the line, and what it takes. */
export function ScaldSheet() {
  const { planned, basis } = usePlan();
  const { scalder } = basis.means;
  const show = useShow();
  const { lots, bath } = planned.plan;
  const { energy, waterChanges } = bath;
  return (
    <FoldedSheet
      id="scald"
      heading="Scald"
      beside={lots.map(({ scald }) => scaldWords(scald, show)).join("; then ")}
      isOpen={bath.lots.some(({ failsAtBird }) => failsAtBird !== undefined)}
    >
      {lots.map((lot, index) => (
        <LotScald key={lot.choices.batchId} lot={lot} bath={bath.lots[index]!} isOnly={lots.length === 1} />
      ))}
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
    </FoldedSheet>
  );
}

const scaldWords = ({ bath, seconds }: ScaldPlan, show: Show) =>
  `${show.temperature(bath.value)} for ${show.value(seconds.value, "seconds")}`;

/** One lot in the bath: how long, how the water sags, and how it came to this lot's setting. */
function LotScald({ lot, bath, isOnly }: { lot: LotPlan; bath: BathOfLot; isOnly: boolean }) {
  const show = useShow();
  const { degrees } = show;
  const { scald } = lot;
  return (
    <>
      {!isOnly && (
        <h3 className="pt-3 font-sans font-semibold">
          {lot.batchName}: {scaldWords(scald, show)}
        </h3>
      )}
      {bath.setting && <p className="text-sm">{settingWords(bath.setting, scald.bath.value, show)}</p>}
      <DipChart lot={lot} />
      <p className="text-sm">{bandWords(lot, show)}</p>
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
    </>
  );
}

/** What is done to the water between two lots, and how long the scald stands still for it. */
function settingWords({ how, seconds, swappedLiters }: BathSetting, celsius: number, show: Show): string {
  const minutes = show.minutes(Math.ceil(seconds / 60));
  return how === "heated"
    ? `Heat the bath to ${show.temperature(celsius)} for this lot. The scald stops for about ${minutes}.`
    : `Cool the bath to ${show.temperature(celsius)} for this lot: draw off ${show.volume(swappedLiters)} and fill up from the tap. The scald stops for about ${minutes}.`;
}

/** How long a dip may be, and what comes of one that is shorter or longer. Hot baths leave the least room. */
function bandWords({ scald: { secondsRange }, choices }: LotPlan, show: Show): string {
  const [from, to] = secondsRange.map(Math.round);
  const range = `From ${from} to ${show.value(to!, "seconds")} by our estimate: sooner, feathers hold; later, the skin tears in the plucker.`;
  return choices.scaldMethod === "hot"
    ? `${range} At this heat both can happen in one load, and farms that scald this hot differ: the feather test decides for each bird.`
    : range;
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

function CantKeepUp({ bath }: { bath: BathOfLot }) {
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
