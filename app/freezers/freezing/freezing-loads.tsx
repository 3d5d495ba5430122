import { DataTable } from "#app/ui/data-table.tsx";
import { Figure } from "#app/ui/figure.tsx";
import { Notice, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { LIMIT_WORDS } from "#app/words/packing/place-words.ts";
import { plural, type Show } from "#app/words/show.ts";
import type { NightLoad } from "#core/freezing/freeze-plan.ts";
import type { Route } from "./+types/freezing.ts";

type Loaded = Route.ComponentProps["loaderData"];

/** What lies frozen already may warm by this much without a word, K. */
const SLIGHT_WARMING = 1;

/** What goes in where, night by night, and by what hour it is hard; then what would help. */
export function FreezingLoads({ plan, freezers, packs, startAt, nights, advice, hours }: Loaded) {
  const show = useShow();
  const nameOf = (id: number) => freezers.find((one) => one.id === id)?.name ?? "";
  return (
    <div className="grid gap-5 lg:col-span-2">
      <Notice tone={plan.hardAt === undefined ? "heed" : "plain"}>
        <p className="font-display text-xl">
          {plan.hardAt === undefined
            ? plan.leftOver.length > 0
              ? `There is no room for ${plan.leftOver.length} of ${plural(packs, "pack")}.`
              : "Some of these packs would never get hard."
            : `${plural(packs, "pack")} ${nights === 1 ? "at once" : `in ${nights} nights`}: all hard by ${show.dayTime(plan.hardAt)}.`}
        </p>
        {plan.leftOver.length > 0 && (
          <p className="pt-1">Choose another freezer, ask a neighbor for room, or take packs out first.</p>
        )}
      </Notice>
      <Loads {...{ plan, startAt, nights, hours, nameOf }} />
      <Sheet heading="What would help">
        <ul className="grid gap-2 py-1">
          {adviceInWords(plan.loads, nameOf, advice, nights, show).map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      </Sheet>
    </div>
  );
}

type LoadsProps = Pick<Loaded, "plan" | "startAt" | "nights" | "hours"> & { nameOf: (id: number) => string };

/** Each freezer's load of each night, and how its hours come about. */
function Loads({ plan, startAt, nights, hours, nameOf }: LoadsProps) {
  const show = useShow();
  return (
    <Sheet heading="Loads" beside={`first one in at ${show.dayTime(startAt)}`}>
      <DataTable
        className="text-base"
        caption="Loads of each night"
        columns={[
          {
            head: "Night",
            isOneLine: true,
            cell: ({ startAt: at }: NightLoad) => show.dateTime(at).replace(/,[^,]*$/, ""),
          },
          { head: "Freezer", cell: ({ freezerId }) => nameOf(freezerId) },
          { head: "Packs", isNumber: true, cell: ({ packIds }) => packIds.length },
          { head: "Weight", isNumber: true, cell: ({ load }) => show.bulk(load.kilograms * 1e6) },
          {
            head: "Hard by",
            isNumber: true,
            cell: ({ hardAt }) => (hardAt === undefined ? "never" : show.dayTime(hardAt)),
          },
          { head: "Because", isWideOnly: true, cell: ({ load }) => reasonOf(load) },
        ]}
        rows={plan.loads}
        keyOf={({ freezerId, night }) => `${freezerId} ${night}`}
      />
      {plan.loads
        .filter(({ beyondLayer }) => beyondLayer > 0)
        .map(({ freezerId, night, beyondLayer, packIds }) => (
          <p key={`${freezerId} ${night}`} className="py-1 font-semibold text-barn">
            Only {packIds.length - beyondLayer} of {plural(packIds.length, "pack")} fit in one layer of{" "}
            {nameOf(freezerId)}. The hour above counts them as stacked; spread them over more nights.
          </p>
        ))}
      <div className="grid gap-x-8 py-1 sm:grid-cols-2 print:hidden">
        {hours.map(({ freezerId, night, reckoned }) => (
          <Figure
            key={`${freezerId} ${night}`}
            size="small"
            label={`${nameOf(freezerId)}${nights > 1 ? `, night ${night + 1}` : ""}`}
            reckoning={reckoned}
          />
        ))}
      </div>
    </Sheet>
  );
}

function reasonOf(load: NightLoad["load"]): string {
  if (load.possible) return LIMIT_WORDS[load.limitedBy];
  return load.reason === "air-too-warm" ? "the air in it is not cold enough" : "it takes no heat away";
}

/** Advice as the sums have it: air helps where the meat limits, another freezer where the watts do. */
function adviceInWords(
  loads: readonly NightLoad[],
  nameOf: (id: number) => string,
  advice: Loaded["advice"],
  nights: number,
  show: Show,
): string[] {
  const lines: string[] = [];
  const hours = (value: number) => show.minutes(Math.round(value) * 60);
  if (advice?.slowest.load.possible) {
    const { slowest, oneLayerHours, movingAirHours, secondFreezerHours } = advice;
    const name = nameOf(slowest.freezerId);
    const now = hours(advice.slowest.load.hours);
    if (oneLayerHours !== undefined)
      lines.push(`In one layer, not touching, ${name} is done in ${hours(oneLayerHours)} instead of ${now}.`);
    if (movingAirHours !== undefined)
      lines.push(
        `With a fan that moves the air, ${name} is done in ${hours(movingAirHours)} instead of ${now}.`,
      );
    if (secondFreezerHours !== undefined)
      lines.push(
        `A second freezer like ${name} for half of the load makes it ${hours(secondFreezerHours)} instead of ${now}.`,
      );
    if (slowest.load.possible && slowest.load.limitedBy === "freezer")
      lines.push(
        nights === 1
          ? "Splitting it over more nights does not make the last pack hard sooner. It keeps each night's load cold by its own morning."
          : "Each night's load is cold by its own morning; the whole takes no less than the freezer needs for the heat.",
      );
  }
  for (const { freezerId, warmsBy, night } of loads)
    if (warmsBy > SLIGHT_WARMING)
      lines.push(
        `What lies frozen in ${nameOf(freezerId)} may warm by up to ${show.degrees(warmsBy)} on night ${night + 1}. Keep new packs away from it.`,
      );
  return lines.length > 0
    ? lines
    : ["Nothing: the packs themselves take this long in still air at that temperature."];
}
