import type { FieldMetadata } from "@conform-to/react";
import { useId, useState } from "react";
import { Form } from "react-router";
import { DotPlot } from "#app/days/pack/dot-plot.tsx";
import { packForm } from "#app/days/pack/pack-form.ts";
import { placeOptions } from "#app/days/pack/place-options.ts";
import { PURPOSES } from "#app/days/pack/purposes.ts";
import { dressedWeights, tallySentence } from "#app/days/pack/weights-in-words.ts";
import { FromScale } from "#app/ui/device/from-scale.tsx";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { ChoiceField, SelectField, TextField, TickField } from "#app/ui/field.tsx";
import { useHotkeys } from "#app/ui/keys/use-hotkeys.ts";
import { Button, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import type { CarcassUse } from "#core/packing/pack-tally.ts";
import { kilogramsFromMilligrams } from "#core/quantity/conversion.ts";
import type { Carcass } from "#db/pack/pack-row.server.ts";
import type { Route } from "./+types/pack.ts";

type Loaded = Route.ComponentProps["loaderData"];

interface WeighOneProps {
  refusal: Route.ComponentProps["actionData"];
  last: Carcass | undefined;
}

const REASON_HINT = "Yellow fluid, sores, smell";
const WEIGHT_HINT = {
  us: "For example: 4 9.2, 4.9.2, 4lb9.2oz, 4-9 1/4, 4.58, 2080g",
  metric: "For example: 2.08, 2,08 kg, 2080g, 4 9.2",
} as const;

/** The form for the next bird: what was understood, large, and what it is for. */
export function WeighOne(props: Loaded & WeighOneProps) {
  const { unitSystem, next, lots, nextLotId, places, entryId, refusal, last, day, devices } = props;
  const show = useShow();
  const nextLot = lots.find(({ id }) => id === nextLotId)?.batchName;
  const [understood, setUnderstood] = useState<number>();
  const removalId = useId();
  const hint = WEIGHT_HINT[unitSystem];
  const lastWeight =
    last?.weightMilligrams === undefined ? "not weighed" : show.exactBird(last.weightMilligrams);
  return (
    <Sheet
      className="for-gloves"
      heading={lots.length > 1 ? `Bird ${next}, ${nextLot}` : `Bird ${next}`}
      beside={last ? `last: bird ${last.birdNumber}, ${lastWeight}` : "first bird"}
    >
      <FarmForm
        schema={packForm(unitSystem)}
        refusal={refusal}
        entryId={entryId}
        defaults={defaultsOf(props)}
        submit="Save weight"
        isRepeated
        beside={
          last && (
            <Button kind="plain" form={removalId} className="min-h-16">
              Undo last bird
            </Button>
          )
        }
        onRead={(value) => setUnderstood(value?.weightMilligrams ?? undefined)}
        after={({ birdNumber, lotId, placeId, printsLabel }) => (
          <NumberAndPlace
            printsLabel={props.hasPrinter ? printsLabel : undefined}
            birdNumber={birdNumber}
            lotId={lotId}
            placeId={placeId}
            lots={lots}
            places={places}
          />
        )}
      >
        {(fields) => (
          <>
            <Understood milligrams={understood} {...props} />
            <TextField field={fields.weight} label="Weight" hint={hint} inputMode="decimal" autoFocus />
            <FromScale field={fields.weight.name} devices={devices} isAutomatic />
            <ChoiceField field={fields.purpose} label="Use" hint={purposeHint(last)} options={PURPOSES} />
            <div className="only-condemned">
              <TextField field={fields.reason} label="Reason, if condemned" hint={REASON_HINT} />
            </div>
          </>
        )}
      </FarmForm>
      {last && <UndoForm id={removalId} dayId={day.id} entryId={last.entryId} />}
    </Sheet>
  );
}

/** Says that a use stays for the next bird, by its name where it is not the usual one: it is easily overlooked. */
function purposeHint(last: Carcass | undefined): string {
  const kept = PURPOSES.find(({ value }) => value === last?.purpose);
  return kept && kept.value !== "sale" && kept.value !== "condemned"
    ? `Still “${kept.label}”, like bird ${last!.birdNumber}. Change it if this bird is not`
    : "Stays the same until you change it";
}

/** What stays from bird to bird. */
function defaultsOf({ next, nextLotId, last, places, printsLabel }: Loaded & WeighOneProps) {
  const firstWithRoom = places.find((place) => place.room > 0);
  return {
    birdNumber: String(next),
    lotId: String(nextLotId),
    purpose: last && last.purpose !== "condemned" ? last.purpose : "sale",
    placeId: String(last?.placeId ?? firstWithRoom?.id ?? ""),
    printsLabel: printsLabel ? "on" : undefined,
  };
}

interface NumberAndPlaceProps {
  birdNumber: FieldMetadata<string>;
  lotId: FieldMetadata<string>;
  placeId: FieldMetadata<string>;
  /** Undefined where the farm has no label printer. */
  printsLabel: FieldMetadata<string> | undefined;
  lots: Loaded["lots"];
  places: Loaded["places"];
}

function NumberAndPlace({ birdNumber, lotId, placeId, printsLabel, lots, places }: NumberAndPlaceProps) {
  return (
    <div className="grid gap-4 sm:grid-cols-2">
      <TextField field={birdNumber} label="Bird" hint="Number today" inputMode="numeric" />
      {lots.length > 1 && (
        <SelectField
          field={lotId}
          label="Lot"
          hint="In the order of the kill, until you say otherwise"
          options={lots.map(({ id, batchName }) => ({ value: String(id), label: batchName }))}
        />
      )}
      {places.length > 0 && (
        <SelectField
          field={placeId}
          label="Storage"
          hint="Stays the same until you change it"
          options={placeOptions(places)}
        />
      )}
      {printsLabel && <TickField field={printsLabel} label="Print its label when it is saved" />}
    </div>
  );
}

/** The form that the undo button beside the weight sends: a form can't stand inside another. */
function UndoForm({ id, dayId, entryId }: { id: string; dayId: number; entryId: string }) {
  return (
    <Form id={id} method="post" action={`/days/${dayId}/pack/take-back`}>
      <input type="hidden" name="entryId" value={entryId} />
    </Form>
  );
}

/** The weight as it was understood, large enough to be read from the scale, among the weights of the day. */
function Understood({
  milligrams,
  carcasses,
  tally,
  bags,
}: Pick<Loaded, "carcasses" | "tally" | "bags"> & { milligrams: number | undefined }) {
  const show = useShow();
  usePurposeKeys();
  const bag =
    milligrams === undefined
      ? undefined
      : bags.find(({ mostKilograms }) => kilogramsFromMilligrams(milligrams) <= mostKilograms);
  return (
    <div className="grid items-end gap-4 sm:grid-cols-5">
      <p
        aria-live="polite"
        className="whitespace-nowrap font-display text-5xl leading-none sm:col-span-3 xl:text-hero"
      >
        {milligrams === undefined ? (
          <span className="text-xl text-soft">Put a bird on the scale</span>
        ) : (
          show.exactBird(milligrams)
        )}
        {milligrams !== undefined && bags.length > 0 && (
          <span className="block pt-1 font-sans text-base text-soft">
            {bag ? `Bag: ${bag.name}` : "Too big for every bag you keep"}
          </span>
        )}
      </p>
      <div className="sm:col-span-2">
        <DotPlot weights={dressedWeights(carcasses)} sentence={tallySentence(tally, show)} />
      </div>
    </div>
  );
}

/** Alt and a letter says what the bird is for, without leaving the weight. */
const PURPOSE_KEYS: Readonly<Record<string, CarcassUse>> = {
  KeyS: "sale",
  KeyT: "own",
  KeyC: "cut",
  KeyP: "pets",
  KeyX: "condemned",
};

function usePurposeKeys() {
  useHotkeys((event) => {
    const purpose = event.altKey ? PURPOSE_KEYS[event.code] : undefined;
    return purpose && (() => document.querySelector<HTMLInputElement>(purposeBox(purpose))?.click());
  });
}

const purposeBox = (purpose: CarcassUse) => `input[name="purpose"][value="${purpose}"]`;
