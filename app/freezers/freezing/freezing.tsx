import { Form } from "react-router";
import { FreezingLoads } from "#app/freezers/freezing/freezing-loads.tsx";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { freezersAtWork, packsToFreeze } from "#app/server/freezer/packs-to-freeze.server.ts";
import { Button, ButtonLink, EmptyPlace, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import { instantOf, localClock, localDayOf } from "#core/calendar/farm-time.ts";
import { freezeAdvice, freezePlan } from "#core/freezing/freeze-plan.ts";
import { freezeHours } from "#core/freezing/freeze-reckoning.ts";
import { PACK_START_CELSIUS } from "#core/freezing/freezing-constants.ts";
import type { Route } from "./+types/freezing.ts";

export const meta = () => [{ title: "Freezing · Pale Morning" }];

const MOST_NIGHTS = 4;
/** Freezers are filled in the evening, unless the farm says another hour. */
const USUAL_START = "18:00";

export function loader({ context, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const asked = new URL(request.url).searchParams;
  const isOneLayer = asked.get("layer") !== "stacked";
  const nights = Math.min(MOST_NIGHTS, Math.max(1, Number(asked.get("nights")) || 1));
  const all = freezersAtWork(here, isOneLayer);
  const chosen = asked.getAll("freezer").map(Number);
  const freezers = chosen.length > 0 ? all.filter(({ id }) => chosen.includes(id)) : all;
  const packs = packsToFreeze(here);
  const start = startTime(asked.get("at"), here.now(), farm.timeZone);
  const plan = freezePlan(packs, freezers, { startAt: start.at, nights, startCelsius: PACK_START_CELSIUS });
  return {
    nights,
    isOneLayer,
    clock: start.clock,
    startAt: start.at,
    all,
    freezers,
    packs: packs.length,
    kilograms: packs.reduce((sum, { kilograms }) => sum + kilograms, 0),
    plan,
    hours: plan.loads.flatMap(({ freezerId, night, packIds, load }) => {
      const reckoned = freezeHours(
        packs.filter(({ id }) => packIds.includes(id)),
        load,
        freezers.find(({ id }) => id === freezerId)!.said,
        PACK_START_CELSIUS,
      );
      return reckoned ? [{ freezerId, night, reckoned }] : [];
    }),
    advice: freezeAdvice(plan, packs, freezers, PACK_START_CELSIUS),
  };
}

/** Today at a clock time, or now if that has passed. */
function startTime(asked: string | null, now: number, timeZone: string) {
  const clock = asked && /^\d\d:\d\d$/.test(asked) ? asked : USUAL_START;
  const read = instantOf(localDayOf(now, timeZone), clock, timeZone);
  const at = read.exists ? Math.max(now, read.at) : now;
  return { at, clock: localClock(at, timeZone) };
}

export default function Freezing({ loaderData }: Route.ComponentProps) {
  const { all, packs, kilograms } = loaderData;
  const show = useShow();
  return (
    <Page isWide>
      <PageHead
        title="Freezing"
        line={packs > 0 ? `${plural(packs, "pack")} to freeze, ${show.bulk(kilograms * 1e6)}` : ""}
      />
      {all.length === 0 ? (
        <EmptyPlace
          heading="No freezer yet"
          action={<ButtonLink to="/freezers/place">Add a refrigerator or freezer</ButtonLink>}
        >
          <p>
            Add your freezers and this page says how many packs each can take in one night, by what hour they
            are hard, and what would help. A refrigerator that can freeze counts once it is set to freeze.
          </p>
        </EmptyPlace>
      ) : packs === 0 ? (
        <EmptyPlace
          heading="Nothing waits to be frozen"
          action={<ButtonLink to="/freezers">To the freezers</ButtonLink>}
        >
          <p>
            Packs that lie in a refrigerator, or of which nobody has said where they are, show here with the
            hour at which each night's load will be hard.
          </p>
        </EmptyPlace>
      ) : (
        <div className="grid items-start gap-5 lg:grid-cols-3">
          <FreezingLoads {...loaderData} />
          <Choices {...loaderData} />
        </div>
      )}
    </Page>
  );
}

type Loaded = Route.ComponentProps["loaderData"];

function Choices({ all, freezers, nights, isOneLayer, clock }: Loaded) {
  return (
    <Sheet heading="Choose" className="print:hidden">
      <Form className="grid gap-4 py-2">
        <fieldset>
          <legend className="pb-1 font-semibold">Freezers</legend>
          {all.map(({ id, name, room }) => (
            <label key={id} className="flex min-h-12 items-center gap-3">
              <input
                type="checkbox"
                name="freezer"
                value={id}
                defaultChecked={freezers.some((one) => one.id === id)}
                className="size-6 accent-pine"
              />
              {name}, room for {room}
            </label>
          ))}
        </fieldset>
        <label className="grid gap-1">
          <span className="font-semibold">Nights</span>
          <select name="nights" defaultValue={String(nights)} className="field-box">
            {Array.from({ length: MOST_NIGHTS }, (_, index) => (
              <option key={index} value={index + 1}>
                {index === 0 ? "all at once" : `${index + 1} nights`}
              </option>
            ))}
          </select>
        </label>
        <label className="grid gap-1">
          <span className="font-semibold">How they lie</span>
          <select name="layer" defaultValue={isOneLayer ? "layer" : "stacked"} className="field-box">
            <option value="layer">one layer, not touching</option>
            <option value="stacked">stacked</option>
          </select>
        </label>
        <label className="grid gap-1">
          <span className="font-semibold">In the freezer at</span>
          <input name="at" type="time" defaultValue={clock} className="field-box" />
        </label>
        <Button>Work it out</Button>
      </Form>
    </Sheet>
  );
}
