import type { FieldMetadata } from "@conform-to/react";
import type { dayForm } from "#app/days/plan/choices/day-form.ts";
import { type LotSetting, PEN_FIELDS } from "#app/days/plan/choices/lot-form.ts";
import { killEarlier, removeLot } from "#app/days/plan/choices/lot-moves.ts";
import { Part, PartFields } from "#app/days/plan/choices/part.tsx";
import { OwnerField } from "#app/days/plan/lots/owner-field.tsx";
import type { Fields } from "#app/ui/farm-form.tsx";
import { ChoiceField, Faults, TextField, TickField } from "#app/ui/field.tsx";
import { Button } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { birdsInWords, cutUpInWords, scaldInWords, withdrawalInWords } from "#app/words/choice-words.ts";
import { listed } from "#app/words/lot-words.ts";
import { plural } from "#app/words/show.ts";
import { SCALD_OPTIONS, WHICH_OPTIONS, WITHDRAWAL_OPTIONS } from "#app/words/words.ts";
import type { LotChoices } from "#core/day/plan/plan-input.ts";
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

interface LotSentenceProps {
  lot: LotFieldset;
  setting: LotSetting;
  /** As it was read last. */
  choices: LotChoices;
  /** In the order in which lots are killed, from 0. */
  place: number;
  isOnly: boolean;
  isKept: boolean;
  owners: readonly { readonly id: number; readonly name: string }[];
}

/** The birds of one lot and what is done with them: a sentence whose parts are changed in place. */
export function LotSentence(props: LotSentenceProps) {
  const { lot, setting, choices, place, isOnly, owners } = props;
  const show = useShow();
  const owner = owners.find(({ id }) => id === choices.ownerId);
  const [birds, scald, feed] = PARTS.map((part) => `${part}-${place}`) as [string, string, string];
  return (
    <>
      <p className="sentence">
        {!isOnly && <b>Lot {place + 1}: </b>}
        <Part opens={birds}>{birdsInWords(choices)}</Part> of {setting.batchName}
        {choices.pens.length > 0 && <> from {listed(choices.pens)}</>}
        {owner && <> for {owner.name}</>}, <Part opens={birds}>{cutUpInWords(choices)}</Part>. Scald{" "}
        <Part opens={scald}>{scaldInWords(choices, show)}</Part>. Feed withdrawal{" "}
        <Part opens={feed}>{withdrawalInWords(choices)}</Part>. Giblets{" "}
        <Part opens={birds}>{choices.keepsGiblets ? "kept" : "not kept"}</Part>, feet{" "}
        <Part opens={birds}>{choices.keepsFeet ? "kept" : "not kept"}</Part>.
      </p>
      <input type="hidden" name={lot.batchId.name} value={setting.batchId} />
      <PartFields id={birds} label={`Birds of ${setting.batchName}`}>
        <BirdFields {...props} />
      </PartFields>
      <PartFields id={scald} label={`Scald of ${setting.batchName}`}>
        <ScaldFields lot={lot} />
      </PartFields>
      <PartFields id={feed} label={`Feed withdrawal of ${setting.batchName}`}>
        <ChoiceField field={lot.withdrawalMethod} label="Feed withdrawal" options={WITHDRAWAL_OPTIONS} />
      </PartFields>
    </>
  );
}

/** The parts of a lot's sentence, by what their fields are about. */
const PARTS = ["birds", "scald", "feed"] as const;

function BirdFields({ lot, setting, place, isOnly, isKept, owners }: LotSentenceProps) {
  return (
    <>
      <div className="grid grid-cols-2 items-end gap-4">
        <TextField
          field={lot.birdCount}
          label={`Birds to process, of ${setting.freeCount} free`}
          inputMode="numeric"
        />
        <TextField field={lot.cutUpCount} label="Birds to cut up" inputMode="numeric" />
      </div>
      <ChoiceField field={lot.whichBirds} label="Which birds?" options={WHICH_OPTIONS} />
      {setting.pens.length > 1 && <PenFields lot={lot} pens={setting.pens} />}
      <div className="grid sm:grid-cols-2">
        <TickField field={lot.keepsGiblets} label="Keep hearts, livers, and gizzards" />
        <TickField field={lot.keepsFeet} label="Keep the feet" hint="adds a minute per bird" />
      </div>
      <OwnerField field={lot.ownerId} owners={owners} />
      {isKept && !isOnly && <LotMoves place={place} />}
    </>
  );
}

function LotMoves({ place }: { place: number }) {
  return (
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
  );
}

function ScaldFields({ lot }: { lot: LotFieldset }) {
  const show = useShow();
  const usual =
    METHOD_BATH[(lot.scaldMethod.value ?? "middle") as ScaldMethod]?.set ?? METHOD_BATH.middle.set;
  return (
    <>
      <ChoiceField field={lot.scaldMethod} label="Scald" options={SCALD_OPTIONS} />
      <TextField
        field={lot.scaldBath}
        label="Scald bath temperature"
        hint={`Leave blank for the method's usual, ${show.temperature(usual)}`}
      />
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
