import { Link } from "react-router";
import { DoneAbout, PLAIN_BUTTON, TapButton, UndoTap } from "#app/days/run/run-board.tsx";
import type { Tap, TapKind } from "#app/days/run/use-taps.ts";
import { SkyRibbon } from "#app/ui/sky-ribbon.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { lotsInWords } from "#app/words/lot-words.ts";
import { plural } from "#app/words/show.ts";
import type { RunProgress } from "#core/day/run/run-progress.ts";
import type { Route } from "./+types/run.ts";

type Loaded = Route.ComponentProps["loaderData"];

/** What the parts of the board show and do, as the day goes on. */
interface Board extends Pick<Loaded, "day" | "birds" | "lots" | "ids" | "plannedEndAt" | "sky"> {
  readonly progress: RunProgress;
  readonly lastTap: Tap | undefined;
  /** Undefined until JavaScript has taken over: then the forms are sent. */
  readonly onTap: ((kind: TapKind) => void) | undefined;
  readonly undo: (() => void) | undefined;
}

export function RunHead({ day, lots, progress: { state, done, toGo } }: Board) {
  const show = useShow();
  return (
    <header className="flex flex-wrap items-baseline justify-between gap-x-6 gap-y-1">
      <h1 className="text-2xl">
        {state === "not-started" ? show.longDay(day.processedOn) : `${done} in the chill tank, ${toGo} to go`}
      </h1>
      <p className="yard-soft">{lotsInWords(lots)}</p>
    </header>
  );
}

export function BeforeTheStart({ day, ids, onTap }: Board) {
  return (
    <TapButton
      dayId={day.id}
      kind="start"
      entryId={ids.start}
      onTap={onTap}
      className="yard-do min-h-32 text-2xl"
    >
      Start the day
    </TapButton>
  );
}

/** While birds come: one large button, what was tapped last to undo, a pause, and when they are likely done. */
export function AtWork({ day, birds, ids, progress, plannedEndAt, lastTap, onTap, undo }: Board) {
  const isPaused = progress.state === "paused";
  return (
    <>
      <TapButton
        dayId={day.id}
        kind="bird"
        entryId={ids.bird}
        onTap={onTap}
        className="yard-do min-h-40 text-3xl"
      >
        Bird in the chill tank
      </TapButton>
      <div className="grid grid-cols-2 gap-3">
        {lastTap && <UndoTap dayId={day.id} tap={lastTap} words="Undo" onUndo={undo} />}
        <TapButton
          dayId={day.id}
          kind={isPaused ? "resume" : "pause"}
          entryId={ids.pause}
          onTap={onTap}
          className={PLAIN_BUTTON}
        >
          {isPaused ? "Resume" : "Pause"}
        </TapButton>
      </div>
      {isPaused && <p className="text-lg">Paused. Pauses don't count toward the pace.</p>}
      <DoneAbout progress={progress} plannedEndAt={plannedEndAt} />
      {progress.toGo === 0 && (
        <p className="text-lg">All {birds} are in. Keep counting if there are more, or finish the day.</p>
      )}
    </>
  );
}

export function Finished({ day, progress }: Board) {
  const show = useShow();
  return (
    <p className="text-lg">
      Finished at {show.time(progress.finishedAt!)}, {plural(progress.done, "bird")} in the chill tank.{" "}
      <Link to={`/days/${day.id}/rest`} className="underline">
        See how long they need to rest
      </Link>
      .
    </p>
  );
}

/** The day so far on its sky. */
export function RunSky({ sky, progress, clock }: Board & { clock: number }) {
  const { firstBirdAt, startedAt, lastBirdAt, doneAt, done } = progress;
  return (
    <SkyRibbon
      sky={sky}
      marks={[
        { at: clock, label: "Now", tone: "now" },
        ...(doneAt ? [{ at: doneAt.value, label: "Likely done" }] : []),
      ]}
      spans={
        firstBirdAt ? [{ from: startedAt ?? firstBirdAt, to: lastBirdAt ?? clock, strength: "full" }] : []
      }
      sentence={`So far: ${done} in the chill tank.`}
    />
  );
}

export type Light = "night" | "sun";

interface MoreProps {
  dayId: number;
  light: Light;
  onLight: (light: Light) => void;
}

/** Where else to go, and a screen for full sun. */
export function More({ dayId, light, onLight }: MoreProps) {
  const link = `grid place-content-center rounded-sheet ${PLAIN_BUTTON}`;
  return (
    <nav aria-label="More" className="grid grid-cols-3 gap-3">
      <Link to={`/days/${dayId}/plan`} className={link}>
        Plan
      </Link>
      <Link to={`/days/${dayId}/rest`} className={link}>
        Rest
      </Link>
      <button
        type="button"
        className={`rounded-sheet ${PLAIN_BUTTON}`}
        onClick={() => onLight(light === "night" ? "sun" : "night")}
      >
        {light === "night" ? "Bright screen" : "Normal screen"}
      </button>
    </nav>
  );
}
