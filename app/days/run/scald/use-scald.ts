import type { Post } from "#app/days/run/post/use-post.ts";
import { useSerialProbe } from "#app/days/run/scald/use-serial-probe.ts";
import { waterReadings } from "#core/day/run/bath-readings.ts";
import { countOf } from "#core/day/run/day-fact.ts";
import { lotOfBird } from "#core/day/run/lot-of-bird.ts";
import { scaldNow } from "#core/day/run/scald-now.ts";
import type { FeatherAnswer } from "#core/scald/scald-learn.ts";

/** The scald as it stands for the lot that is dipped now, and what its keys do. */
export function useScald({ reading, facts, bath, devices, person, now, tap }: Post) {
  const lot = reading.lots[lotOfBird(reading.lots, countOf(facts, "dip-in") + 1)]!;
  const plugged = useSerialProbe({ now, onWorthSaying: (celsius) => tap({ kind: "water", celsius }) });
  const readings = waterReadings(facts, [...bath, ...plugged.readings]);
  const scald = scaldNow(facts, readings, lot.scald, now);
  const probe = plugged.status ?? devices.find(({ device }) => device === "bath-probe");
  const loads = [...new Set([1, reading.scaldAtOnce])];
  const dip = (birds: number) => {
    if (!scald.dip) tap({ kind: "dip-in", birds });
  };
  const lift = (word: FeatherAnswer) => {
    if (scald.dip) tap({ kind: "dip-out", birds: scald.dip.birds, word, of: scald.dip.dip.entryId });
  };
  const keys = {
    ...Object.fromEntries(loads.map((birds) => [String(birds), () => dip(birds)])),
    h: () => lift("hold"),
    s: () => lift("slip"),
    t: () => lift("tear"),
  };
  const before = facts.filter(({ kind, person: own }) => kind === "dip-in" && own !== "").at(-1)?.person;
  /** Who had the post until now, where somebody else has this phone. */
  const handedOverBy = person !== "" && before !== undefined && before !== person ? before : undefined;
  return { scald, lot, loads, dip, lift, keys, probe, handedOverBy };
}
