import { type ReactNode, useDeferredValue, useMemo, useState } from "react";
import { ChillSheet } from "#app/days/plan/chill/chill-sheet.tsx";
import { type DayFormSetting, dayFields, dayForm, seatsAsText } from "#app/days/plan/choices/day-form.ts";
import { PlanFields } from "#app/days/plan/choices/plan-fields.tsx";
import { BestCrewSheet } from "#app/days/plan/line/best-crew-sheet.tsx";
import { FinishChart } from "#app/days/plan/line/finish-chart.tsx";
import { HelpsSheet } from "#app/days/plan/line/helps-sheet.tsx";
import { LineSheet } from "#app/days/plan/line/line-sheet.tsx";
import { useLine } from "#app/days/plan/line/use-line.ts";
import { WatchSheet } from "#app/days/plan/line/watch-sheet.tsx";
import { PlanAnswer, PlanDetail } from "#app/days/plan/plan-answer.tsx";
import { PlanCautions } from "#app/days/plan/plan-cautions.tsx";
import { PlanRibbon } from "#app/days/plan/plan-ribbon.tsx";
import { ScaldSheet } from "#app/days/plan/scald/scald-sheet.tsx";
import { WeatherSheet } from "#app/days/plan/weather/weather-sheet.tsx";
import { WithdrawalSheet } from "#app/days/plan/withdrawal/withdrawal-sheet.tsx";
import type { AroundDay } from "#app/server/around-day.server.ts";
import { FarmForm, type Refusal } from "#app/ui/farm-form.tsx";
import { Button, Notice, Sheet } from "#app/ui/sheet.tsx";
import { type CrewSeat, crewOf, mayWorkAlone } from "#core/day/crew/crew.ts";
import { type PlanBasis, planForDate } from "#core/day/plan/plan-for-date.ts";
import { busiestStation } from "#core/processing-line/line-tally.ts";
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
  beside?: ReactNode;
  /** Hidden fields, and cautions that stand above the choices. */
  children?: ReactNode;
}

/** A day's choices and what follows from them, shown at once as they change, and refined by a worker after. */
export function PlanPage({
  head,
  basis,
  around,
  setting,
  current,
  refusal,
  entryId,
  action,
  submit,
  beside,
  children,
}: PlanPageProps) {
  const [read, setRead] = useState<DatedChoices | undefined>(current);
  const [lastRead, setLastRead] = useState(current);
  const shown = read ?? lastRead;
  const crewFor = (seats: readonly CrewSeat[], people: number) =>
    crewOf(seats, people, { helpers: basis.helpers, year: Number(shown.processedOn.slice(0, 4)) });
  const [seats, setSeats] = useState<readonly CrewSeat[]>(() => crewFor(current.crew, current.people));
  const crew = crewFor(seats, seats.length);
  const choices = useMemo(() => ({ ...shown, people: seats.length, crew: seats }), [shown, seats]);
  const first = useMemo(
    () => planForDate(basis, shown.processedOn, choices),
    [basis, shown.processedOn, choices],
  );
  const playing = useLine(first.plan.line.setup.day);
  const refined = playing.line?.refined;
  const planned = useMemo(
    () => (refined ? planForDate(basis, shown.processedOn, choices, () => refined.answer) : first),
    [basis, shown.processedOn, choices, refined, first],
  );
  const { line } = planned.plan;
  const guessed = busiestStation(line.answer);
  // The hour is what a move asks for; what follows from it further down may come a moment later.
  const later = useDeferredValue(planned);
  const [asSaved] = useState(() => seatsAsText(seats));
  const isMoved = seatsAsText(seats) !== asSaved;
  return (
    <div className="grid gap-4 p-4 md:px-6">
      {head}
      <PlanRibbon
        planned={planned}
        processedOn={shown.processedOn}
        startAt={shown.startAt}
        place={basis.place}
      />
      <div className="plan-grid grid gap-4 lg:grid-cols-7">
        <div className="grid content-start gap-4 lg:col-span-5 lg:row-span-2">
          <LineSheet
            line={line}
            crew={crew}
            helpers={basis.helpers}
            choices={choices}
            means={basis.means}
            year={Number(shown.processedOn.slice(0, 4))}
            dipSeconds={planned.plan.scald.seconds.value}
            holding={refined ? refined.bottleneck : guessed && { station: guessed, savedMinutes: undefined }}
            onCrew={setSeats}
          />
          {isMoved && (
            <div className="flex flex-wrap items-center gap-3 rounded-sheet border-l-4 border-straw bg-wheat px-4 py-2">
              <span>The crew has unsaved changes.</span>
              <Button form={FORM}>Save plan with this crew</Button>
            </div>
          )}
          {playing.line?.isFailed && (
            <Notice>
              These times come from a quick run of 80 simulated days. The longer run did not start on this
              device; reload the page to try again.
            </Notice>
          )}
          <PlanCautions planned={planned} choices={choices} at={around.at} />
          <div className="grid items-start gap-4 md:grid-cols-2">
            <FinishChart line={later.plan.line} startAt={shown.startAt} />
            <HelpsSheet
              helps={playing.line?.helps}
              startAt={shown.startAt}
              doneAt={line.likelyAt.value}
              sunrise={planned.sun.sunrise}
              cutUp={choices.packsSameDay ? 0 : choices.cutUp}
            />
          </div>
          <WeatherSheet planned={later} processedOn={shown.processedOn} around={around} />
          <WatchSheet day={line.setup.day} startAt={shown.startAt} />
          <BestCrewSheet
            crew={crew}
            search={playing.crew}
            currentKey={playing.key}
            onSearch={() => void playing.findCrew(crew.map(({ rules }) => mayWorkAlone(rules)))}
            onCrew={setSeats}
          />
          <ScaldSheet planned={later} scalder={basis.means.scalder} />
          <ChillSheet planned={later} basis={basis} around={around} processedOn={shown.processedOn} />
          <WithdrawalSheet
            planned={later}
            startAt={shown.startAt}
            centsPerKilogram={around.centsPerKilogram}
          />
          <Sheet heading="Choices">
            <FarmForm
              id={FORM}
              schema={dayForm(setting)}
              refusal={refusal}
              entryId={entryId}
              defaults={dayFields(current, setting.timeZone)}
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
                  <input type="hidden" name="crew" value={seatsAsText(seats)} />
                  <PlanFields
                    fields={fields}
                    freeCount={setting.freeCount}
                    people={seats.length}
                    onPeople={(people) => setSeats(crewFor(seats, people))}
                  />
                  {!read && (
                    <Notice>The results are for the last valid choices. Fix the fields marked below.</Notice>
                  )}
                </>
              )}
            </FarmForm>
          </Sheet>
        </div>
        <div className="order-first grid content-start gap-4 lg:order-none lg:col-span-2">
          <PlanAnswer planned={planned} />
        </div>
        <div className="lg:col-span-2">
          <PlanDetail planned={later} ownPace={basis.means.ownPace} />
        </div>
      </div>
    </div>
  );
}

const FORM = "plan-choices";
