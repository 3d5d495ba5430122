import { Form } from "react-router";
import { DayHead } from "#app/days/leaves.tsx";
import { isSent, lotField } from "#app/days/plan/choices/day-form.ts";
import { daySetting } from "#app/days/plan/choices/day-setting.server.ts";
import { compareRows } from "#app/days/plan/compare/compare-rows.ts";
import { sideOf } from "#app/days/plan/compare/compare-side.server.ts";
import { readAlternative } from "#app/days/plan/compare/read-compare.server.ts";
import { PlanNav } from "#app/days/plan/plan-nav.tsx";
import { basisOfDay } from "#app/server/day/plan-of-day.server.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { mapWithPool } from "#app/server/pooled/pooled.server.ts";
import { newEntryId } from "#app/server/submitted.server.ts";
import { AskBox } from "#app/ui/ask-box.tsx";
import { type Column, DataTable } from "#app/ui/data-table.tsx";
import { Button, Page, Sheet } from "#app/ui/sheet.tsx";
import { lotsInWords } from "#app/words/lot-words.ts";
import { plural, showFor } from "#app/words/show.ts";
import type { Route } from "./+types/compare.ts";

export const meta = () => [{ title: "Compare · Pale Morning" }];

export function loader({ context, params, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { farm, day, lots } = requireDay(here, params.dayId);
  const batches = lots.map(({ batch }) => batch);
  const setting = daySetting(here, farm, batches, { dayId: day.id, timeZone: day.timeZone });
  const basis = basisOfDay(here, farm, day);
  const beside = readAlternative(day, new URL(request.url).searchParams, setting, basis.helpers);
  const [current, other] = mapWithPool([day, beside.choices ?? day], (choices) =>
    sideOf(here, farm, basis, day.id, choices),
  );
  return {
    day,
    line: lotsInWords(lots),
    lotNames: lots.map(({ batchName }) => batchName),
    beside: { fields: beside.fields, who: beside.who, helpers: beside.helpers, faults: beside.faults },
    isRead: beside.choices !== undefined,
    people: basis.helpers.map(({ id, name }) => ({ id, name })),
    rows: compareRows(current!, other!, showFor(farm)),
    entryId: newEntryId(),
  };
}

/** Two plans of one day side by side: this crew or that, Saturday or Sunday; the other can be kept. */
export default function Compare({ loaderData }: Route.ComponentProps) {
  const { day, line, lotNames, beside, isRead, people, rows, entryId } = loaderData;
  const differ = rows.filter(({ differs }) => differs).length;
  return (
    <Page isWide>
      <DayHead dayId={day.id} processedOn={day.processedOn} line={line} />
      <PlanNav dayId={day.id} />
      <div className="grid items-start gap-5 lg:grid-cols-3">
        <Sheet heading="What if?">
          <Choices
            key={JSON.stringify(beside.fields)}
            lotNames={lotNames}
            beside={beside}
            people={people}
            dayId={day.id}
          />
        </Sheet>
        <Sheet
          heading="Differences"
          beside={differ === 0 ? "no differences yet" : plural(differ, "difference", "differences")}
          className="lg:col-span-2"
        >
          <DataTable
            caption="The current plan and the alternative"
            columns={COLUMNS}
            rows={rows}
            keyOf={({ name }) => name}
            isMarked={({ differs }) => differs}
            className="table-fixed"
          />
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
  { name: "coneCount", label: "Cones", type: "text" },
  { name: "tablePlaceCount", label: "Evisceration table places", type: "text" },
] as const;

/** The fields of the lots, and after them those of the day. */
const fieldsFor = (lotNames: readonly string[]) => [
  ...FIELDS.slice(0, 2),
  ...lotNames.flatMap((name, lot) => {
    const of = lotNames.length > 1 ? `: ${name}` : "";
    return [
      { name: lotField(lot, "birdCount"), label: `Birds${of}`, type: "text" },
      { name: lotField(lot, "cutUpCount"), label: `Birds to cut up${of}`, type: "text" },
    ] as const;
  }),
  ...FIELDS.slice(2),
];

type Row = Loaded["rows"][number];

const COLUMNS: readonly Column<Row>[] = [
  { head: "What", isHeadHidden: true, cell: ({ name }) => <span className="text-sm text-soft">{name}</span> },
  { head: "Current plan", cell: ({ one }) => <span className="font-normal">{one}</span> },
  {
    head: "Alternative",
    cell: ({ other, differs }) => (differs ? other : <span className="text-soft">same</span>),
  },
];

function Choices({
  beside,
  people,
  lotNames,
  dayId,
}: Pick<Loaded, "beside" | "people" | "lotNames"> & { dayId: number }) {
  const { fields, who, helpers, faults } = beside;
  return (
    <Form method="get" action={`/days/${dayId}/compare`} className="grid gap-4">
      <div className="grid grid-cols-2 gap-3">
        {fieldsFor(lotNames).map(({ name, label, type }) => (
          <div key={name} className={type === "text" ? "" : "col-span-2"}>
            <AskBox
              name={name}
              label={label}
              type={type}
              inputMode={type === "text" ? "numeric" : undefined}
              defaultValue={fields[name]}
              fault={faults[name]}
            />
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
        <AskBox
          name="helpers"
          label="Unnamed helpers"
          inputMode="numeric"
          defaultValue={helpers}
          fault={faults.helpers ?? faults.peopleCount ?? faults.crew}
        />
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
