import { sum } from "d3-array";
import { Link } from "react-router";
import { DayHead } from "#app/days/leaves.tsx";
import { PlanNav } from "#app/days/plan/plan-nav.tsx";
import { stockForDay } from "#app/days/plan/supplies/stock-for-day.server.ts";
import { planOf } from "#app/server/day/plan-of-day.server.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { supplySettings } from "#app/server/farm/farm-means.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { Figure } from "#app/ui/figure.tsx";
import { ButtonLink, Notice, Page, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { lotsInWords } from "#app/words/lot-words.ts";
import { plural } from "#app/words/show.ts";
import {
  SANITIZER_CAUTION,
  SUPPLY_WORDS,
  sanitizerInWords,
  supplyAmount,
  supplyUnit,
} from "#app/words/supply-words.ts";
import { birdsTooBig, dayNeeds, type Need, plannedUse } from "#core/day/supplies/day-needs.ts";
import type { Setting } from "#core/reckoning/setting.ts";
import type { Route } from "./+types/needs.ts";

export const meta = () => [{ title: "Day's supplies · Pale Morning" }];

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { farm, day, lots } = requireDay(here, params.dayId);
  const plannedDay = planOf(here, farm, day);
  const { supplies, daysBefore } = stockForDay(here, farm, day);
  const use = plannedUse(plannedDay, supplySettings(farm));
  return {
    day,
    line: lotsInWords(lots),
    needs: dayNeeds(use, supplies),
    tooBig: birdsTooBig(use, supplies),
    daysBefore,
    hypochloriteFraction: use.hypochloriteFraction,
  };
}

/** All that a day uses up, against the stock: what to buy and what it costs. */
export default function Needs({ loaderData }: Route.ComponentProps) {
  const { day, line, needs, tooBig, hypochloriteFraction } = loaderData;
  return (
    <Page isWide>
      <DayHead dayId={day.id} processedOn={day.processedOn} line={line} />
      <PlanNav dayId={day.id} />
      <div className="grid items-start gap-5 lg:grid-cols-3">
        <Sheet heading="Supplies for the day" beside="tap one to see the math" className="lg:col-span-2">
          <ul>
            {needs.map((need) => (
              <NeedRow key={`${need.kind}${need.supply?.id ?? ""}`} need={need} />
            ))}
          </ul>
        </Sheet>
        <div className="grid content-start gap-5">
          <ToBuy {...loaderData} />
          {tooBig > 0 && (
            <Notice>
              <b>{plural(tooBig, "bird")} may be too big for your largest bag.</b> Get larger bags, or cut
              them up.
            </Notice>
          )}
          <Sanitizer hypochloriteFraction={hypochloriteFraction} />
        </div>
      </div>
    </Page>
  );
}

type Loaded = Route.ComponentProps["loaderData"];

function ToBuy({ needs, daysBefore }: Pick<Loaded, "needs" | "daysBefore">) {
  const show = useShow();
  const toBuy = needs.filter(({ packs }) => packs > 0);
  const uncounted = needs.filter(({ short }) => short === undefined);
  return (
    <Sheet heading="To buy">
      {toBuy.length === 0 && <p>You have enough of everything that is counted.</p>}
      <ul>
        {toBuy.map((need) => (
          <BuyRow key={need.supply!.id} need={need} />
        ))}
      </ul>
      {toBuy.length > 0 && (
        <p className="flex justify-between py-2 font-semibold">
          <span>Total</span> <span className="font-mono">{show.money(sum(toBuy, ({ cents }) => cents))}</span>
        </p>
      )}
      {daysBefore > 0 && (
        <p className="pt-2 text-sm">
          What {plural(daysBefore, "scheduled day")} before this one {daysBefore === 1 ? "takes" : "take"} is
          subtracted from stock.
        </p>
      )}
      {uncounted.length > 0 && (
        <p className="pt-2 text-sm text-soft">
          Not counted, so not included: {uncounted.map(nameOf).join(", ").toLowerCase()}.
        </p>
      )}
      <ButtonLink kind="plain" to="/freezers/supplies" className="mt-3">
        Supplies
      </ButtonLink>
    </Sheet>
  );
}

function BuyRow({ need: { packs, supply, kind, cents } }: { need: Need }) {
  const show = useShow();
  const { name, packAmount } = supply!;
  return (
    <li className="flex items-baseline justify-between gap-3 border-b border-rule py-2">
      <span>
        <b className="font-mono">{packs}</b> {name}
        {packAmount > 1 && (
          <span className="block text-sm text-soft">
            {packs === 1 ? "a pack" : "packs"} of {supplyAmount(kind, packAmount, show)}
          </span>
        )}
      </span>
      <span className="font-mono">{show.money(cents)}</span>
    </li>
  );
}

/** The mix for tables and knives, and what never to mix it with. */
function Sanitizer({ hypochloriteFraction }: { hypochloriteFraction: Setting }) {
  const show = useShow();
  return (
    <Sheet heading="Sanitizing solution">
      <p className="font-semibold">{sanitizerInWords(hypochloriteFraction.value, show)}</p>
      {hypochloriteFraction.provenance === "our-estimate" && (
        <p className="pt-2 text-sm">
          Labels say 6 to 8.25 %. Read yours and{" "}
          <Link to="/farm#bleach" className="underline">
            enter it on the Farm page
          </Link>
          : the mix depends on it.
        </p>
      )}
      <p className="pt-2 text-sm">{SANITIZER_CAUTION}</p>
    </Sheet>
  );
}

const nameOf = ({ kind, supply }: Need) => supply?.name ?? SUPPLY_WORDS[kind].name;

function NeedRow({ need }: { need: Need }) {
  const show = useShow();
  const { supply, short } = need;
  const isCounted = need.working.unit === "count";
  const inWords = (amount: number) =>
    isCounted ? show.count(amount) : supplyAmount(need.kind, amount, show);
  return (
    <li className="grid items-center gap-x-4 border-b border-rule last:border-b-0 sm:grid-cols-2 [&>div]:border-b-0">
      <Figure label={nameOf(need)} reckoning={need.working} size="small">
        {isCounted && supplyUnit(need.kind, show)}
      </Figure>
      <p className="flex items-baseline justify-between gap-3 pb-2 sm:pb-0">
        {supply === undefined && (
          <>
            <span className="text-soft">not in stock</span>
            <Link
              to={`/freezers/supplies/new?kind=${need.kind}`}
              className="inline-flex min-h-12 items-center underline"
            >
              Keep count<span className="sr-only"> of {nameOf(need).toLowerCase()}</span>
            </Link>
          </>
        )}
        {supply !== undefined && (
          <>
            <span className={short ? "font-semibold text-barn" : "text-soft"}>
              {short === undefined
                ? "not counted"
                : short > 0
                  ? `${inWords(short)} short; you have ${inWords(supply.inStock!)}`
                  : `enough; you have ${inWords(supply.inStock!)}`}
            </span>
            <Link
              to={`/freezers/supplies/${supply.id}`}
              className="inline-flex min-h-12 shrink-0 items-center underline"
            >
              Update stock<span className="sr-only">: {nameOf(need)}</span>
            </Link>
          </>
        )}
      </p>
    </li>
  );
}
