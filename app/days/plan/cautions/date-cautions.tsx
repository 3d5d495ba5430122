import { Link } from "react-router";
import { usePlan } from "#app/days/plan/plan-context.tsx";
import { Notice } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { listed, lotsInWords } from "#app/words/lot-words.ts";
import { MINUTE } from "#core/calendar/milliseconds.ts";
import { absences } from "#core/day/crew/absences.ts";

/** What speaks against the date or the hour: people who can't come, a mark in the calendar, another day, the dark. */
export function DateCautions() {
  return (
    <>
      <PeopleCautions />
      <MarkCautions />
      <OtherDayCautions />
      <EarlyCaution />
    </>
  );
}

/** People of the crew who can't come that day, and those who are no longer on the list. */
function PeopleCautions() {
  const { planned, processedOn, around } = usePlan();
  const show = useShow();
  const away = absences(around.people, around.personDays, processedOn).filter(({ personId }) =>
    planned.crew.some((member) => member.personId === personId),
  );
  const isListed = (id: number) => around.people.some((person) => person.id === id);
  const gone = planned.choices.crew.filter(({ personId }) => personId !== undefined && !isListed(personId));
  return (
    <>
      {away.map(({ personId, name, why }) => (
        <Notice key={personId} tone="stop">
          <b>
            {name} can't come on {show.longDay(processedOn)}
            {why && ` (${why})`}.
          </b>{" "}
          Take {name} off the line, choose another date, or change their days under{" "}
          <Link to={`/season/people/${personId}`} className="underline">
            People
          </Link>
          .
        </Notice>
      ))}
      {gone.map(({ name }) => (
        <Notice key={name} tone="stop">
          <b>{name} is no longer on your list of people</b> but still has a place on this line, by the rules
          they had last. Take them off, or put them back on the list under History.
        </Notice>
      ))}
    </>
  );
}

/** Days that the farm marked: as not free, as a market, or for information. */
function MarkCautions() {
  const { processedOn, around } = usePlan();
  return around.marks
    .filter(({ fromOn, toOn }) => fromOn <= processedOn && processedOn <= toOn)
    .map(({ fromOn, kind, what }) => (
      <Notice key={`${fromOn} ${what}`} tone={kind === "out" ? "stop" : "heed"}>
        <b>{kind === "out" ? "You marked this date as unavailable" : "Also on this date"}:</b> {what}.{" "}
        {kind === "out" && "Choose another date, or remove the mark under Season, Dates and weather."}
      </Notice>
    ));
}

/** Other open days on the date that is chosen but not saved yet; about a saved one the page says more. */
function OtherDayCautions() {
  const { planned, processedOn, around } = usePlan();
  const show = useShow();
  const same = around.otherDays.filter((day) => day.processedOn === processedOn);
  if (same.length === 0 || processedOn === around.savedOn) return null;
  const names = planned.crew.filter(({ personId }) => personId !== undefined).map(({ name }) => name);
  return same.map(({ id, startAt, lots }) => (
    <Notice key={id} tone="stop">
      <b>
        There is another day on this date: {lotsInWords(lots)}, from {show.time(startAt)}.
      </b>{" "}
      {names.length > 0 ? `${listed(names)}, the bath, and the tanks` : "The crew, the bath, and the tanks"}{" "}
      can't be at both. Choose another date, or save and make them one day.
    </Notice>
  ));
}

/** Birds are caught, killed and looked at in the dark. */
function EarlyCaution() {
  const { planned } = usePlan();
  const show = useShow();
  const { sunrise } = planned.sun;
  const { startAt } = planned.choices;
  if (sunrise === undefined || startAt >= sunrise) return null;
  return (
    <Notice>
      <b>
        The first bird is killed {show.minutes(Math.round((sunrise - startAt) / MINUTE))} before sunrise,{" "}
        {show.time(sunrise)}.
      </b>{" "}
      Have a light at the cones and the table, or start later.
    </Notice>
  );
}
