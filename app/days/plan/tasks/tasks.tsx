import { group } from "d3-array";
import { data, Form, redirect } from "react-router";
import { DayHead } from "#app/days/leaves.tsx";
import { PlanNav } from "#app/days/plan/plan-nav.tsx";
import { tasksOfDay } from "#app/server/day/tasks-of-day.server.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { formFields, newEntryId } from "#app/server/submitted.server.ts";
import { isEntryId } from "#app/ui/read/read-field.ts";
import { ButtonLink, Page, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { lotsInWords } from "#app/words/lot-words.ts";
import { plural } from "#app/words/show.ts";
import type { TaskWords } from "#app/words/task-words.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { MINUTE } from "#core/calendar/milliseconds.ts";
import { type DayTask, isTaskId } from "#core/day/tasks/task-shapes.ts";
import type { TaskDone } from "#db/day/task-queries.server.ts";
import type { Route } from "./+types/tasks.ts";

export const meta = () => [{ title: "To do · Pale Morning" }];

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { farm, day, lots } = requireDay(here, params.dayId);
  const tasks = tasksOfDay(here, farm, day).filter(({ key }) => key !== "day");
  const done = here.file.tasks.done(day.id);
  return {
    day,
    line: lotsInWords(lots),
    days: [...group(tasks, ({ at }) => localDayOf(at, farm.timeZone))],
    left: tasks.filter(({ id }) => !done.some(({ task }) => task === id)).length,
    done,
    at: here.now(),
    today: localDayOf(here.now(), farm.timeZone),
    entryId: newEntryId(),
  };
}

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { day } = requireDay(here, params.dayId);
  const fields = await formFields(request);
  const id = String(fields.get("task") ?? "");
  const entryId = String(fields.get("entryId") ?? "");
  if (!isTaskId(id) || !isEntryId(entryId))
    throw data("A day has no such task. Reload the page.", { status: 400 });
  here.file.tasks.tick({ entryId, at: here.now() }, day.id, id);
  return redirect(`/days/${day.id}/tasks`, 303);
}

/** All that is to be done for a day, at its hour, by whom and why; ticked off with a thumb. */
export default function Tasks({
  loaderData: { day, line, days, left, done, at, today, entryId },
}: Route.ComponentProps) {
  const show = useShow();
  return (
    <Page>
      <DayHead dayId={day.id} processedOn={day.processedOn} line={line} />
      <PlanNav dayId={day.id} />
      <div className="flex flex-wrap items-center justify-between gap-3">
        <p role="status">{left === 0 ? "Everything is done." : `${plural(left, "thing")} to do.`}</p>
        <ButtonLink kind="plain" to="/season/calendar.ics" reloadDocument className="print:hidden">
          Add to your calendar
        </ButtonLink>
      </div>
      {days.map(([on, tasks]) => (
        <Sheet key={on} heading={show.longDay(on)} beside={on === today ? "today" : undefined}>
          <ul>
            {tasks.map((task) => (
              <TaskRow
                key={task.id}
                task={task}
                done={done.find((one) => one.task === task.id)}
                isLate={task.at + task.minutes * MINUTE < at}
                entryId={`${entryId}-${task.id.replace(":", "-")}`}
                here={`/days/${day.id}/tasks`}
              />
            ))}
          </ul>
        </Sheet>
      ))}
    </Page>
  );
}

interface TaskRowProps {
  task: DayTask & TaskWords;
  done: TaskDone | undefined;
  isLate: boolean;
  entryId: string;
  here: string;
}

function TaskRow({ task, done, isLate, entryId, here }: TaskRowProps) {
  const show = useShow();
  return (
    <li className="border-b border-rule last:border-b-0">
      <Form method="post" action={done ? "/take-back" : here} preventScrollReset>
        <input type="hidden" name="entryId" value={done ? done.entryId : entryId} />
        {done ? (
          <input type="hidden" name="back" value={here} />
        ) : (
          <input type="hidden" name="task" value={task.id} />
        )}
        <button
          type="submit"
          aria-pressed={done !== undefined}
          className="grid min-h-14 w-full grid-cols-[2rem_4.5rem_1fr] items-baseline gap-2 py-2 text-left"
        >
          <Box isTicked={done !== undefined} />
          <span className="font-mono">{show.time(task.at)}</span>
          <span>
            <span className={done ? "text-soft line-through" : "font-semibold"}>{task.title}</span>
            <span className="block text-sm text-soft">
              {done
                ? `done ${show.dayTime(done.doneAt)}; tap to undo`
                : [task.who, task.why].filter(Boolean).join(": ")}
            </span>
            {isLate && !done && <span className="block text-sm font-semibold text-barn">overdue</span>}
          </span>
        </button>
      </Form>
    </li>
  );
}

function Box({ isTicked }: { isTicked: boolean }) {
  return (
    <svg aria-hidden="true" viewBox="0 0 24 24" className="size-7 translate-y-1.5">
      <rect
        x="2"
        y="2"
        width="20"
        height="20"
        rx="3"
        className={isTicked ? "fill-pine stroke-pine" : "fill-white stroke-soft"}
        strokeWidth="2"
      />
      {isTicked && <path d="M6 12.5 10.5 17 18 8" className="fill-none stroke-white" strokeWidth="3" />}
    </svg>
  );
}
