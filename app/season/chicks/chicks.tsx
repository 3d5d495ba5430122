import { sum } from "d3-array";
import { Form } from "react-router";
import { chicksForm, needsOf } from "#app/season/chicks/chicks-form.ts";
import { seasonFacts } from "#app/server/day/season-reading.server.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { AskBox } from "#app/ui/ask-box.tsx";
import { Button, ButtonLink, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import { KIND_WORDS } from "#app/words/words.ts";
import { type ChickOrder, type ChickPlan, chicksToOrder } from "#core/day/season/chicks-to-order.ts";
import { kilogramsFromMilligrams } from "#core/quantity/conversion.ts";
import { SEASON_DEFAULTS } from "#core/season/season-constants.ts";
import type { Route } from "./+types/chicks.ts";

export const meta = () => [{ title: "How many chicks? · Pale Morning" }];

export function loader({ context, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const asked = Object.fromEntries(new URL(request.url).searchParams);
  const { unitSystem } = farm;
  if (Object.keys(asked).length === 0)
    return { unitSystem, asked, faults: {}, plans: undefined, feedCentsPerKilogram: 0 };
  const facts = seasonFacts(here, farm);
  const read = chicksForm(unitSystem, facts.today).safeParse(asked);
  if (!read.success) {
    const faults = Object.fromEntries(
      read.error.issues.map(({ path, message }) => [path.join("."), message]),
    );
    return { unitSystem, asked, faults, plans: undefined, feedCentsPerKilogram: 0 };
  }
  const most = read.data.most === undefined ? undefined : kilogramsFromMilligrams(read.data.most);
  return {
    unitSystem,
    asked,
    faults: {},
    plans: chicksToOrder(facts, needsOf(read.data), most),
    // Of the batch that was begun last, where one says.
    feedCentsPerKilogram:
      facts.groups.at(-1)?.feedCentsPerKilogram.value ?? SEASON_DEFAULTS.feedCentsPerKilogram,
  };
}

export default function Chicks({
  loaderData: { asked, faults, plans, feedCentsPerKilogram },
}: Route.ComponentProps) {
  const box = (name: string) => ({
    name,
    defaultValue: (asked as Record<string, string>)[name],
    fault: (faults as Record<string, string>)[name],
  });
  const fault = (faults as Record<string, string>)[""];
  return (
    <Page>
      <PageHead title="How many chicks?" line="from what you need in the freezer back to the chick order" />
      <Sheet heading="Birds needed">
        <Form method="get" className="grid gap-4 py-2 sm:grid-cols-3" preventScrollReset>
          <AskBox {...box("weekly")} label="Birds per week, for a year" hint="For the household" />
          <AskBox {...box("gate")} label="Birds to sell" hint="At any time" />
          <AskBox {...box("most")} label="Maximum size" hint="Dressed weight" />
          <AskBox {...box("dated")} label="Birds by a date" hint="For a holiday or a wedding" />
          <AskBox {...box("by")} label="Needed by" type="date" />
          <div className="self-end">
            <Button className="w-full">Calculate</Button>
          </div>
          {fault && (
            <p role="alert" className="text-sm font-semibold text-barn">
              {fault}
            </p>
          )}
        </Form>
      </Sheet>
      {plans?.map((plan) => (
        <Kind key={plan.kind} plan={plan} feedCentsPerKilogram={feedCentsPerKilogram} />
      ))}
    </Page>
  );
}

function Kind({ plan, feedCentsPerKilogram }: { plan: ChickPlan; feedCentsPerKilogram: number }) {
  const show = useShow();
  const chicks = sum(plan.orders, (order) => order.chicks);
  const birds = sum(plan.orders, (order) => order.birds);
  const feedKilograms = birds * plan.feedKilogramsEach;
  return (
    <Sheet
      heading={`${plural(chicks, "chick")}, ${KIND_WORDS[plan.kind]}`}
      beside={`${plural(birds, "bird")} at ${(plan.ageDays / 7).toFixed(0)} weeks, about ${show.value(plan.dressedKilograms, "carcass-kg")} dressed`}
    >
      {plan.isAlwaysTooBig && (
        <p className="py-1 font-semibold">
          Even at the youngest age, {Math.round(plan.biggerShare * 100)} of 100 are over that size.
        </p>
      )}
      <p className="py-1 text-sm">
        They eat {show.value(feedKilograms, "kg")} of feed, about{" "}
        {show.money(Math.round(feedKilograms * feedCentsPerKilogram))}; chicks come on top. Losses are
        included.
        {plan.mostOfABatch !== undefined &&
          ` No batch is more than ${plan.mostOfABatch}, which is what your crew does in a day and your freezers hold.`}
      </p>
      <p className="pb-1 text-sm">
        Going by the kind alone, there are 8 chances in 10 that the mean is between{" "}
        {show.value(plan.dressedBand[0], "carcass-kg")} and {show.value(plan.dressedBand[1], "carcass-kg")}.
        Farms differ that much; weigh some of yours to narrow it.
      </p>
      <ul>
        {plan.orders.map((order) => (
          <OrderRow key={`${order.what}${order.hatchOn}`} order={order} kind={plan.kind} />
        ))}
      </ul>
    </Sheet>
  );
}

function OrderRow({ order, kind }: { order: ChickOrder; kind: string }) {
  const show = useShow();
  const query = new URLSearchParams({ kind, ordered: String(order.chicks), hatched: order.hatchOn });
  return (
    <li className="flex flex-wrap items-baseline justify-between gap-x-4 gap-y-2 border-t border-rule py-2">
      <span>
        <span className="font-semibold">
          {plural(order.chicks, "chick")} to hatch {show.shortDay(order.hatchOn)} {order.hatchOn.slice(0, 4)}
        </span>
        <span className="block text-sm">
          {order.isTooLate
            ? "should be ordered already; call now"
            : `order by ${show.shortDay(order.orderOn)}`}
          , processing on {show.shortDay(order.processOn)}; {plural(order.birds, "bird")}{" "}
          {order.by === undefined ? order.what : `by ${show.shortDay(order.by)}`}
        </span>
        {order.coldCelsius !== undefined && (
          <span className="block text-sm font-semibold">
            A winter hatch: highs of about {show.temperature(order.coldCelsius)} while they need the brooder.
            Plan for more heat and a power cut, and ask whether the hatchery ships then.
          </span>
        )}
        {order.coldOnDayCelsius !== undefined && (
          <span className="block text-sm font-semibold">
            A cold day to process: a high of about {show.temperature(order.coldOnDayCelsius)}. Hoses freeze
            and wet hands go numb; work under a roof, or order earlier next year.
          </span>
        )}
      </span>
      <ButtonLink kind="plain" to={`/batches/new?${query}`}>
        Add this order
      </ButtonLink>
    </li>
  );
}
