import ical, { ICalCalendarMethod } from "ical-generator";
import type { SeasonTask } from "#app/season/calendar/season-tasks.server.ts";
import { MINUTE } from "#core/calendar/milliseconds.ts";

/** Tasks as a calendar file. Each keeps its id, so that a calendar that has it already changes it instead of doubling it. */
export function calendarFile(name: string, tasks: readonly SeasonTask[], madeAt: number): string {
  const calendar = ical({
    name,
    prodId: { company: "Pale Morning", product: "Season", language: "EN" },
    method: ICalCalendarMethod.PUBLISH,
  });
  for (const { uid, revision, title, why, who, at, minutes } of tasks)
    calendar.createEvent({
      id: uid,
      sequence: revision,
      stamp: new Date(madeAt),
      start: new Date(at),
      end: new Date(at + minutes * MINUTE),
      summary: title,
      description: who === undefined ? why : `${who}. ${why}`,
    });
  return calendar.toString();
}

/** Answers with a calendar file to be kept. */
export function calendarResponse(fileName: string, content: string): Response {
  return new Response(content, {
    headers: {
      "Content-Type": "text/calendar; charset=utf-8",
      "Content-Disposition": `attachment; filename="${fileName}.ics"`,
      "Cache-Control": "no-store",
    },
  });
}
