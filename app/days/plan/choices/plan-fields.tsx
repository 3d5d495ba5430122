import type { dayForm } from "#app/days/plan/choices/day-form.ts";
import { DaySentence } from "#app/days/plan/choices/day-sentence.tsx";
import { LotSentence, lotsOfForm } from "#app/days/plan/choices/lot-fields.tsx";
import type { LotSetting } from "#app/days/plan/choices/lot-form.ts";
import { PartsOfSentence } from "#app/days/plan/choices/part.tsx";
import type { Fields } from "#app/ui/farm-form.tsx";
import type { CrewSeat } from "#core/day/crew/crew.ts";
import type { DatedChoices } from "#db/day/day-queries.server.ts";

interface PlanFieldsProps {
  fields: Fields<ReturnType<typeof dayForm>>;
  lots: readonly LotSetting[];
  /** As they were read last. */
  choices: DatedChoices;
  seats: readonly CrewSeat[];
  owners: readonly { readonly id: number; readonly name: string }[];
  /** Whether the day is kept already, so that its lots can be moved and taken off. */
  isKept: boolean;
  onPeople: (people: number) => void;
}

/** What a person chooses for a day and for each of its lots, said as sentences whose parts are changed in place. */
export function PlanFields({ fields, lots, choices, seats, owners, isKept, onPeople }: PlanFieldsProps) {
  const sets = lotsOfForm(fields);
  return (
    <PartsOfSentence>
      {/* The Enter key presses a form's first button, which must be the one that only saves. */}
      <button type="submit" tabIndex={-1} aria-hidden="true" className="sr-only" />
      {sets.map((lot, index) => (
        <LotSentence
          key={lots[index]?.batchId ?? index}
          lot={lot}
          setting={lots[index]!}
          choices={choices.lots[index]!}
          place={index}
          isOnly={sets.length === 1}
          isKept={isKept}
          owners={owners}
        />
      ))}
      <DaySentence fields={fields} choices={choices} seats={seats} onPeople={onPeople} />
    </PartsOfSentence>
  );
}
