import type { Page } from "@playwright/test";
import type { FarmServer } from "./farm-server.ts";

export const numbers = (from: number, to: number) =>
  Array.from({ length: to - from + 1 }, (_, index) => from + index);

/** Taps thirty kills of the demo's day, two minutes apart from two minutes after a moment on, and each bird into the chill 20 min later. */
export async function tapThirtyBirds(page: Page, { url }: FarmServer, startedAt: string): Promise<void> {
  const tap = (kind: string, minute: number) =>
    page.request.post(`${url}/days/3/run/tap`, {
      form: {
        entryId: `tap-of-the-walk-${kind}-${minute}`,
        kind,
        at: String(Date.parse(startedAt) + minute * 60_000),
        answer: "json",
      },
      headers: { Origin: url },
    });
  await tap("start", 0);
  for (const bird of numbers(1, 30)) {
    await tap("kill", bird * 2);
    await tap("bird", bird * 2 + 20);
  }
}
