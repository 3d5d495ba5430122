import { quantile } from "d3-array";
import { SoakPhone } from "#commands/soak/soak-phone.ts";
import type { SoakServer } from "#commands/soak/soak-server.ts";
import { processorTicks, stolenShare } from "#commands/soak/stolen-time.ts";

const PHONES = 8;
const TAPS_A_SECOND = 5;
const DAY_ID = 3;
const MOST_MILLISECONDS = 100;
const MOST_BYTES = 4096;
const MINUTE_SECONDS = 60;
const ALMOST_ALL = 0.99;
/** A second in which other machines had more of the processors than this says nothing of the server. */
const MOST_STOLEN = 0.1;

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
  const isQuiet = await quietSeconds(seconds);
  for (const timer of timers) clearInterval(timer);
  const lasted = performance.now() - startedAt;
  for (const phone of phones) await phone.flush();
  const part = Math.round(Math.min(MINUTE_SECONDS, seconds / 2));
  const quiet = [...isQuiet.keys()].filter((second) => isQuiet[second]);
  const second = (at: number) => Math.floor(at / 1000);
  const slowIn = (seconds: readonly number[]) =>
    Math.round(
      quantile(
        answers
          .filter(
            ({ at, milliseconds }) =>
              seconds.includes(second(at)) && isQuiet[second(Math.max(0, at - milliseconds))],
          )
          .map(({ milliseconds }) => milliseconds),
        ALMOST_ALL,
      ) ?? Number.POSITIVE_INFINITY,
    );
  const first = slowIn(quiet.slice(0, part));
  const last = slowIn(quiet.slice(-part));
  const largest = Math.max(...answers.map(({ bytes }) => bytes));
  console.log(
    `soak, load: ${answers.length} taps of ${PHONES} phones in ${Math.round(lasted / 1000)} s; 99 of 100 answered within ${first} ms in the first ${part} s and ${last} ms in the last, leaving out ${isQuiet.length - quiet.length} s in which other machines had more than a tenth of the processors; largest answer ${largest} bytes`,
  );
  return [first > MOST_MILLISECONDS, last > MOST_MILLISECONDS, largest > MOST_BYTES].filter(Boolean).length;
}

/** Waits, and says of each second whether this machine had its processors to itself. */
async function quietSeconds(seconds: number): Promise<boolean[]> {
  const quiet: boolean[] = [];
  const startedAt = performance.now();
  for (let second = 1; second <= seconds; second += 1) {
    const before = processorTicks();
    await new Promise((resolve) => setTimeout(resolve, startedAt + second * 1000 - performance.now()));
    quiet.push(stolenShare(before, processorTicks()) <= MOST_STOLEN);
  }
  return quiet;
}
