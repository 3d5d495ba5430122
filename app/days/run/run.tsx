import { useEffect, useState } from "react";
import { Form } from "react-router";
import { BirdStrip, Lately, PLAIN_BUTTON, TapButton, UndoTap } from "#app/days/run/run-board.tsx";
import {
  AtWork,
  BeforeTheStart,
  Finished,
  type Light,
  More,
  RunHead,
  RunSky,
} from "#app/days/run/run-states.tsx";
import { type TapKind, useTaps } from "#app/days/run/use-taps.ts";
import { planOf } from "#app/server/day/plan-of-day.server.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { placeOf } from "#app/server/farm/farm-means.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { newEntryId } from "#app/server/submitted.server.ts";
import { isPressedIn, useHotkeys } from "#app/ui/use-hotkeys.ts";
import { HOUR } from "#core/calendar/milliseconds.ts";
import { runProgress } from "#core/day/run/run-progress.ts";
import { birdsOf } from "#core/processing-line/line-day.ts";
import { skyBetween } from "#core/sky/farm-sky.ts";
import type { Route } from "./+types/run.ts";

export const meta = () => [{ title: "Run · Pale Morning" }];

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { farm, day, lots } = requireDay(here, params.dayId);
  const events = here.file.run.events(day.id);
  const at = here.now();
  const { startedAt, lastBirdAt, finishedAt } = runProgress(events, birdsOf(day), at);
  const from = (startedAt ?? day.startAt) - HOUR;
  const until = Math.max(from + 12 * HOUR, (finishedAt ?? lastBirdAt ?? from) + 2 * HOUR);
  const place = placeOf(farm);
  return {
    day,
    birds: birdsOf(day),
    lots: lots.map(({ birds, batchName }) => ({ birds, batchName })),
    events,
    now: at,
    plannedEndAt: here.file.keptPlan(day.id)?.likelyAt ?? planOf(here, farm, day).plan.line.likelyAt.value,
    sky: skyBetween(from, until, place),
    ids: {
      start: newEntryId(),
      bird: newEntryId(),
      pause: newEntryId(),
      note: newEntryId(),
      finish: newEntryId(),
    },
  };
}

const TICK_MILLISECONDS = 1000;

export default function Run({ loaderData }: Route.ComponentProps) {
  const { day, birds, events, ids } = loaderData;
  const isReady = useIsReady();
  const clock = useClock(loaderData.now);
  const { taps, tap, remove, refusal } = useTaps(day.id, events);
  const [light, setLight] = useState<Light>("night");
  const progress = runProgress(taps, birds, clock);
  const { state, done } = progress;
  const lastTap = taps.at(-1);
  const onTap = isReady ? (kind: TapKind) => tap(kind, clock) : undefined;
  const undo = isReady && lastTap ? () => remove(lastTap, clock) : undefined;
  const isOpen = state === "running" || state === "paused";
  usePedal(isOpen, {
    " ": () => onTap?.("bird"),
    u: () => undo?.(),
    p: () => onTap?.(state === "paused" ? "resume" : "pause"),
  });
  const board = { ...loaderData, progress, lastTap, onTap, undo };
  return (
    <div className="yard grid min-h-dvh content-start gap-4 p-4 md:p-6" data-light={light}>
      <RunHead {...board} />
      <BirdStrip done={done} planned={birds} />
      {refusal && (
        <p role="alert" className="border-l-4 border-barn bg-blush px-4 py-2 text-ink">
          {refusal}
        </p>
      )}
      {state === "not-started" && <BeforeTheStart {...board} />}
      {isOpen && <AtWork {...board} />}
      {state === "finished" && <Finished {...board} />}
      {state !== "not-started" && <RunSky {...board} clock={clock} />}
      <Note
        dayId={day.id}
        entryId={ids.note}
        onNote={isReady ? (note) => tap("note", clock, note) : undefined}
      />
      <Lately taps={taps} />
      {isOpen && (
        <TapButton dayId={day.id} kind="finish" entryId={ids.finish} onTap={onTap} className={PLAIN_BUTTON}>
          Finish the day
        </TapButton>
      )}
      {state === "finished" && lastTap?.kind === "finish" && (
        <UndoTap dayId={day.id} tap={lastTap} words="Undo finish" />
      )}
      <More dayId={day.id} light={light} onLight={setLight} />
      <p className="yard-soft text-sm">
        Scalding water, blades, drum, wet wires: know where the breaker is, and keep children away. Never
        process a sick flock: stop, isolate, call a vet.
      </p>
    </div>
  );
}

function Note({
  dayId,
  entryId,
  onNote,
}: {
  dayId: number;
  entryId: string;
  onNote: ((note: string) => void) | undefined;
}) {
  return (
    <Form
      method="post"
      action={`/days/${dayId}/run/tap`}
      className="grid grid-cols-3 gap-3"
      onSubmit={(event) => {
        if (!onNote) return;
        event.preventDefault();
        const form = event.currentTarget;
        const note = String(new FormData(form).get("note") ?? "").trim();
        if (note) onNote(note);
        form.reset();
      }}
    >
      <input type="hidden" name="entryId" value={entryId} />
      <input type="hidden" name="kind" value="note" />
      <input
        name="note"
        aria-label="Note"
        placeholder="A note"
        maxLength={1000}
        autoComplete="off"
        className="yard-card col-span-2 min-h-16 rounded-sheet px-4 text-lg placeholder:text-fog"
      />
      <button type="submit" className="yard-card min-h-16 rounded-sheet text-lg font-semibold">
        Add note
      </button>
    </Form>
  );
}

/** Whether JavaScript has taken over. */
function useIsReady(): boolean {
  const [isReady, setIsReady] = useState(false);
  useEffect(() => setIsReady(true), []);
  return isReady;
}

/** The server's clock, ticking here. */
function useClock(serverNow: number): number {
  const [clock, setClock] = useState(serverNow);
  useEffect(() => {
    const offset = serverNow - Date.now();
    setClock(Date.now() + offset);
    const timer = setInterval(() => setClock(Date.now() + offset), TICK_MILLISECONDS);
    return () => clearInterval(timer);
  }, [serverNow]);
  return clock;
}

/** One key for each one-tap action, so that a pedal can drive it. */
function usePedal(isOn: boolean, actions: Readonly<Record<string, () => void>>) {
  useHotkeys(
    (event) =>
      event.repeat || isPressedIn(event, "input, textarea, button, a, summary")
        ? undefined
        : actions[event.key],
    isOn,
  );
}
