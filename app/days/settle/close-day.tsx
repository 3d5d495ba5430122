import type { FieldMetadata } from "@conform-to/react";
import { Form, Link } from "react-router";
import { liveField, settleForm, usedField } from "#app/days/settle/settle-form.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { TextField, TickField } from "#app/ui/field.tsx";
import { Button, Notice, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { numbersInWords } from "#app/words/lot-words.ts";
import type { Show } from "#app/words/show.ts";
import { supplyAmount, supplyTyped } from "#app/words/supply-words.ts";
import type { Route } from "./+types/settle.ts";

type Loaded = Route.ComponentProps["loaderData"];

/** Settles the day; once it is settled, opens it again. */
export function Close(props: Loaded & { refusal: Route.ComponentProps["actionData"] }) {
  const { day, lots, unitSystem, entryId, loggedMinutes, likelyUse, before, refusal } = props;
  const show = useShow();
  if (day.settledEntryId) return <Settled dayId={day.id} />;
  const supplies = likelyUse.map(({ supply }) => supply);
  const typed = likelyUse.map(({ supply, amount }) => [
    usedField(supply.id),
    supplyTyped(supply.kind, amount, show),
  ]);
  const hours = show.value(loggedMinutes.value, "minutes");
  const from = loggedMinutes.inputs[1]?.provenance === "measured" ? "the day's log" : "the plan";
  return (
    <Sheet heading="Settle the day">
      <FarmForm
        schema={settleForm(unitSystem, supplies, lots.length)}
        refusal={refusal}
        entryId={entryId}
        defaults={{ ...Object.fromEntries(typed), ...typedBefore(props, show) }}
        submit="Settle this day"
      >
        {(fields) => (
          <>
            <div className="grid gap-4 sm:grid-cols-2">
              <TextField
                field={fields.workHours}
                label="Hours worked on the day, all people"
                hint={`Leave blank to use ${hours}, from ${from}`}
                unit="h"
                inputMode="decimal"
              />
              {!day.packsSameDay && (
                <TextField
                  field={fields.packingHours}
                  label="Hours on the days after, all people"
                  hint="Cutting, packing, and freezing. Filled in with our estimate; correct it, or leave it blank to count none"
                  unit="h"
                  inputMode="decimal"
                />
              )}
              {lots.map(({ lotId, batch, live }, lot) => (
                <TextField
                  key={lotId}
                  field={fieldNamed(fields, liveField(lot))}
                  label={`Mean live weight ${lots.length > 1 ? `of ${batch.name} ` : ""}that morning, if weighed`}
                  hint={`Leave blank to use ${show.value(live.value, "live-kg")}, the expected weight`}
                  inputMode="decimal"
                />
              ))}
            </div>
            <UsedFromStock likelyUse={likelyUse} fieldOf={fieldOf(fields)} />
            {before && <BeforeSettling before={before} dayId={day.id} field={fields.isSure} />}
          </>
        )}
      </FarmForm>
    </Sheet>
  );
}

/** What is asked before the day is settled: birds that were not weighed, and feed that was not counted. */
function BeforeSettling({
  before: { unweighed, uncounted },
  dayId,
  field,
}: {
  before: NonNullable<Loaded["before"]>;
  dayId: number;
  field: FieldMetadata<string>;
}) {
  const show = useShow();
  if (unweighed.length + uncounted.length === 0) return null;
  return (
    <Notice>
      <div className="grid gap-2">
        {unweighed.length > 0 && (
          <p>
            <b>
              {unweighed.length === 1
                ? `Bird ${unweighed[0]} is not weighed.`
                : `Birds ${numbersInWords(unweighed)} are not weighed.`}
            </b>{" "}
            Each one left out makes the others cost more.{" "}
            <Link to={`/days/${dayId}/pack`} className="underline">
              Weigh {unweighed.length === 1 ? "it" : "them"}
            </Link>
          </p>
        )}
        {uncounted.map(({ batchId, batchName, boughtOn, countedOn }) => (
          <p key={batchId}>
            <b>
              Feed was bought for {batchName} on {show.shortDay(boughtOn)}
              {countedOn === undefined
                ? ", and what is left was never counted."
                : `, after the last count on ${show.shortDay(countedOn)}.`}
            </b>{" "}
            All of it would count as eaten.{" "}
            <Link to={`/batches/${batchId}/feed-left`} className="underline">
              Count what is left
            </Link>
          </p>
        ))}
        <TickField field={field} label="Settle as it stands" />
      </div>
    </Notice>
  );
}

/** What was typed when the day was settled before it was opened again. */
function typedBefore(
  { lots, likelyUse, lastTyped, laterMinutes }: Loaded,
  show: Show,
): Record<string, string> {
  if (!lastTyped) return { packingHours: show.decimal(laterMinutes / 60, 1) };
  const { workMinutes, packingMinutes, live, used } = lastTyped;
  const weighed = lots.flatMap(({ lotId }, index) => {
    const mean = live.find((lot) => lot.lotId === lotId)?.liveMeanMilligrams;
    return mean === undefined ? [] : [[liveField(index), show.exactBird(mean)]];
  });
  const taken = likelyUse.flatMap(({ supply }) => {
    const amount = used.find(({ supplyId }) => supplyId === supply.id)?.amount;
    return amount === undefined ? [] : [[usedField(supply.id), supplyTyped(supply.kind, amount, show)]];
  });
  return Object.fromEntries([
    ...(workMinutes === undefined ? [] : [["workHours", show.decimal(workMinutes / 60, 4)]]),
    ...(packingMinutes === undefined ? [] : [["packingHours", show.decimal(packingMinutes / 60, 4)]]),
    ...weighed,
    ...taken,
  ]);
}

function Settled({ dayId }: { dayId: number }) {
  return (
    <Sheet heading="Settled">
      <p className="pb-3">This day is settled and locked. Reopen it to correct something.</p>
      <Form method="post" action={`/days/${dayId}/settle/reopen`}>
        <Button kind="plain">Reopen this day</Button>
      </Form>
    </Sheet>
  );
}

/** Fields of lots and supplies are named by their number, which the form's type does not know. */
const fieldNamed = (fields: unknown, name: string) =>
  (fields as Readonly<Record<string, FieldMetadata<string>>>)[name]!;
const fieldOf = (fields: unknown) => (supplyId: number) => fieldNamed(fields, usedField(supplyId));

interface UsedFromStockProps extends Pick<Loaded, "likelyUse"> {
  fieldOf: (supplyId: number) => FieldMetadata<string>;
}

function UsedFromStock({ likelyUse, fieldOf }: UsedFromStockProps) {
  const show = useShow();
  if (likelyUse.length === 0) return null;
  return (
    <fieldset className="grid gap-3">
      <legend className="pb-2 font-display text-lg">Used from stock</legend>
      <p className="text-sm text-soft">
        Estimated from the birds packed and hours worked. Correct what you know; reopening the day puts it all
        back.
      </p>
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
        {likelyUse.map(({ supply }) => (
          <TextField
            key={supply.id}
            field={fieldOf(supply.id)}
            label={supply.name}
            hint={`of ${supplyAmount(supply.kind, supply.inStock!, show)}`}
            inputMode="text"
          />
        ))}
      </div>
    </fieldset>
  );
}
