import { type ReactNode, useId } from "react";
import { Form, useSubmit } from "react-router";
import { LATER_MINUTES } from "#app/days/run/change/change-form.ts";
import type { ChangeReading } from "#app/days/run/change/change-reading.server.ts";
import { useShow } from "#app/ui/use-show.tsx";
import { PLUCK_OPTIONS } from "#app/words/words.ts";

interface ChangeFieldsProps {
  reading: ChangeReading;
  dayId: number;
}

const KEY =
  "yard-card flex min-h-16 items-center gap-3 rounded-sheet px-4 text-lg has-checked:border-2 has-checked:border-[var(--yard-do)]";
const BOX = "size-6 shrink-0 accent-[var(--yard-do)]";

/** What can change. Each tick is calculated at once; without JavaScript, at the button. */
export function ChangeFields({ reading, dayId }: ChangeFieldsProps) {
  const submit = useSubmit();
  return (
    <Form
      method="get"
      action={`/days/${dayId}/run/change`}
      className="grid gap-4"
      onChange={({ currentTarget, target }) => {
        if ((target as unknown as HTMLInputElement).type !== "text")
          void submit(currentTarget, { replace: true, preventScrollReset: true });
      }}
    >
      <Crew reading={reading} />
      <Work reading={reading} />
      <button type="submit" className="yard-key yard-card rounded-sheet">
        Recalculate
      </button>
    </Form>
  );
}

const isTicked = ({ fields }: ChangeReading, name: string, value: string) =>
  [fields[name] ?? []].flat().includes(value);

/** Who is missing, and who comes instead. */
function Crew({ reading }: { reading: ChangeReading }) {
  const { faults, seats, others } = reading;
  return (
    <>
      <Group legend="Who is missing?" fault={faults.missing}>
        {seats.map((name, seat) => (
          <Tick key={name} reading={reading} name="missing" value={String(seat)} label={name} />
        ))}
      </Group>
      {others.length > 0 && (
        <Group legend="Who comes instead?">
          {others.map(({ id, name }) => (
            <Tick key={id} reading={reading} name="coming" value={String(id)} label={name} />
          ))}
        </Group>
      )}
    </>
  );
}

/** What is out, what the sky does, and how much there is. */
function Work({ reading }: { reading: ChangeReading }) {
  const { fields, faults, planned } = reading;
  const show = useShow();
  return (
    <>
      <Group legend="Plucker or scalder out?">
        {PLUCK_OPTIONS.map(({ value, label }) => (
          <label key={value} className={KEY}>
            <input
              type="radio"
              name="pluckBy"
              value={value}
              defaultChecked={fields.pluckBy === value}
              className={BOX}
            />
            {LABELS[value] ?? label}
          </label>
        ))}
      </Group>
      <Group legend="Rain, a borrowed plucker, water that is not hot?">
        <Tick reading={reading} name="isRaining" value="on" label="Working in the rain" />
        <label className="grid gap-1">
          <span className="yard-soft">Start later by</span>
          <select
            name="later"
            defaultValue={String(fields.later)}
            className="yard-card min-h-16 rounded-sheet px-4 text-lg"
          >
            {LATER_MINUTES.map((minutes) => (
              <option key={minutes} value={minutes}>
                {minutes === 0 ? "no later" : show.minutes(minutes)}
              </option>
            ))}
          </select>
        </label>
      </Group>
      <Group legend="Ice short, fewer birds?">
        <Typed name="iceBags" label="Bags of ice on hand" value={fields} fault={faults.iceBags} />
        <Typed name="birds" label={`Birds to process, of ${planned}`} value={fields} fault={faults.birds} />
      </Group>
    </>
  );
}

interface TickProps {
  reading: ChangeReading;
  name: string;
  value: string;
  label: string;
}

function Tick({ reading, name, value, label }: TickProps) {
  return (
    <label className={KEY}>
      <input
        type="checkbox"
        name={name}
        value={value}
        defaultChecked={isTicked(reading, name, value)}
        className={BOX}
      />
      {label}
    </label>
  );
}

const LABELS: Partial<Record<string, string>> = {
  drum: "Both work",
  hand: "Pluck by hand",
  skin: "Skin them: no scald",
};

function Group({
  legend,
  fault,
  children,
}: {
  legend: string;
  fault?: string | undefined;
  children: ReactNode;
}) {
  return (
    <fieldset className="grid gap-2">
      <legend className="pb-2 font-semibold">{legend}</legend>
      <div className="grid grid-cols-2 items-end gap-2">{children}</div>
      {fault && (
        <p role="alert" className="yard-stop px-3 py-1">
          {fault}
        </p>
      )}
    </fieldset>
  );
}

function Typed({
  name,
  label,
  value,
  fault,
}: {
  name: "iceBags" | "birds";
  label: string;
  value: ChangeReading["fields"];
  fault: string | undefined;
}) {
  const id = useId();
  const typed = String(value[name] ?? "");
  return (
    <div className="grid gap-1">
      <label htmlFor={id} className="yard-soft">
        {label}
      </label>
      <input
        id={id}
        key={typed}
        name={name}
        type="text"
        inputMode="numeric"
        autoComplete="off"
        maxLength={6}
        defaultValue={typed}
        aria-invalid={fault !== undefined}
        aria-describedby={fault && `${id}-fault`}
        onBlur={({ currentTarget }) => currentTarget.value !== typed && currentTarget.form?.requestSubmit()}
        className="yard-card min-h-16 min-w-0 rounded-sheet px-4 font-mono text-2xl"
      />
      {fault && (
        <p id={`${id}-fault`} role="alert" className="yard-stop px-2 py-1 text-sm">
          {fault}
        </p>
      )}
    </div>
  );
}
