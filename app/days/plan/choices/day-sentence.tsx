import type { dayForm } from "#app/days/plan/choices/day-form.ts";
import { Part, PartFields } from "#app/days/plan/choices/part.tsx";
import type { Fields } from "#app/ui/farm-form.tsx";
import { ChoiceField, CountField, TextField, TickField } from "#app/ui/field.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { breakInWords, extrasInWords, PLUCK_WORDS, peopleInWords } from "#app/words/choice-words.ts";
import { plural } from "#app/words/show.ts";
import { PLUCK_OPTIONS } from "#app/words/words.ts";
import type { CrewSeat } from "#core/day/crew/crew.ts";
import type { DatedChoices } from "#db/day/day-queries.server.ts";

interface DaySentenceProps {
  fields: Fields<ReturnType<typeof dayForm>>;
  /** As they were read last. */
  choices: DatedChoices;
  seats: readonly CrewSeat[];
  onPeople: (people: number) => void;
}

/** When, who, and with what: a sentence whose parts are changed in place. */
export function DaySentence(props: DaySentenceProps) {
  const { choices, seats } = props;
  const show = useShow();
  const extras = extrasInWords(choices, show);
  return (
    <>
      <p className="sentence">
        <Part opens="when">{show.longDay(choices.processedOn)}</Part>, first bird at{" "}
        <Part opens="when">{show.time(choices.startAt)}</Part>.{" "}
        <Part opens="people">{peopleInWords(seats)}</Part> with{" "}
        <Part opens="places">{plural(choices.cones, "cone")}</Part>,{" "}
        <Part opens="places">
          {plural(choices.tablePlaces, "place")} for evisceration and {choices.pinPlaces} for pinfeathers
        </Part>
        , birds <Part opens="places">{PLUCK_WORDS[choices.pluckBy]}</Part>, and{" "}
        <Part opens="break">{breakInWords(choices, show)}</Part>. Packed{" "}
        <Part opens="extras">{choices.packsSameDay ? "on the same day" : "on another day"}</Part>
        {extras === "" ? "" : ", with "}
        {extras !== "" && <Part opens="extras">{extras}</Part>}.
      </p>
      <DayFields {...props} />
    </>
  );
}

function DayFields({ fields, seats, onPeople }: DaySentenceProps) {
  return (
    <>
      <PartFields id="when" label="Date and time">
        <div className="grid grid-cols-2 gap-4">
          <TextField field={fields.processedOn} label="Date" type="date" />
          <TextField field={fields.startTime} label="First bird" type="time" />
        </div>
      </PartFields>
      <PartFields id="people" label="People">
        <CountField field={fields.peopleCount} label="People" count={seats.length} onCount={onPeople} />
        <p className="text-sm">
          Who they are, and who works where, is set in <a href="#line">the line</a>.
        </p>
      </PartFields>
      <PartFields id="places" label="Cones, tables, and plucking">
        <div className="grid grid-cols-2 items-end gap-4 sm:grid-cols-3">
          <TextField field={fields.coneCount} label="Cones" inputMode="numeric" />
          <TextField field={fields.tablePlaceCount} label="Evisceration table places" inputMode="numeric" />
          <TextField field={fields.pinPlaceCount} label="Pinning table places" inputMode="numeric" />
        </div>
        <ChoiceField field={fields.pluckBy} label="Plucking" options={PLUCK_OPTIONS} />
      </PartFields>
      <PartFields id="break" label="Break">
        <div className="grid grid-cols-2 gap-4">
          <TextField field={fields.breakMinutes} label="Break" unit="min" inputMode="numeric" />
          <TextField field={fields.breakAt} label="Break at" type="time" />
        </div>
      </PartFields>
      <PartFields id="extras" label="Packing, water, brine, and rain">
        <ExtraFields fields={fields} />
      </PartFields>
    </>
  );
}

function ExtraFields({ fields }: Pick<DaySentenceProps, "fields">) {
  return (
    <>
      <div className="grid sm:grid-cols-2">
        <TickField
          field={fields.packsSameDay}
          label="Pack on the same day"
          hint="with this crew, as soon as they are cold"
        />
        <TickField field={fields.isRainExpected} label="Working in rain" hint="handwork a third slower" />
        <TickField field={fields.rinsesFirst} label="Rinse before the scald" hint="keeps its water cleaner" />
        <TickField
          field={fields.coolsAfter}
          label="Cool dip after the scald"
          hint="stops the skin from cooking"
        />
      </div>
      <div className="grid grid-cols-2 items-end gap-4">
        <TextField
          field={fields.changeWaterBirds}
          label="Change scald water every"
          unit="birds"
          inputMode="numeric"
        />
        <TextField field={fields.brine} label="Brine to" unit="% salt" inputMode="decimal" />
      </div>
    </>
  );
}
