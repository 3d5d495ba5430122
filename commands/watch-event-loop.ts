import { monitorEventLoopDelay } from "node:perf_hooks";
import type { Logger } from "pino";

/** Nothing may keep other requests waiting for longer, ms. */
const MOST_MILLISECONDS = 50;
const RESOLUTION_MILLISECONDS = 10;
const LOOK_EVERY_MILLISECONDS = 10_000;

/** Says in the log when the thread that answers pages was held for too long, as far as it can tell: to its resolution. */
export function watchEventLoop(log: Logger): void {
  const delay = monitorEventLoopDelay({ resolution: RESOLUTION_MILLISECONDS });
  delay.enable();
  setInterval(() => {
    const milliseconds = Math.round(delay.max / 1e6);
    delay.reset();
    if (milliseconds > MOST_MILLISECONDS + RESOLUTION_MILLISECONDS)
      log.warn({ milliseconds }, "pages had to wait for something that ran in their thread");
  }, LOOK_EVERY_MILLISECONDS).unref();
}
