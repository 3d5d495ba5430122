import { answerAsk } from "#workers/line/answer-ask.ts";
import type { LineCommand, LineReply } from "#workers/line/protocol.ts";

/** A shell round the line's sums: it holds no rules of its own. */
const cancelled = new Set<number>();
const reply = (message: LineReply) => self.postMessage(message);
/** Lets messages in between two slices. */
const pause = () => new Promise((resolve) => setTimeout(resolve));

self.addEventListener("message", ({ data }: MessageEvent<LineCommand>) => {
  if (data.type === "cancel") cancelled.add(data.id);
  else void run(data);
});

async function run({ id, ask }: Extract<LineCommand, { type: "start" }>): Promise<void> {
  try {
    const steps = answerAsk(ask, () => performance.now());
    for (;;) {
      if (cancelled.delete(id)) return reply({ type: "cancelled", id });
      const step = steps.next();
      if (step.done) return reply({ type: "done", id, result: step.value });
      reply({ type: "progress", id, share: step.value });
      await pause();
    }
  } catch (error) {
    reply({ type: "failed", id, message: error instanceof Error ? error.message : String(error) });
  } finally {
    cancelled.delete(id);
  }
}
