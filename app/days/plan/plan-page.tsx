import { type ReactNode, useState } from "react";
import { type DayFormSetting, dayForm } from "#app/days/plan/day-form.ts";
import { LineSheet } from "#app/days/plan/line-sheet.tsx";
import { PlanAnswer, PlanDetail } from "#app/days/plan/plan-answer.tsx";
import { PlanCautions } from "#app/days/plan/plan-cautions.tsx";
import { PlanFields } from "#app/days/plan/plan-fields.tsx";
import { PlanRibbon } from "#app/days/plan/plan-ribbon.tsx";
import { choicesOf } from "#app/ui/day-choices.ts";
import { FarmForm, type Refusal } from "#app/ui/farm-form.tsx";
import { Notice, Sheet } from "#app/ui/sheet.tsx";
import { localClock } from "#core/calendar/farm-time.ts";
import { type PlanBasis, planForDate } from "#core/day/plan-for-date.ts";
import type { DayChoiceRow } from "#db/day/day-queries.server.ts";

interface PlanPageProps {
  head: ReactNode;
  basis: PlanBasis;
  setting: DayFormSetting;
  /** What stands, or what we propose for a new day. */
  standing: DayChoiceRow;
  refusal: Refusal | undefined;
  entryId: string;
  /** Where the form goes, if not to its own page. */
  action?: string;
  submit: string;
  beside?: ReactNode;
  /** Hidden fields, and cautions that stand above the choices. */
  children?: ReactNode;
}

/** A day's choices and what follows from them, shown at once as they change. */
export function PlanPage({
  head,
  basis,
  setting,
  standing,
  refusal,
  entryId,
  action,
  submit,
  beside,
  children,
}: PlanPageProps) {
  const [read, setRead] = useState<DayChoiceRow | undefined>(standing);
  const [lastRead, setLastRead] = useState(standing);
  const shown = read ?? lastRead;
  const choices = choicesOf(shown);
  const planned = planForDate(basis, shown.processedOn, choices);
  return (
    <div className="grid gap-4 p-4 md:px-6">
      {head}
      <PlanRibbon
        planned={planned}
        processedOn={shown.processedOn}
        startAt={shown.startAt}
        place={basis.place}
      />
      <PlanCautions planned={planned} choices={choices} />
      <div className="grid gap-4 lg:grid-cols-3">
        <div className="grid content-start gap-4 lg:col-span-2">
          <LineSheet plan={planned.plan} choices={choices} means={basis.means} />
          <Sheet heading="Choices">
            <FarmForm
              schema={dayForm(setting)}
              refusal={refusal}
              entryId={entryId}
              defaults={fieldsOf(standing, setting.timeZone)}
              {...(action !== undefined && { action })}
              submit={submit}
              beside={beside}
              onRead={(value) => {
                setRead(value);
                if (value) setLastRead(value);
              }}
            >
              {(fields) => (
                <>
                  {children}
                  <PlanFields fields={fields} freeCount={setting.freeCount} />
                  {!read && (
                    <Notice>What is worked out still stands for the last choices that could be read.</Notice>
                  )}
                </>
              )}
            </FarmForm>
          </Sheet>
          <PlanDetail planned={planned} />
        </div>
        <div className="order-first grid content-start gap-4 lg:order-none">
          <PlanAnswer planned={planned} />
        </div>
      </div>
    </div>
  );
}

function fieldsOf(row: DayChoiceRow, timeZone: string): Record<string, string> {
  const { startAt, ...choices } = row;
  return {
    ...Object.fromEntries(Object.entries(choices).map(([name, value]) => [name, String(value)])),
    startTime: localClock(startAt, timeZone),
  };
}
