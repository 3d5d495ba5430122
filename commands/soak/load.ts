import { quantile } from "d3-array";
import { SoakPhone } from "#commands/soak/soak-phone.ts";
import type { SoakServer } from "#commands/soak/soak-server.ts";

const PHONES = 8;
const TAPS_A_SECOND = 5;
const DAY_ID = 3;
const MOST_MILLISECONDS = 100;
const MOST_BYTES = 4096;
const MINUTE_SECONDS = 60;
const ALMOST_ALL = 0.99;

/** Eight phones tap five times a second each. @returns 1 for each of: slow at first, slow at last, answers too large */
export async function loadSoak(server: SoakServer, seconds: number, draw: () => number): Promise<number> {
  const phones = Array.from(
    { length: PHONES },
    (_, index) => new SoakPhone(server.url, DAY_ID, `load-phone-${index}`),
  );
  // A phone shows the run before anybody taps on it.
  for (let phone = 0; phone < PHONES; phone += 1)
    await (await fetch(`${server.url}/days/${DAY_ID}/run`)).arrayBuffer();
  const startedAt = performance.now();
  const answers: { readonly at: number; readonly milliseconds: number; readonly bytes: number }[] = [];
  for (const phone of phones)
    phone.answered = (milliseconds, bytes) =>
      answers.push({ at: performance.now() - startedAt, milliseconds, bytes });
  const timers = phones.map((phone) =>
    setInterval(() => {
      phone.tap(draw(), Date.now());
      void phone.send();
    }, 1000 / TAPS_A_SECOND),
  );
  await new Promise((resolve) => setTimeout(resolve, seconds * 1000));
  for (const timer of timers) clearInterval(timer);
  const lasted = performance.now() - startedAt;
  for (const phone of phones) await phone.flush();
  const part = Math.min(MINUTE_SECONDS, seconds / 2) * 1000;
  const slowOf = (from: number, to: number) =>
    quantile(
      answers.filter(({ at }) => at >= from && at < to).map(({ milliseconds }) => milliseconds),
      ALMOST_ALL,
    ) ?? Number.POSITIVE_INFINITY;
  const first = slowOf(0, part);
  const last = slowOf(lasted - part, lasted);
  const largest = Math.max(...answers.map(({ bytes }) => bytes));
  console.log(
    `soak, load: ${answers.length} taps of ${PHONES} phones in ${Math.round(lasted / 1000)} s; 99 of 100 answered within ${Math.round(first)} ms in the first ${Math.round(part / 1000)} s and ${Math.round(last)} ms in the last; largest answer ${largest} bytes`,
  );
  return [first > MOST_MILLISECONDS, last > MOST_MILLISECONDS, largest > MOST_BYTES].filter(Boolean).length;
}
