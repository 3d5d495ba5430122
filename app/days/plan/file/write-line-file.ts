import type { z } from "zod";
import type { LineFile } from "#app/days/plan/file/line-file.ts";
import { clockOfMinute, minuteOfClock } from "#core/calendar/farm-time.ts";
import type { BirdKind } from "#core/growth/bird-kind.ts";
import { birdsOf, type LineDay, type LineLot, type PluckBy } from "#core/processing-line/line-day.ts";
import { stationRow } from "#core/processing-line/line-station.ts";
import type { ScaldMethod } from "#core/scald/scald-constants.ts";

const rounded = (value: number, digits = 3) => Number(value.toFixed(digits));

/** What a lot's birds are, which the line itself does not know. */
export interface LotInFile {
  readonly kind: BirdKind;
  readonly liveKilograms: number;
  readonly scald: ScaldMethod;
}

/** How birds are cut up, which the line knows only by its minutes. */
export type CuttingInFile = Pick<z.input<typeof LineFile>["work"] & object, "cutWith" | "packs">;

/** A day of the line as a file, so that a plan can be taken along, changed elsewhere, and played by the command. */
export function lineFileOf(
  day: LineDay,
  of: {
    readonly lots: readonly LotInFile[];
    readonly start: string;
    readonly pluckBy?: PluckBy;
    readonly cutting?: CuttingInFile;
  },
): z.input<typeof LineFile> {
  const clockAt = (minute: number) => clockOfMinute(Math.round(minuteOfClock(of.start) + minute));
  const [first] = day.lots;
  const lots = day.lots.map((lot, index) => lotInFile(lot, of.lots[index]!));
  return {
    birds: birdsOf(day),
    kind: lots[0]!.kind,
    liveKg: lots[0]!.liveKg,
    ...(lots.length > 1 && { lots }),
    start: of.start,
    people: day.people.map(({ name, stations, pace, fromMinute, toMinute }) => ({
      name,
      stations: [...stations],
      pace: Object.fromEntries(stations.map((station) => [station, rounded(pace[station] ?? 1)])),
      ...(fromMinute > 0 && { from: clockAt(fromMinute) }),
      ...(toMinute < Infinity && { to: clockAt(toMinute) }),
    })),
    kit: day.kit,
    work: {
      giblets: lots[0]!.giblets,
      feet: lots[0]!.feet,
      packSameDay: day.packSameDay,
      cutUp: day.lots.reduce((sum, { cutUp }) => sum + cutUp, 0),
      restMinutes: lots[0]!.restMinutes,
      pluckBy: of.pluckBy ?? day.pluckBy,
      dipSeconds: lots[0]!.dipSeconds,
      bleedFloorMinutes: day.bleedFloorMinutes,
      ...of.cutting,
    },
    breaks: day.breaks.map(({ fromMinute, minutes }) => ({ at: clockAt(fromMinute), minutes })),
    setUpMinutes: day.setUpMinutes,
    cleanUpMinutes: day.cleanUpMinutes,
    ...(day.slowSpell && { slowSpell: day.slowSpell }),
    ...(day.changeWaterEvery !== undefined && {
      waterChange: { everyBirds: day.changeWaterEvery, minutes: rounded(first!.waterChangeMinutes) },
    }),
    ...(lots[0]!.bath && { bath: lots[0]!.bath }),
    daySpread: day.daySdLn,
  };
}

function lotInFile(lot: LineLot, { kind, liveKilograms, scald }: LotInFile) {
  return {
    birds: lot.birds,
    kind,
    liveKg: rounded(liveKilograms),
    scald,
    cutUp: lot.cutUp,
    giblets: lot.giblets,
    feet: lot.minutes.feet > stationRow("feet").medianMinutes,
    dipSeconds: rounded(lot.minutes.scald * 60),
    restMinutes: rounded(lot.restMinutes),
    settingMinutes: rounded(lot.settingMinutes),
    waterChangeMinutes: rounded(lot.waterChangeMinutes),
    ...(lot.bath && {
      bath: {
        sagPerBird: rounded(lot.bath.sagPerBird, 6),
        recoveryPerMinute: rounded(lot.bath.recoveryPerMinute, 6),
        waitBelow: lot.bath.waitBelow,
      },
    }),
  };
}
