import type { FieldMetadata } from "@conform-to/react";
import type { ReactNode } from "react";
import type { dayForm } from "#app/days/plan/choices/day-form.ts";
import { type LotSetting, PEN_FIELDS } from "#app/days/plan/choices/lot-form.ts";
import { killEarlier, removeLot } from "#app/days/plan/choices/lot-moves.ts";
import { OwnerField } from "#app/days/plan/lots/owner-field.tsx";
import type { Fields } from "#app/ui/farm-form.tsx";
import { ChoiceField, Faults, TextField, TickField } from "#app/ui/field.tsx";
import { Button } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import { SCALD_OPTIONS, WHICH_OPTIONS, WITHDRAWAL_OPTIONS } from "#app/words/words.ts";
import { METHOD_BATH, type ScaldMethod } from "#core/scald/scald-constants.ts";

const LOT_FIELDS = [
  "batchId",
  "birdCount",
  "cutUpCount",
  "whichBirds",
  "scaldMethod",
  "scaldBath",
  "withdrawalMethod",
  "keepsGiblets",
  "keepsFeet",
  "ownerId",
] as const;

export type LotFieldset = Readonly<
  Record<(typeof LOT_FIELDS)[number], FieldMetadata<string>> & Record<string, FieldMetadata<string>>
>;

/** The fields of each lot, in the order of the day. */
export const lotsOfForm = (fields: Fields<ReturnType<typeof dayForm>>): LotFieldset[] =>
  (fields.lots as unknown as FieldMetadata<Record<string, string>[]>)
    .getFieldList()
    .map((lot) => lot.getFieldset() as unknown as LotFieldset);

interface LotFieldsProps {
  lot: LotFieldset;
  setting: LotSetting;
  /** In the order in which lots are killed, from 0. */
  place: number;
  isOnly: boolean;
  isKept: boolean;
  owners: readonly { readonly id: number; readonly name: string }[];
  counts: ReactNode;
}

/** What is chosen for one lot. A day's only lot has no frame of its own, and its counts stand with the day's. */
export function LotFields(props: LotFieldsProps) {
  const { lot, setting, place, isOnly, isKept, counts } = props;
  const id = <input type="hidden" name={lot.batchId.name} value={setting.batchId} />;
  if (isOnly)
    return (
      <>
        {id}
        <LotChoiceFields {...props} />
      </>
    );
  return (
    <fieldset className="grid gap-5 border-t-2 border-ink pt-3">
      <legend className="pr-3 font-display text-xl">
        Lot {place + 1}: {setting.batchName}
      </legend>
      {id}
      <div className="grid grid-cols-2 items-end gap-4 sm:grid-cols-4">{counts}</div>
      <LotChoiceFields {...props} />
      {isKept && (
        <div className="flex flex-wrap gap-3">
          {place > 0 && (
            <Button kind="plain" name="move" value={killEarlier(place)}>
              Save and kill lot {place + 1} earlier
            </Button>
          )}
          <Button kind="plain" name="move" value={removeLot(place)}>
            Save and remove lot {place + 1}
          </Button>
        </div>
      )}
    </fieldset>
  );
}

function LotChoiceFields({ lot, setting, owners }: LotFieldsProps) {
  const show = useShow();
  const usual =
    METHOD_BATH[(lot.scaldMethod.value ?? "middle") as ScaldMethod]?.set ?? METHOD_BATH.middle.set;
  return (
    <>
      <div className="grid sm:grid-cols-2">
        <TickField field={lot.keepsGiblets} label="Keep hearts, livers, and gizzards" />
        <TickField field={lot.keepsFeet} label="Keep the feet" hint="adds a minute per bird" />
      </div>
      <ChoiceField field={lot.whichBirds} label="Which birds?" options={WHICH_OPTIONS} />
      <ChoiceField field={lot.scaldMethod} label="Scald" options={SCALD_OPTIONS} />
      <ChoiceField field={lot.withdrawalMethod} label="Feed withdrawal" options={WITHDRAWAL_OPTIONS} />
      <div className="grid items-end gap-4 sm:grid-cols-3">
        <TextField
          field={lot.scaldBath}
          label="Scald bath temperature"
          hint={`Leave blank for the method's usual, ${show.temperature(usual)}`}
        />
        <OwnerField field={lot.ownerId} owners={owners} />
      </div>
      {setting.pens.length > 1 && <PenFields lot={lot} pens={setting.pens} />}
    </>
  );
}

/** A box for each pen that the batch stands in. */
function PenFields({ lot, pens }: { lot: LotFieldset; pens: LotSetting["pens"] }) {
  const boxes = PEN_FIELDS.map((name) => lot[name]!);
  const ticked = boxes.flatMap(({ initialValue }) => initialValue ?? []);
  return (
    <fieldset>
      <legend className="font-semibold">From which pens?</legend>
      <p className="text-sm text-soft">Tick none if the birds come from all of them.</p>
      <div className="flex flex-wrap gap-x-8">
        {boxes.slice(0, pens.length).map((box, index) => (
          <label key={box.key ?? box.name} className="flex min-h-12 cursor-pointer items-center gap-3">
            <input
              type="checkbox"
              name={box.name}
              value={pens[index]!.name}
              defaultChecked={ticked.includes(pens[index]!.name)}
              className="size-6 accent-pine"
            />
            {pens[index]!.name}, {plural(pens[index]!.birds, "bird")}
          </label>
        ))}
      </div>
      <Faults field={boxes[0]!} />
    </fieldset>
  );
}
