import { type ReactNode, useDeferredValue, useState } from "react";
import { OthersCaution, PlanCautions } from "#app/days/plan/cautions/plan-cautions.tsx";
import { ChillSheet } from "#app/days/plan/chill/chill-sheet.tsx";
import { changedChoices } from "#app/days/plan/choices/changed-choices.ts";
import { type DayFormSetting, dayFields, dayForm, seatsAsText } from "#app/days/plan/choices/day-form.ts";
import { ADD_LOT } from "#app/days/plan/choices/lot-moves.ts";
import { PlanFields } from "#app/days/plan/choices/plan-fields.tsx";
import { PLAN_FORM } from "#app/days/plan/choices/plan-form-id.ts";
import { BestCrewSheet } from "#app/days/plan/line/best-crew-sheet.tsx";
import { FinishChart } from "#app/days/plan/line/finish-chart.tsx";
import { HelpsSheet } from "#app/days/plan/line/helps-sheet.tsx";
import { LineSheet } from "#app/days/plan/line/line-sheet.tsx";
import { WatchSheet } from "#app/days/plan/line/watch-sheet.tsx";
import { PlanAside } from "#app/days/plan/plan-aside.tsx";
import { PlanShown, usePlan } from "#app/days/plan/plan-context.tsx";
import { PlanIndex } from "#app/days/plan/plan-index.tsx";
import { PlanRibbon } from "#app/days/plan/plan-ribbon.tsx";
import { ScaldSheet } from "#app/days/plan/scald/scald-sheet.tsx";
import { type PlanState, usePlanState } from "#app/days/plan/use-plan-state.ts";
import { WeatherSheet } from "#app/days/plan/weather/weather-sheet.tsx";
import { WithdrawalSheet } from "#app/days/plan/withdrawal/withdrawal-sheet.tsx";
import type { AroundDay } from "#app/server/day/around-day.server.ts";
import { FarmForm, type Refusal } from "#app/ui/farm-form.tsx";
import { LeavingAsks } from "#app/ui/leaving-asks.tsx";
import { Button, Notice } from "#app/ui/sheet.tsx";
import { plural } from "#app/words/show.ts";
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
  /** Below everything else. */
  foot?: ReactNode;
  /** Hidden fields, and cautions that stand above the choices. */
  children?: ReactNode;
}

/** A day's choices and what follows from them, shown at once as they change, and refined by a worker after. */
export function PlanPage(props: PlanPageProps) {
  const { head, basis, around, current, setting } = props;
  const state = usePlanState(props);
  const { planned, shown, seats, isRead } = state;
  const [savedSeats] = useState(seats);
  // The hour is what a move asks for; what follows from it further down may come a moment later.
  const later = useDeferredValue(planned);
  const plan = { processedOn: shown.processedOn, basis, around };
  const changes = changedChoices(current, savedSeats, shown, seats, setting) + (isRead ? 0 : 1);
  const unsaved = changes > 0 ? plural(changes, "change") : undefined;
  return (
    <PlanShown {...plan} planned={planned}>
      <div className="grid gap-4 p-4 pb-20 md:px-6 lg:pb-4">
        {head}
        <OthersCaution />
        <PlanRibbon
          planned={planned}
          processedOn={shown.processedOn}
          startAt={shown.startAt}
          place={basis.place}
        />
        <div className="grid gap-4 lg:grid-cols-7">
          <div className="grid content-start gap-4 lg:col-span-5">
            <PlanChoices {...props} {...state} unsaved={unsaved} />
            <PlanCautions />
            <PlanIndex />
            <PlanLine {...state} />
            <PlanShown {...plan} planned={later}>
              <PlanSheets {...state} />
            </PlanShown>
            {props.foot}
          </div>
          <PlanAside later={later} unsaved={unsaved} />
        </div>
      </div>
      <LeavingAsks unsaved={unsaved} />
    </PlanShown>
  );
}

/** The people at their stations. */
function PlanLine({ planned, choices, crew, holding, playing, setSeats, year }: PlanState) {
  const { basis } = usePlan();
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
      <FinishChart line={later.plan.line} startAt={choices.startAt} />
      <HelpsSheet
        helps={playing.line?.helps}
        startAt={choices.startAt}
        doneAt={line.likelyAt.value}
        sunrise={planned.sun.sunrise}
        cutUp={choices.packsSameDay ? 0 : choices.lots.reduce((sum, lot) => sum + lot.cutUp, 0)}
      />
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

/** What is chosen, as sentences whose parts are changed in place, and the one button that saves it. */
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
  shown,
  seats,
  isRead,
  onRead,
  setPeople,
  unsaved,
}: PlanPageProps & PlanState & { unsaved: string | undefined }) {
  return (
    <section className="sheet px-4 py-3" aria-label="Choices">
      <FarmForm
        id={PLAN_FORM}
        schema={dayForm(setting)}
        refusal={refusal}
        entryId={entryId}
        defaults={dayFields(current, setting)}
        {...(action !== undefined && { action })}
        submit={submit}
        beside={<BesideSave submit={submit} unsaved={unsaved} />}
        onRead={onRead}
      >
        {(fields) => (
          <>
            {children}
            <input type="hidden" name="crew" value={seatsAsText(seats)} />
            <PlanFields
              fields={fields}
              lots={setting.lots}
              choices={shown}
              seats={seats}
              owners={owners}
              isKept={isKept}
              onPeople={setPeople}
            />
            {!isRead && (
              <Notice>The results are for the last valid choices. Fix the fields marked above.</Notice>
            )}
          </>
        )}
      </FarmForm>
    </section>
  );
}

function BesideSave({ submit, unsaved }: { submit: string; unsaved: string | undefined }) {
  return (
    <>
      <Button kind="plain" name="move" value={ADD_LOT}>
        {submit} and add another lot
      </Button>
      <span role="status" className="self-center">
        {unsaved && `${unsaved} not saved`}
      </span>
    </>
  );
}
