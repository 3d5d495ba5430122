import { sum } from "d3-array";
import { Link } from "react-router";
import type { CellView, SeasonView } from "#app/season/calendar/season-view.server.ts";
import { differenceWords } from "#app/season/calendar/season-words.ts";
import { skyBackground } from "#app/ui/sky/sky-color.ts";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";

/** As much room as stands for a farm that has not said what it has. */
const ROOM_UNSAID = 1_000_000;

type Calendar = Pick<SeasonView, "cells" | "today" | "rooms">;

/** Ten weeks of days, each under a ribbon of its own light; a list of what matters on a phone. */
export function SkyCalendar(calendar: Calendar) {
  const show = useShow();
  const weeks = Array.from({ length: calendar.cells.length / 7 }, (_, week) =>
    calendar.cells.slice(week * 7, week * 7 + 7),
  );
  return (
    <>
      <table className="hidden w-full table-fixed border-collapse md:table">
        <caption className="sr-only">
          Weeks ahead: daylight, people, birds scheduled and proposed, and space
        </caption>
        <thead>
          <tr className="text-left text-sm text-soft">
            {weeks[0]!.map(({ day }) => (
              <th key={day} scope="col" className="px-1 font-normal">
                {show.shortWeekday(day)}
              </th>
            ))}
            <th scope="col" className="w-24 px-2 font-normal">
              Space
            </th>
          </tr>
        </thead>
        <tbody>
          {weeks.map((week) => (
            <tr key={week[0]!.day}>
              {week.map((cell) => (
                <td key={cell.day} className="relative h-14 border border-rule p-0 align-top">
                  <Cell cell={cell} today={calendar.today} />
                </td>
              ))}
              <td className="h-14 border-b border-rule px-2 align-top">
                <Room cell={week[6]!} rooms={calendar.rooms} isBrief />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <ol className="grid gap-3 md:hidden">
        {calendar.cells
          .filter((cell) => isWorthALine(cell, calendar.today))
          .map((cell) => (
            <li key={cell.day} className="border-b border-rule pb-2">
              <DayLine cell={cell} {...calendar} />
            </li>
          ))}
      </ol>
    </>
  );
}

const hasBirds = (cell: CellView) => cell.held.length + cell.proposed.length > 0;
const isWorthALine = (cell: CellView, today: string) =>
  cell.day >= today &&
  (hasBirds(cell) ||
    cell.tasks.length > 0 ||
    cell.instead.length > 0 ||
    cell.season.marks.length > 0 ||
    cell.season.isBooked);

function Cell({ cell, today }: { cell: CellView; today: string }) {
  const show = useShow();
  const isPast = cell.day < today;
  const { season } = cell;
  const number = Number(cell.day.slice(8));
  const isShut = season.shut !== undefined && cell.held.length === 0;
  return (
    <div
      className={`grid h-full grid-cols-1 content-start ${isPast ? "text-soft" : ""} ${isShut ? "" : "bg-leaf"}`}
    >
      <div
        className={`relative ${hasBirds(cell) ? "h-4" : "h-2"}`}
        style={{ background: skyBackground(cell.altitudes) }}
      >
        {hasBirds(cell) && <span className="absolute bottom-0 h-1.5 bg-pine" style={workPlace(cell)} />}
        <Ticks tasks={cell.tasks} />
      </div>
      <p className="flex items-baseline justify-between gap-1 px-1 leading-tight">
        <span className={cell.day === today ? "font-semibold underline decoration-dawn decoration-2" : ""}>
          {number === 1 || cell.day === today ? show.monthDay(cell.day) : number}
        </span>
        <span className="truncate text-xs text-soft">
          <span className="sr-only">{whoCan(cell)}</span>
          <span aria-hidden="true" className={isShut ? "" : "text-ink"}>
            {initials(cell)}
          </span>
        </span>
      </p>
      <CellBirds cell={cell} />
    </div>
  );
}

/** The birds that are scheduled or proposed for a day, where else they could go, and what else is on. */
function CellBirds({ cell }: { cell: CellView }) {
  const show = useShow();
  // Ten weeks fit on a screen: a link that is alone in its day is as large as the day.
  const isAlone = cell.held.length + cell.proposed.length === 1;
  const chip = `block px-1 ${isAlone ? "stretched-link truncate" : "min-h-11 content-center"}`;
  return (
    <ul className="grid min-w-0 grid-cols-1 gap-px text-xs leading-tight">
      {cell.held.map(({ dayId, name, birds }) => (
        <li key={dayId}>
          <Link to={`/days/${dayId}`} className={`${chip} bg-pine text-white`}>
            {birds} {name}
          </Link>
        </li>
      ))}
      {cell.proposed.map(({ batchId, name, birds, isPinned }) => (
        <li key={batchId}>
          <a
            href={`#group-${batchId}-${cell.day}`}
            className={`${chip} border border-pine bg-mist text-ink ${isPinned ? "" : "border-dashed"}`}
          >
            {birds} {name}
            {isPinned && ", pinned"}
          </a>
        </li>
      ))}
      {cell.instead.map(({ name, cents }) => (
        <li key={name} className="is-default truncate px-1 text-soft">
          or {differenceWords(cents, show)}
          <span className="sr-only">, {name}</span>
        </li>
      ))}
      {words(cell).map((word) => (
        <li key={word} className="truncate px-1 text-soft" title={word}>
          {word}
        </li>
      ))}
    </ul>
  );
}

/** Moments at which something is to be done, on the ribbon. */
function Ticks({ tasks }: Pick<CellView, "tasks">) {
  return tasks.map(({ hour, title }) => (
    <span
      key={title}
      title={title}
      className="absolute inset-y-0 w-1 border-x border-leaf bg-ink"
      style={{ left: `${(Math.min(17.5, Math.max(0, hour - 4)) / 18) * 100}%` }}
    />
  ));
}

/** The work on the ribbon, which goes from 4 to 22 h: from seven for as long as so many birds take of the longest day. */
function workPlace({ held, proposed, season }: CellView): { left: string; width: string } {
  const birds = sum([...held, ...proposed], (one) => one.birds);
  const hours = Math.min(14, 1 + (5 * birds) / Math.max(1, season.mostBirds));
  return { left: `${(3 / 18) * 100}%`, width: `${(hours / 18) * 100}%` };
}

function words({ season }: CellView): string[] {
  return [
    ...season.marks.map(({ what }) => what),
    ...(season.isHot ? ["hot"] : []),
    ...(season.isBooked ? ["booked"] : []),
  ];
}

const initials = ({ season }: CellView) =>
  season.people
    .filter(({ canCome }) => canCome)
    .map(({ name }) => name[0])
    .join(" ");

function whoCan({ season }: CellView): string {
  const names = season.people.filter(({ canCome }) => canCome).map(({ name }) => name);
  return names.length > 0 ? `${names.join(", ")} can come` : "no one can come";
}

/** How full the freezers are, and what the fridge does. */
function Room({
  cell,
  rooms,
  isBrief = false,
}: {
  cell: CellView;
  rooms: SeasonView["rooms"];
  isBrief?: boolean;
}) {
  const freezer = rooms.freezer + (cell.isEitherFrozen ? rooms.either : 0);
  const isOver = cell.frozen > freezer;
  const share = freezer > 0 ? Math.min(1, cell.frozen / freezer) : 0;
  const fridge = rooms.fridge + (cell.isEitherFrozen ? 0 : rooms.either);
  return (
    <div className="text-xs leading-snug">
      {freezer > 0 && freezer < ROOM_UNSAID && (
        <>
          <div className="mt-1 h-2 border border-soft bg-leaf" aria-hidden="true">
            <div
              className={`h-full ${isOver ? "bg-barn" : "bg-soft"}`}
              style={{ width: `${share * 100}%` }}
            />
          </div>
          <p className={isOver ? "font-semibold text-barn" : ""}>
            {cell.frozen} of {freezer}
            {!isBrief && " in the freezers"}
          </p>
        </>
      )}
      {cell.isEitherFrozen ? (
        <p>refrigerator freezing</p>
      ) : (
        cell.resting > 0 && (
          <p className={cell.resting > fridge ? "font-semibold text-barn" : ""}>
            {fridge < ROOM_UNSAID ? `${cell.resting} of ${fridge} resting` : `${cell.resting} resting`}
          </p>
        )
      )}
    </div>
  );
}

function DayLine({ cell, rooms }: { cell: CellView } & Pick<Calendar, "rooms">) {
  const show = useShow();
  return (
    <div className="grid gap-1">
      <div className="relative h-4" style={{ background: skyBackground(cell.altitudes) }}>
        {hasBirds(cell) && <span className="absolute bottom-0 h-1.5 bg-pine" style={workPlace(cell)} />}
        <Ticks tasks={cell.tasks} />
      </div>
      <p className="flex flex-wrap items-baseline justify-between gap-x-3">
        <span className="font-display text-lg">{show.shortDay(cell.day)}</span>
        <span className="text-sm text-soft">{words(cell).join(", ")}</span>
      </p>
      {cell.held.map(({ dayId, name, birds }) => (
        <Link key={dayId} to={`/days/${dayId}`} className="lone-link">
          {plural(birds, "bird")} of {name}, scheduled
        </Link>
      ))}
      {cell.proposed.map(({ batchId, name, birds, isPinned }) => (
        <a key={batchId} href={`#group-${batchId}-${cell.day}`} className="lone-link">
          {plural(birds, "bird")} of {name}, {isPinned ? "pinned" : "proposed"}
        </a>
      ))}
      {cell.instead.map(({ name, cents }) => (
        <p key={name} className="text-soft">
          or {name}: {differenceWords(cents, show)}
        </p>
      ))}
      {cell.tasks.length > 0 && <p className="text-sm">{cell.tasks.map(({ title }) => title).join("; ")}</p>}
      <p className="text-sm text-soft">{whoCan(cell)}</p>
      {hasBirds(cell) && <Room cell={cell} rooms={rooms} />}
    </div>
  );
}
