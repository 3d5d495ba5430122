import { Form } from "react-router";
import { FromProbe } from "#app/ui/device/from-probe.tsx";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { Button, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural, type Show } from "#app/words/show.ts";
import type { Route } from "./+types/rest.ts";

type Loaded = Route.ComponentProps["loaderData"];
type Fact = Loaded["facts"][number];

interface RestFactsProps extends Loaded {
  refusal: { readonly problem: string; readonly entered: Readonly<Record<string, string>> } | undefined;
}

/** One tap says what was done; what needs a number or a place has a box beside it. */
export function RestFacts({ refusal, ...loaded }: RestFactsProps) {
  const { facts, head } = loaded;
  const show = useShow();
  return (
    <Sheet heading="What was done" className="print:hidden">
      <FactForm key={facts.length} {...loaded} refusal={refusal} />
      {facts.length === 0 && (
        <p className="text-soft">Nothing recorded yet. Shut dogs, cats, and wild animals out before night.</p>
      )}
      <ol>
        {facts.toReversed().map((fact) => (
          <li
            key={fact.entryId}
            className="flex items-baseline justify-between gap-3 border-b border-rule py-1"
          >
            <span>
              {show.dayTime(fact.at)}: {factInWords(fact, loaded, show)}
            </span>
            <RemoveButton entryId={fact.entryId} back={`/days/${head.dayId}/rest`} what={fact.kind} />
          </li>
        ))}
      </ol>
    </Sheet>
  );
}

function FactForm({ refusal, entryId, places, people, lots, devices }: RestFactsProps) {
  return (
    <Form method="post" className="grid gap-3 py-2">
      {refusal && (
        <p role="alert" className="rounded-sheet border-l-4 border-barn bg-blush px-4 py-2">
          {refusal.problem}
        </p>
      )}
      <input type="hidden" name="entryId" value={`${entryId}-rest`} />
      {lots.length > 1 && (
        <Choice
          name="lotId"
          label="Which birds"
          options={lots.map(({ id, batchName }) => [id, batchName])}
          none="all"
        />
      )}
      {people.length > 0 && (
        <Choice
          name="personId"
          label="Who"
          options={people.map(({ id, name }) => [id, name])}
          none="not said"
        />
      )}
      <div className="grid grid-cols-2 gap-3">
        {TAPS.map(([kind, label]) => (
          <Button key={kind} kind="plain" name="kind" value={kind} className="min-h-16">
            {label}
          </Button>
        ))}
      </div>
      <CountedFacts places={places} devices={devices} refusal={refusal} />
    </Form>
  );
}

/** What was done that needs a number or a place. */
function CountedFacts({ places, devices, refusal }: Pick<RestFactsProps, "places" | "devices" | "refusal">) {
  const show = useShow();
  return (
    <div className="grid grid-cols-2 items-end gap-3">
      <Box name="bags" typed={refusal?.entered.bags} label="Bags of ice" />
      <Button kind="plain" name="kind" value="ice" className="min-h-12">
        Ice added
      </Button>
      <FromProbe field="temperature" devices={devices} />
      <Box
        name="temperature"
        typed={refusal?.entered.temperature}
        label={`Temperature, ${show.temperatureUnit}`}
      />
      <Button kind="plain" name="kind" value="carcass-temperature" className="min-h-12">
        Of a bird
      </Button>
      <span className="text-sm text-soft">Deep in the breast, or in the refrigerator</span>
      <Button kind="plain" name="kind" value="place-temperature" className="min-h-12">
        Of the refrigerator
      </Button>
      <Box name="birds" typed={refusal?.entered.birds} label="Birds moved" />
      <Choice
        name="placeId"
        label="To"
        options={places.map(({ id, name }) => [id, name])}
        none="tank or tote"
      />
      <Box name="note" typed={refusal?.entered.note} label="Note" />
      <Button kind="plain" name="kind" value="moved" className="min-h-12">
        Moved
      </Button>
    </div>
  );
}

const TAPS = [
  ["drained", "Drained"],
  ["covered", "Covered"],
  ["brine-in", "Into the brine"],
  ["brine-out", "Out of the brine"],
  ["shut-in", "Animals shut out"],
] as const;

function factInWords(fact: Fact, { places, people, lots }: Loaded, show: Show): string {
  const named = (list: readonly { readonly id: number; readonly name: string }[], id: number | undefined) =>
    list.find((one) => one.id === id)?.name;
  const degrees = fact.millicelsius === undefined ? "" : show.temperature(fact.millicelsius / 1000);
  const what: Readonly<Record<Fact["kind"], string>> = {
    moved: `${fact.count === undefined ? "moved" : `${plural(fact.count, "bird")} moved`} to ${named(places, fact.placeId) ?? "a tank or tote"}`,
    ice: `${plural(fact.count ?? 1, "bag")} of ice added`,
    drained: "drained",
    covered: "covered",
    "brine-in": "into the brine",
    "brine-out": "out of the brine",
    "carcass-temperature": `a bird at ${degrees}`,
    "place-temperature": `the refrigerator at ${degrees}`,
    "shut-in": "animals shut out for the night",
  };
  const lot = lots.length > 1 ? lots.find(({ id }) => id === fact.lotId)?.batchName : undefined;
  const who = named(people, fact.personId);
  return [what[fact.kind], lot, fact.note || undefined, who && `by ${who}`].filter(Boolean).join(", ");
}

function Box({ name, label, typed }: { name: string; label: string; typed: string | undefined }) {
  return (
    <label className="grid gap-1 text-sm font-semibold">
      {label}
      <input
        name={name}
        defaultValue={typed}
        autoComplete="off"
        maxLength={200}
        className="field-box text-base font-normal"
      />
    </label>
  );
}

interface ChoiceProps {
  name: string;
  label: string;
  options: readonly (readonly [number, string])[];
  none: string;
}

function Choice({ name, label, options, none }: ChoiceProps) {
  return (
    <label className="grid gap-1 text-sm font-semibold">
      {label}
      <select name={name} className="field-box text-base font-normal">
        <option value="">{none}</option>
        {options.map(([id, text]) => (
          <option key={id} value={id}>
            {text}
          </option>
        ))}
      </select>
    </label>
  );
}
