import type { NewsAfter } from "#app/days/run/live/live-day.ts";
import type { WaitingTap } from "#app/days/run/taps/waiting-taps.ts";

export type SentTap =
  /** The farm's machine was not reached: try again. */
  | { readonly outcome: "not-reached" }
  | { readonly outcome: "kept"; readonly news: NewsAfter }
  /** It will not be taken as it is, for this reason. */
  | { readonly outcome: "refused"; readonly refusal: string };

/** An answer that does not come within this is as good as none. */
const PATIENCE_MILLISECONDS = 8000;

const DAY_IS_GONE =
  "This day was removed from the farm's list. The taps stay on this phone: show them to whoever plans, or discard them.";

/** Sends one thing that waits; its answer carries what is new since `after`. */
export async function sendTap(
  { dayId, fileId }: { readonly dayId: number; readonly fileId: string },
  tap: WaitingTap,
  after: number,
): Promise<SentTap> {
  const { undoes, refusal: _refusal, ...said } = tap;
  const fields = undoes === undefined ? { ...said, file: fileId } : { entryId: undoes, device: said.device };
  const body = new FormData();
  for (const [name, value] of Object.entries({ ...fields, after, answer: "json" }))
    if (value !== undefined) body.set(name, String(value));
  try {
    const response = await fetch(`/days/${dayId}/run/${undoes === undefined ? "tap" : "undo"}`, {
      method: "POST",
      body,
      signal: AbortSignal.timeout(PATIENCE_MILLISECONDS),
    });
    if (response.ok) return { outcome: "kept", news: (await response.json()) as NewsAfter };
    if (response.status >= 500) return { outcome: "not-reached" };
    if (response.status === 404) return { outcome: "refused", refusal: DAY_IS_GONE };
    return { outcome: "refused", refusal: await response.text() };
  } catch {
    return { outcome: "not-reached" };
  }
}
