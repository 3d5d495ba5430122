import { range, sum } from "d3-array";
import { useEffect, useId, useState } from "react";
import { Button, FoldedSheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { STATION_WORDS } from "#app/words/words.ts";
import { MINUTE } from "#core/calendar/milliseconds.ts";
import { isBeforeChill, STATIONS } from "#core/processing-line/line-station.ts";
import {
  type BirdPlace,
  placeAt,
  type WatchedReplication,
} from "#core/processing-line/watched-replication.ts";

const SPEEDS = [10, 60, 200, 600] as const;
const STOPS = ["crate", ...STATIONS.filter(isBeforeChill), "chill"] as const;
type Stop = (typeof STOPS)[number];

/** One ordinary replication, played on the line: a dot a bird, from its crate to the chill. It stands still until someone plays it. */
export function WatchSheet({
  replication,
  startAt,
  isFailed,
}: {
  /** Undefined until the worker has played it. */
  replication: WatchedReplication | undefined;
  startAt: number;
  isFailed: boolean;
}) {
  return (
    <FoldedSheet isForScreens id="simulation" heading="Simulation" beside="one typical day, one dot per bird">
      {replication ? (
        <Watched replication={replication} startAt={startAt} />
      ) : (
        <p className="min-h-72 text-sm print:min-h-0">
          {isFailed
            ? "The simulation did not start on this device. Reload the page to try again."
            : "Here each bird's way from its crate to the chill can be played, once it has been simulated."}
        </p>
      )}
    </FoldedSheet>
  );
}

function Watched({ replication, startAt }: { replication: WatchedReplication; startAt: number }) {
  const show = useShow();
  const playing = usePlaying(replication);
  const { minute, isMoved } = playing;
  const clock = show.time(startAt + minute * MINUTE);
  const dots = dotsAt(replication.birds.map((steps) => placeAt(steps, minute)));
  return (
    <>
      <Picture dots={dots} clock={clock} />
      <p className="text-sm">
        {isMoved ? `At ${clock}: ` : `At ${clock} most birds are waiting: `}
        {STOPS.map(
          (stop) => `${wordFor(stop).toLowerCase()} ${dots[stop].waiting + dots[stop].working}`,
        ).join(", ")}
        .
      </p>
      <Controls {...playing} replication={replication} clock={clock} />
    </>
  );
}

/** A replication's clock: it stands where most wait, until it is moved or played. */
function usePlaying(replication: WatchedReplication) {
  const [chosen, setChosen] = useState<number>();
  const [isPlaying, setPlaying] = useState(false);
  const [speed, setSpeed] = useState<number>(60);
  const minute = Math.min(chosen ?? replication.worstMinute, replication.to);
  useEffect(() => {
    if (!isPlaying) return;
    let last = performance.now();
    let frame = requestAnimationFrame(function tick(now) {
      const passed = ((now - last) / MINUTE) * speed;
      last = now;
      setChosen((current) => Math.min(replication.to, (current ?? replication.from) + passed));
      frame = requestAnimationFrame(tick);
    });
    return () => cancelAnimationFrame(frame);
  }, [isPlaying, speed, replication]);
  useEffect(() => {
    if (minute >= replication.to) setPlaying(false);
  }, [minute, replication.to]);
  const playOrStop = () => {
    if (!isPlaying && (chosen === undefined || minute >= replication.to)) setChosen(replication.from);
    setPlaying(!isPlaying);
  };
  const isMoved = chosen !== undefined;
  return { minute, isMoved, isPlaying, speed, moveTo: setChosen, setSpeed, playOrStop };
}

function Controls({
  replication,
  minute,
  isPlaying,
  speed,
  moveTo,
  setSpeed,
  playOrStop,
  clock,
}: ReturnType<typeof usePlaying> & { replication: WatchedReplication; clock: string }) {
  const sliderId = useId();
  return (
    <div className="flex flex-wrap items-center gap-3 pt-2 print:hidden">
      <Button type="button" kind="plain" onClick={playOrStop}>
        {isPlaying ? "Stop" : "Play"}
      </Button>
      <label htmlFor={sliderId} className="sr-only">
        Time of day
      </label>
      <input
        id={sliderId}
        type="range"
        min={Math.floor(replication.from)}
        max={Math.ceil(replication.to)}
        value={Math.round(minute)}
        aria-valuetext={clock}
        onChange={({ target }) => moveTo(Number(target.value))}
        className="h-12 min-w-40 grow accent-pine"
      />
      <fieldset className="flex flex-wrap gap-1">
        <legend className="sr-only">Speed</legend>
        {SPEEDS.map((times) => (
          <button
            key={times}
            type="button"
            aria-pressed={speed === times}
            onClick={() => setSpeed(times)}
            className="min-h-12 rounded-sheet border border-soft bg-white px-3 aria-pressed:border-pine aria-pressed:bg-pine aria-pressed:text-white"
          >
            {times}×
          </button>
        ))}
      </fieldset>
    </div>
  );
}

interface Stack {
  waiting: number;
  working: number;
}

function wordFor(stop: Stop): string {
  if (stop === "crate") return "Crates";
  return stop === "chill" ? "Chill" : STATION_WORDS[stop];
}

function dotsAt(places: readonly BirdPlace[]): Record<Stop, Stack> {
  const dots = Object.fromEntries(STOPS.map((stop) => [stop, { waiting: 0, working: 0 }])) as Record<
    Stop,
    Stack
  >;
  for (const place of places) {
    if ("station" in place) dots[place.station as "gut"][place.at === "before" ? "waiting" : "working"] += 1;
    else dots[place.at].working += 1;
  }
  return dots;
}

const WIDTH = 720;
const COLUMN = WIDTH / STOPS.length;
const HEIGHT = 190;
const MOST_DOT = 11;
/** Height and width for the dots of a column. */
const ROOM = { width: COLUMN - 12, height: HEIGHT - 50 };

/** A station's name broken at its first space where it is too long for a column. */
function inTwoLines(words: string): string[] {
  const at = words.indexOf(" ");
  return words.length <= 12 || at === -1 ? [words] : [words.slice(0, at), words.slice(at + 1)];
}

/** Distance from dot to dot at which all birds fit into one column. */
function dotFor(birds: number): number {
  let dot = MOST_DOT;
  while (dot > 1 && Math.floor(ROOM.width / dot) * Math.floor(ROOM.height / dot) < birds) dot *= 0.95;
  return dot;
}

/** Birds at work are filled, those that wait are rings above them; crates and chill fill up row by row. */
function Picture({ dots, clock }: { dots: Record<Stop, Stack>; clock: string }) {
  const id = useId();
  const dot = dotFor(sum(STOPS, (stop) => dots[stop].working + dots[stop].waiting));
  const across = Math.floor(ROOM.width / dot);
  /** A dot is a line of no length with round ends. */
  const round = { strokeLinecap: "round", strokeWidth: dot * 0.72 } as const;
  const dotsFrom = (from: number, to: number, left: number) =>
    range(from, to)
      .map((index) => {
        const x = left + 12 + (index % across) * dot;
        const y = HEIGHT - 42 - Math.floor(index / across) * dot;
        return `M${Math.round(x)} ${Math.round(y)}h0`;
      })
      .join("");
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-labelledby={id} className="block w-full">
      <title id={id}>{`The line at ${clock}`}</title>
      {STOPS.map((stop, column) => {
        const { working, waiting } = dots[stop];
        const left = column * COLUMN;
        return (
          <g key={stop}>
            <line x1={left} x2={left} y2={HEIGHT} className="stroke-rule" />
            <text className="fill-ink text-xs font-semibold">
              {inTwoLines(wordFor(stop)).map((words, row) => (
                <tspan key={words} x={left + 6} y={HEIGHT - 18 + 13 * row}>
                  {words}
                </tspan>
              ))}
            </text>
            <path d={dotsFrom(0, working, left)} {...round} className="stroke-pine" />
            <path d={dotsFrom(working, working + waiting, left)} {...round} className="stroke-pine" />
            <path
              d={dotsFrom(working, working + waiting, left)}
              {...round}
              strokeWidth={Math.max(1, dot * 0.72 - 3)}
              className="stroke-leaf"
            />
          </g>
        );
      })}
    </svg>
  );
}
