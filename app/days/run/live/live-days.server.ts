import { EventEmitter } from "node:events";
import type { LiveEvent } from "#app/days/run/live/live-day.ts";
import { iceBagsInStock } from "#app/server/day/ice-left.server.ts";
import { basisOfDay } from "#app/server/day/plan-of-day.server.ts";
import { type FarmContext, requireFarm, wholeOf } from "#app/server/farm/farm-context.server.ts";
import { log } from "#app/server/log.server.ts";
import { readWithPool } from "#app/server/pooled/pooled.server.ts";
import { workPool } from "#app/server/work-pool.server.ts";
import { MINUTE } from "#core/calendar/milliseconds.ts";
import type { RunForecast } from "#core/day/forecast/run-forecast.ts";
import type { ProcessingDay } from "#db/day/day-queries.server.ts";

/** Streams that one process keeps open; a farm has ten phones, each with one. */
const MOST_LISTENERS = 64;
const REFRESH_MILLISECONDS = MINUTE;

/** One day as it is listened to: who hears of its changes, and its latest forecast. */
class LiveDay {
  readonly #events = new EventEmitter().setMaxListeners(MOST_LISTENERS);
  readonly #here: FarmContext;
  readonly #dayId: number;
  #forecast: RunForecast | undefined;
  #revision: number | undefined;
  #isPlaying = false;
  #isStale = false;
  #timer: ReturnType<typeof setInterval> | undefined;

  constructor(here: FarmContext, dayId: number) {
    this.#here = here;
    this.#dayId = dayId;
  }

  get forecast(): RunForecast | undefined {
    return this.#forecast;
  }

  /** @returns ends it; undefined where too many listen already */
  listen(hear: (event: LiveEvent) => void): (() => void) | undefined {
    if (this.#events.listenerCount("event") >= MOST_LISTENERS) return undefined;
    this.#events.on("event", hear);
    this.#timer ??= setInterval(() => this.refresh(), REFRESH_MILLISECONDS).unref();
    this.refresh();
    return () => {
      this.#events.off("event", hear);
      if (this.#events.listenerCount("event") > 0) return;
      clearInterval(this.#timer);
      this.#timer = undefined;
    };
  }

  /** Tells everybody what has been added or removed after a cursor, and looks ahead again. */
  changed(after: number): void {
    if (this.#events.listenerCount("event") === 0) return;
    const news = this.#here.file.run.news(this.#dayId, after);
    if (news.cursor > after) this.#tell({ name: "news", data: { ...news, after } });
    const day = this.#here.file.day(this.#dayId);
    if (day && day.revision !== this.#revision) this.#tell({ name: "plan", data: day.revision });
    this.#revision = day?.revision;
    this.refresh();
  }

  /** Plays the day on from now, in the pool; asked again meanwhile, it is played once more afterwards. */
  refresh(): void {
    if (this.#isPlaying) {
      this.#isStale = true;
      return;
    }
    const day = this.#here.file.day(this.#dayId);
    if (!day || day.settledEntryId || !this.#here.file.run.hasBegun(day.id)) return;
    this.#isPlaying = true;
    this.#isStale = false;
    void this.#playOn(day)
      .catch((error) => log.warn({ err: error }, "the day could not be played on; it is tried again"))
      .finally(() => {
        this.#isPlaying = false;
        if (this.#isStale) this.refresh();
      });
  }

  async #playOn(day: ProcessingDay): Promise<void> {
    const hear = (forecast: RunForecast) => {
      // What would help comes later: until then, what helped before stands.
      this.#forecast = { ...forecast, moves: forecast.moves ?? this.#forecast?.moves };
      this.#tell({ name: "forecast", data: this.#forecast });
    };
    const here = this.#here;
    // A reading of its own: whoever listens first may leave before it is done.
    const running = await readWithPool(new AbortController().signal, () => ({
      basis: basisOfDay(here, requireFarm(here), day, iceBagsInStock(here)),
      processedOn: day.processedOn,
      choices: day,
      facts: here.file.run.facts(day.id),
      now: here.now(),
    }));
    hear(await workPool().run("run-forecast", running, { soFar: hear }));
  }

  #tell(event: LiveEvent): void {
    this.#events.emit("event", event);
  }
}

/** By data file and day: a process may serve the files of several tests. */
const days = new WeakMap<FarmContext["file"], Map<number, LiveDay>>();

export function liveDay(asked: FarmContext, dayId: number): LiveDay {
  const here = wholeOf(asked);
  const ofFile = days.get(here.file) ?? new Map<number, LiveDay>();
  days.set(here.file, ofFile);
  const day = ofFile.get(dayId) ?? new LiveDay(here, dayId);
  ofFile.set(dayId, day);
  return day;
}
