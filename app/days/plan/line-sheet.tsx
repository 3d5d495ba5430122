import { Working } from "#app/ui/figure.tsx";
import { Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import type { DayPlan } from "#core/day/day-plan.ts";
import type { DayChoices, FarmMeans } from "#core/day/plan-input.ts";
import { LINE_STATIONS, type LineStation } from "#core/processing-line/slowest-station.ts";

/** A first estimate of the line: each station beside the others, the slowest marked. */
export function LineSheet({
  plan,
  choices,
  means,
}: {
  plan: DayPlan;
  choices: DayChoices;
  means: FarmMeans;
}) {
  const show = useShow();
  const { estimate, birdsPerHour } = plan.line;
  const names: Record<LineStation, { name: string; kit: string }> = {
    cones: { name: "Cones", kit: `${choices.cones} cones` },
    scald: {
      name: "Scald",
      kit: `${means.scalder.scaldAtOnce} at once, ${show.value(plan.scald.seconds.value, "seconds")}`,
    },
    bath: { name: "Bath heat", kit: show.value(means.scalder.powerWatts.value, "watts") },
    pluck: { name: "Pluck", kit: `${means.pluckAtOnce} at once` },
    gut: { name: "Gut table", kit: `${choices.tablePlaces} places` },
    hands: { name: "All hands", kit: `${choices.people} people` },
  };
  return (
    <Sheet heading="The line" beside="birds an hour; a first estimate, by its slowest station">
      <table className="w-full text-sm">
        <caption className="sr-only">What each station allows in an hour</caption>
        <tbody>
          {LINE_STATIONS.map((station) => {
            const isSlowest = station === estimate.slowest;
            const rate = estimate.birdsPerHour[station];
            return (
              <tr
                key={station}
                className={`border-b border-rule last:border-b-0 ${isSlowest ? "bg-wheat" : ""}`}
              >
                <th scope="row" className="py-1 pr-2 pl-2 text-left font-semibold">
                  {names[station].name}
                </th>
                <td className="pr-2 text-soft">{names[station].kit}</td>
                <td className="w-1/4 sm:w-1/3">
                  <svg
                    aria-hidden="true"
                    viewBox="0 0 100 8"
                    preserveAspectRatio="none"
                    className="h-2 w-full"
                  >
                    <rect width="100" height="8" className="fill-rule" />
                    <rect
                      width={(100 * estimate.slowestBirdsPerHour) / rate}
                      height="8"
                      className="fill-pine"
                    />
                  </svg>
                </td>
                <td className="py-1 pr-2 pl-3 text-right font-mono">
                  {rate > 999 ? "plenty" : show.count(rate)}
                </td>
                <td className="pr-2 text-right font-semibold sm:w-32">{isSlowest ? "holds the line" : ""}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <details className="figure pt-2">
        <summary className="min-h-8 text-sm text-soft underline">
          How busy each is at the line's pace, and how that comes about
        </summary>
        <div className="working mt-2 bg-paper p-3 text-sm">
          <Working reckoning={birdsPerHour} />
        </div>
      </details>
    </Sheet>
  );
}
