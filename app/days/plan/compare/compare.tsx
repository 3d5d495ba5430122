import { Form } from "react-router";
import { DayHead } from "#app/days/leaves.tsx";
import { isSent } from "#app/days/plan/choices/day-form.ts";
import { compareRows } from "#app/days/plan/compare/compare-rows.ts";
import { sideOf } from "#app/days/plan/compare/compare-side.server.ts";
import { readAlternative } from "#app/days/plan/compare/read-compare.server.ts";
import { PlanNav } from "#app/days/plan/plan-nav.tsx";
import { farmContext } from "#app/server/farm-context.server.ts";
import { planBasis } from "#app/server/plan-of-day.server.ts";
import { requireDay } from "#app/server/required.server.ts";
import { newEntryId } from "#app/server/submitted.server.ts";
import { Button, Page, Sheet } from "#app/ui/sheet.tsx";
import { plural, showFor } from "#app/words/show.ts";
import type { Route } from "./+types/compare.ts";

export const meta = () => [{ title: "Compare · Pale Morning" }];

export function loader({ context, params, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { farm, day, batch } = requireDay(here, params.dayId);
  const setting = {
    timeZone: day.timeZone,
    hatchedOn: batch.hatchedOn,
    freeCount: here.file.freeForDay(batch.id, day.id),
  };
  const basis = planBasis(here, farm, batch, day.id);
  const beside = readAlternative(day, new URL(request.url).searchParams, setting, basis.helpers);
  const current = sideOf(here, farm, basis, day.id, day);
  const other = beside.choices ? sideOf(here, farm, basis, day.id, beside.choices) : current;
  return {
    day,
    line: `${plural(day.birds, "bird")} of ${batch.name}`,
    beside: { fields: beside.fields, who: beside.who, helpers: beside.helpers, faults: beside.faults },
    isRead: beside.choices !== undefined,
    people: basis.helpers.map(({ id, name }) => ({ id, name })),
    rows: compareRows(current, other, showFor(farm)),
    entryId: newEntryId(),
  };
}

/** Two plans of one day side by side: this crew or that, Saturday or Sunday; the other can be kept. */
export default function Compare({ loaderData }: Route.ComponentProps) {
  const { day, line, beside, isRead, people, rows, entryId } = loaderData;
  const differ = rows.filter(({ differs }) => differs).length;
  return (
    <Page isWide>
      <DayHead dayId={day.id} processedOn={day.processedOn} line={line} />
      <PlanNav dayId={day.id} />
      <div className="grid items-start gap-5 lg:grid-cols-3">
        <Sheet heading="What if?">
          <Choices key={JSON.stringify(beside.fields)} beside={beside} people={people} dayId={day.id} />
        </Sheet>
        <Sheet
          heading="Differences"
          beside={differ === 0 ? "no differences yet" : plural(differ, "difference", "differences")}
          className="lg:col-span-2"
        >
          <table className="w-full table-fixed">
            <thead>
              <tr className="border-b border-ink text-left">
                <td className="w-1/4" />
                <th scope="col" className="py-1 pr-3">
                  Current plan
                </th>
                <th scope="col">Alternative</th>
              </tr>
            </thead>
            <tbody>
              {rows.map(({ name, one, other, differs }) => (
                <tr
                  key={name}
                  className={`border-b border-rule align-baseline last:border-b-0 ${differs ? "bg-wheat" : ""}`}
                >
                  <th scope="row" className="py-1.5 pr-3 text-left text-sm font-normal text-soft">
                    {name}
                  </th>
                  <td className="pr-3">{one}</td>
                  <td className={differs ? "font-semibold" : "text-soft"}>{differs ? other : "same"}</td>
                </tr>
              ))}
            </tbody>
          </table>
          {isRead && differ > 0 && !day.settledEntryId && (
            <Form method="post" action={`/days/${day.id}/plan?seen=${day.revision}`} className="py-3">
              <input type="hidden" name="entryId" value={entryId} />
              {Object.entries(beside.fields)
                .filter(isSent)
                .map(([name, value]) => (
                  <input key={name} type="hidden" name={name} value={value} />
                ))}
              <Button>Save alternative as the plan</Button>
            </Form>
          )}
          <p className="py-2 text-sm text-soft">
            Both plans are simulated with the same random variation, so any difference comes from the plan.
          </p>
        </Sheet>
      </div>
    </Page>
  );
}

type Loaded = Route.ComponentProps["loaderData"];

const FIELDS = [
  { name: "processedOn", label: "Date", type: "date" },
  { name: "startTime", label: "First bird", type: "time" },
  { name: "birdCount", label: "Birds", type: "text" },
  { name: "cutUpCount", label: "Birds to cut up", type: "text" },
  { name: "coneCount", label: "Cones", type: "text" },
  { name: "tablePlaceCount", label: "Evisceration table places", type: "text" },
] as const;

const BOX =
  "min-h-12 w-full rounded-sheet border border-soft bg-white px-3 aria-invalid:border-2 aria-invalid:border-barn";

function Choices({ beside, people, dayId }: Pick<Loaded, "beside" | "people"> & { dayId: number }) {
  const { fields, who, helpers, faults } = beside;
  const whoFault = faults.helpers ?? faults.peopleCount ?? faults.crew;
  const here = `/days/${dayId}/compare`;
  return (
    <Form method="get" action={here} className="grid gap-4">
      <div className="grid grid-cols-2 gap-3">
        {FIELDS.map(({ name, label, type }) => (
          <div
            key={name}
            className={`grid min-w-0 content-start gap-1 ${type === "text" ? "" : "col-span-2"}`}
          >
            <label htmlFor={name} className="text-sm font-semibold">
              {label}
            </label>
            <input
              id={name}
              name={name}
              type={type}
              inputMode={type === "text" ? "numeric" : undefined}
              defaultValue={fields[name]}
              aria-invalid={faults[name] !== undefined}
              aria-describedby={faults[name] ? `${name}-fault` : undefined}
              className={BOX}
            />
            {faults[name] && (
              <span id={`${name}-fault`} className="text-sm font-semibold text-barn">
                {faults[name]}
              </span>
            )}
          </div>
        ))}
      </div>
      <fieldset className="grid gap-1">
        <legend className="pb-1 text-sm font-semibold">Who is coming?</legend>
        {people.map(({ id, name }) => (
          <label key={id} className="flex min-h-12 items-center gap-3">
            <input
              type="checkbox"
              name="who"
              value={id}
              defaultChecked={who.includes(id)}
              className="size-5 accent-pine"
            />
            {name}
          </label>
        ))}
        <label htmlFor="helpers" className="pt-1 text-sm font-semibold">
          Unnamed helpers
        </label>
        <input
          id="helpers"
          name="helpers"
          inputMode="numeric"
          defaultValue={helpers}
          aria-invalid={whoFault !== undefined}
          aria-describedby={whoFault ? "helpers-fault" : undefined}
          className={BOX}
        />
        {whoFault && (
          <span id="helpers-fault" className="text-sm font-semibold text-barn">
            {whoFault}
          </span>
        )}
      </fieldset>
      <Button>Compare</Button>
      <div className="grid grid-cols-2 gap-3">
        <Button kind="plain" name="shift" value="-1">
          The day before
        </Button>
        <Button kind="plain" name="shift" value="1">
          The day after
        </Button>
      </div>
    </Form>
  );
}
