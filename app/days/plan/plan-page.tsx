import { type ReactNode, useDeferredValue, useState } from "react";
import { ChillSheet } from "#app/days/plan/chill/chill-sheet.tsx";
import { type DayFormSetting, dayFields, dayForm, seatsAsText } from "#app/days/plan/choices/day-form.ts";
import { ADD_LOT } from "#app/days/plan/choices/lot-moves.ts";
import { PlanFields } from "#app/days/plan/choices/plan-fields.tsx";
import { BestCrewSheet } from "#app/days/plan/line/best-crew-sheet.tsx";
import { FinishChart } from "#app/days/plan/line/finish-chart.tsx";
import { HelpsSheet } from "#app/days/plan/line/helps-sheet.tsx";
import { LineSheet } from "#app/days/plan/line/line-sheet.tsx";
import { WatchSheet } from "#app/days/plan/line/watch-sheet.tsx";
import { PlanAnswer, PlanDetail } from "#app/days/plan/plan-answer.tsx";
import { OthersCaution, PlanCautions } from "#app/days/plan/plan-cautions.tsx";
import { PlanShown, usePlan } from "#app/days/plan/plan-context.tsx";
import { PlanRibbon } from "#app/days/plan/plan-ribbon.tsx";
import { ScaldSheet } from "#app/days/plan/scald/scald-sheet.tsx";
import { type PlanState, usePlanState } from "#app/days/plan/use-plan-state.ts";
import { WeatherSheet } from "#app/days/plan/weather/weather-sheet.tsx";
import { WithdrawalSheet } from "#app/days/plan/withdrawal/withdrawal-sheet.tsx";
import type { AroundDay } from "#app/server/day/around-day.server.ts";
import { FarmForm, type Refusal } from "#app/ui/farm-form.tsx";
import { Button, Notice, Sheet } from "#app/ui/sheet.tsx";
import { mayWorkAlone } from "#core/day/crew/crew.ts";
import type { PlanBasis } from "#core/day/plan/plan-for-date.ts";
import type { DatedChoices } from "#db/day/day-queries.server.ts";

interface PlanPageProps {
  head: ReactNode;
  basis: PlanBasis;
  around: AroundDay;
  setting: DayFormSetting;
  /** What stands, or what we propose for a new day. */
  current: DatedChoices;
  refusal: Refusal | undefined;
  entryId: string;
  /** Where the form goes, if not to its own page. */
  action?: string;
  submit: string;
  /** Whose birds they may be beside the farm's own. */
  owners: readonly { readonly id: number; readonly name: string }[];
  /** Whether the day is kept already. */
  isKept?: boolean;
  /** Hidden fields, and cautions that stand above the choices. */
  children?: ReactNode;
}

/** A day's choices and what follows from them, shown at once as they change, and refined by a worker after. */
export function PlanPage(props: PlanPageProps) {
  const { head, basis, around } = props;
  const state = usePlanState(props);
  const { planned, shown } = state;
  // The hour is what a move asks for; what follows from it further down may come a moment later.
  const later = useDeferredValue(planned);
  const plan = { processedOn: shown.processedOn, basis, around };
  return (
    <div className="grid gap-4 p-4 md:px-6">
      {head}
      <PlanShown {...plan} planned={planned}>
        <OthersCaution />
      </PlanShown>
      <PlanRibbon
        planned={planned}
        processedOn={shown.processedOn}
        startAt={shown.startAt}
        place={basis.place}
      />
      <div className="plan-grid grid gap-4 lg:grid-cols-7">
        <div className="grid content-start gap-4 lg:col-span-5 lg:row-span-2">
          <PlanShown {...plan} planned={planned}>
            <PlanLine {...state} />
            <PlanCautions />
          </PlanShown>
          <PlanShown {...plan} planned={later}>
            <PlanSheets {...state} />
          </PlanShown>
          <PlanChoices {...props} {...state} />
        </div>
        <div className="order-first grid content-start gap-4 lg:order-none lg:col-span-2">
          <PlanShown {...plan} planned={planned}>
            <PlanAnswer />
          </PlanShown>
        </div>
        <div className="lg:col-span-2">
          <PlanShown {...plan} planned={later}>
            <PlanDetail />
          </PlanShown>
        </div>
      </div>
    </div>
  );
}

/** The people at their stations, and what was changed of them and is not saved. */
function PlanLine({ planned, choices, crew, seats, holding, playing, setSeats, year }: PlanState) {
  const { basis } = usePlan();
  const [asSaved] = useState(() => seatsAsText(seats));
  return (
    <>
      <LineSheet
        line={planned.plan.line}
        crew={crew}
        helpers={basis.helpers}
        choices={choices}
        means={basis.means}
        year={year}
        dipSeconds={planned.plan.lots.map(({ scald }) => scald.seconds.value)}
        holding={holding}
        onCrew={setSeats}
      />
      {seatsAsText(seats) !== asSaved && (
        <div className="flex flex-wrap items-center gap-3 rounded-sheet border-l-4 border-straw bg-wheat px-4 py-2">
          <span>The crew has unsaved changes.</span>
          <Button form={FORM}>Save plan with this crew</Button>
        </div>
      )}
      {playing.line?.isFailed && (
        <Notice>
          These times come from a quick run of 80 simulated days. The longer run did not start on this device;
          reload the page to try again.
        </Notice>
      )}
    </>
  );
}

/** What follows from the choices, a sheet each. */
function PlanSheets({ planned, choices, crew, playing, setSeats }: PlanState) {
  const { line } = planned.plan;
  const later = usePlan().planned;
  return (
    <>
      <div className="grid items-start gap-4 md:grid-cols-2">
        <FinishChart line={later.plan.line} startAt={choices.startAt} />
        <HelpsSheet
          helps={playing.line?.helps}
          startAt={choices.startAt}
          doneAt={line.likelyAt.value}
          sunrise={planned.sun.sunrise}
          cutUp={choices.packsSameDay ? 0 : choices.lots.reduce((sum, lot) => sum + lot.cutUp, 0)}
        />
      </div>
      <WeatherSheet />
      <WatchSheet
        replication={playing.watched}
        startAt={choices.startAt}
        isFailed={playing.line?.isFailed === true}
      />
      <BestCrewSheet
        crew={crew}
        search={playing.crew}
        currentKey={playing.key}
        onSearch={() => void playing.findCrew(crew.map(({ rules }) => mayWorkAlone(rules)))}
        onCrew={setSeats}
      />
      <ScaldSheet />
      <ChillSheet />
      <WithdrawalSheet />
    </>
  );
}

function PlanChoices({
  setting,
  current,
  refusal,
  entryId,
  action,
  submit,
  owners,
  isKept = false,
  children,
  seats,
  isRead,
  onRead,
  setPeople,
}: PlanPageProps & PlanState) {
  return (
    <Sheet heading="Choices">
      <FarmForm
        id={FORM}
        schema={dayForm(setting)}
        refusal={refusal}
        entryId={entryId}
        defaults={dayFields(current, setting)}
        {...(action !== undefined && { action })}
        submit={submit}
        beside={
          <Button kind="plain" name="move" value={ADD_LOT}>
            {submit} and add another lot
          </Button>
        }
        onRead={onRead}
      >
        {(fields) => (
          <>
            {children}
            <input type="hidden" name="crew" value={seatsAsText(seats)} />
            <PlanFields
              fields={fields}
              lots={setting.lots}
              owners={owners}
              isKept={isKept}
              people={seats.length}
              onPeople={setPeople}
            />
            {!isRead && (
              <Notice>The results are for the last valid choices. Fix the fields marked below.</Notice>
            )}
          </>
        )}
      </FarmForm>
    </Sheet>
  );
}

const FORM = "plan";
