import { SoakPhone } from "#commands/soak/soak-phone.ts";
import type { SoakServer } from "#commands/soak/soak-server.ts";

const PHONES = 8;
const DAY_ID = 3;
/** Of the day's clock, for two phones in the middle of the soak. */
const WITHOUT_SIGNAL_MINUTES = 10;
const BETWEEN_KILLS_MILLISECONDS = 6000;
const BETWEEN_TAPS_MILLISECONDS = 120;

interface Settings {
  readonly seconds: number;
  readonly draw: () => number;
  /** The day's clock when the soak begins. */
  readonly clock: string;
}

/**
 * Eight phones tap a day while the server is killed again and again, two of them without a signal for ten minutes of the
 * day's clock.
 *
 * @returns what was lost, was counted twice, or is not known to a phone
 */
export async function phonesSoak(server: SoakServer, { seconds, draw, clock }: Settings): Promise<number> {
  const phones = Array.from(
    { length: PHONES },
    (_, index) => new SoakPhone(server.url, DAY_ID, `soak-phone-${index}`),
  );
  const startedAt = Date.now();
  const share = () => (Date.now() - startedAt) / (seconds * 1000);
  /** Runs so that the phones without a signal miss ten minutes of it in a third of the soak. */
  const dayClock = () => Date.parse(clock) + share() * 3 * WITHOUT_SIGNAL_MINUTES * 60_000;
  let kills = 0;
  let nextKillAt = Date.now() + BETWEEN_KILLS_MILLISECONDS;
  while (share() < 1) {
    for (const [index, phone] of phones.entries()) {
      phone.hasSignal = !(index < 2 && share() > 1 / 3 && share() < 2 / 3);
      phone.tap(draw(), dayClock());
      void phone.send();
    }
    if (Date.now() > nextKillAt) {
      await server.end("SIGKILL");
      kills += 1;
      await pause(300 * draw());
      await server.start();
      nextKillAt = Date.now() + BETWEEN_KILLS_MILLISECONDS * (0.5 + draw());
    }
    await pause(BETWEEN_TAPS_MILLISECONDS);
  }
  for (const phone of phones) {
    phone.hasSignal = true;
    await phone.flush();
  }
  // Only now is there nothing on its way from another phone.
  for (const phone of phones) await phone.catchUp();
  return compared(server, phones, kills);
}

async function compared(server: SoakServer, phones: readonly SoakPhone[], kills: number): Promise<number> {
  const { events } = await (await fetch(`${server.url}/days/${DAY_ID}/day.json`)).json();
  const there: string[] = events.map(({ entryId }: { entryId: string }) => entryId);
  const meant = new Set(phones.flatMap((phone) => phone.meant()));
  const lost = [...meant].filter((entryId) => !there.includes(entryId));
  const doubled = there.length - new Set(there).size;
  const strange = there.filter((entryId) => !meant.has(entryId) && !entryId.endsWith("-start"));
  const unlike = phones.filter((phone) => phone.knows() !== [...there].sort().join());
  console.log(
    `soak, phones: ${meant.size} facts meant by ${PHONES} phones, ${kills} kills; ${lost.length} lost, ${doubled} doubled, ${strange.length} that nobody tapped or that were undone, ${unlike.length} phones that know something else`,
  );
  return lost.length + doubled + strange.length + unlike.length;
}

const pause = (milliseconds: number) => new Promise((resolve) => setTimeout(resolve, milliseconds));
