import { closeSync, openSync, readFileSync, rmSync, writeSync } from "node:fs";
import type { LocalDay } from "#core/calendar/local-day.ts";
import { crewReach, type Reach } from "#core/day/crew/crew-reach.ts";
import { birdsThatIceChills } from "#core/day/forecast/birds-that-ice-chills.ts";
import { type ChangedDay, changedDay } from "#core/day/forecast/changed-day.ts";
import { iceAhead } from "#core/day/forecast/ice-ahead.ts";
import { type RunForecast, runForecast } from "#core/day/forecast/run-forecast.ts";
import { lineSetup } from "#core/day/plan/line-setup.ts";
import { type PlanBasis, type PlanForDate, planForDate, planInput } from "#core/day/plan/plan-for-date.ts";
import type { DayChoices } from "#core/day/plan/plan-input.ts";
import { scaldPlan } from "#core/day/plan/scald-plan.ts";
import type { DayFact } from "#core/day/run/day-fact.ts";
import { tanksNow } from "#core/day/run/tanks-now.ts";
import type { BackupReason } from "#core/file/file-life.ts";
import { fillOrdersOf } from "#core/orders/fill-orders.ts";
import type { Bottleneck } from "#core/processing-line/alternatives/line-whatif.ts";
import type { LineDay } from "#core/processing-line/line-day.ts";
import type { LineAnswer } from "#core/processing-line/line-tally.ts";
import { fairShareOf } from "#core/sharing/share-fair.ts";
import { forgetName } from "#db/history/forget-name.server.ts";
import { type Backup, dropOldBackups, writeBackup } from "#db/life/backup-archive.server.ts";
import { writeFarmCsv } from "#db/life/farm-csv.server.ts";
import { exportedFarm, ImportFault, importFarm } from "#db/life/farm-json.server.ts";
import { damageOf } from "#db/life/file-trouble.server.ts";
import { type CalendarAsked, type CalendarReading, readCalendar } from "#workers/calendar/read-calendar.ts";
import {
  type AskedPlan,
  firstPlanOfDay,
  limitOfLine,
  plannedDay,
  plannedMinutes,
  playedLines,
  predictedMinutes,
} from "#workers/line/planned-day.ts";
import { type LabelSheets, labelSheets } from "#workers/pdf/label-sheets.ts";
import { type RunSheet, runSheet } from "#workers/pdf/run-sheet.ts";
import { type WrittenPages, writtenPages } from "#workers/pdf/written-pages.ts";

/** A day that runs: what its plan is made of, and what was tapped. */
export interface RunningDay {
  readonly basis: PlanBasis;
  readonly processedOn: LocalDay;
  readonly choices: DayChoices;
  /** In order of time. */
  readonly facts: readonly DayFact[];
  readonly now: number;
}

/** A day with its choices changed: by when the birds are to be in the chill, and how much ice there is. */
export interface AskedChange extends RunningDay {
  readonly limitAt: number;
  /** Bags that there are; undefined where ice is not short. */
  readonly iceBags: number | undefined;
}

/** A data file to be packed into a folder of archives. */
export interface AskedBackup {
  readonly path: string;
  readonly folder: string;
  readonly madeAt: number;
  readonly reason: BackupReason;
}

/** The line of a day as its choices have it, from its planned start. */
function lineOf({ basis, processedOn, choices }: Pick<RunningDay, "basis" | "processedOn" | "choices">) {
  const plan = planInput(basis, processedOn, choices);
  const scalds = plan.lots.map((lot) => scaldPlan(lot, plan.means));
  return { planned: lineSetup(plan, scalds).day, crew: plan.crew };
}

/** The plan's ice, its stock counted at least as what went into the tanks. */
function iceOf({ basis, processedOn, choices, facts }: RunningDay) {
  const { plan: planned } = planForDate(basis, processedOn, choices);
  // What went into the tanks was there, whatever the stock says of it.
  const poured = tanksNow(facts, 1).reduce((sum, { bags }) => sum + bags, 0);
  const inStock = basis.iceBagsInStock;
  const iceBagsInStock = inStock === undefined ? undefined : Math.max(inStock, poured);
  return { plan: planInput({ ...basis, iceBagsInStock }, processedOn, choices), planned };
}

/** Hears of a task's answer while it is not whole yet. */
type SoFar<Output> = (output: Output) => void;

/** What the pool can be asked for: by name, what goes in and what comes out. All of it can be cloned. */
export const TASKS = {
  "run-forecast": (running: RunningDay, soFar: SoFar<RunForecast>): RunForecast => {
    const { choices, facts, now } = running;
    const { forecast, moves } = runForecast({
      ...lineOf(running),
      facts,
      startAt: choices.startAt,
      now,
      isSkinned: choices.pluckBy === "skin",
      iceOf: (chills, originAt) => iceAhead({ ...iceOf(running), chills, originAt }),
    });
    soFar(forecast);
    return { ...forecast, moves: moves() };
  },
  "changed-day": ({
    limitAt,
    iceBags,
    ...running
  }: AskedChange): ChangedDay & { iceFor: number | undefined } => {
    const { planned } = lineOf(running);
    const { choices, facts, now, basis, processedOn } = running;
    return {
      ...changedDay({ planned, facts, startAt: choices.startAt, now, limitAt }),
      iceFor: iceBags === undefined ? undefined : birdsThatIceChills(basis, processedOn, choices, iceBags),
    };
  },
  "lines-of-day": (asked: AskedPlan): LineAnswer[] => playedLines(asked),
  plan: (asked: AskedPlan): PlanForDate => plannedDay(asked),
  "planned-minutes": (asked: AskedPlan): number => plannedMinutes(asked),
  "first-plan": (asked: AskedPlan): PlanForDate => firstPlanOfDay(asked),
  "predicted-minutes": (asked: AskedPlan): number => predictedMinutes(asked),
  "limit-of-line": (day: LineDay): Bottleneck | undefined => limitOfLine(day),
  "crew-reach": (reach: Reach): number => crewReach(reach),
  /** A PDF with labels on sheets. */
  "label-sheets": (sheets: LabelSheets): Promise<Uint8Array> => labelSheets(sheets),
  /** A PDF with the tasks of a day, what to have ready, and a page for each station. */
  "run-sheet": (sheet: RunSheet): Promise<Uint8Array> => runSheet(sheet),
  /** Packs a data file into an archive, and drops the oldest that were made on their own. */
  "back-up": async ({ path, folder, ...made }: AskedBackup): Promise<Backup> => {
    const backup = await writeBackup(path, folder, made);
    await dropOldBackups(folder);
    return backup;
  },
  "fair-share": fairShareOf,
  "fill-orders": fillOrdersOf,
  "written-pages": (pages: WrittenPages): Promise<Uint8Array> => writtenPages(pages),
  "read-calendar": ({ text, ...asked }: { readonly text: string } & CalendarAsked): CalendarReading =>
    readCalendar(text, asked),
  /** Writes the whole farm into a file. */
  "export-farm": ({ path, to }: { readonly path: string; readonly to: string }): void => {
    const file = openSync(to, "w");
    try {
      for (const part of exportedFarm(path)) writeSync(file, part);
    } finally {
      closeSync(file);
    }
  },
  /** Packs the whole farm as CSV into a zip. */
  "export-csv": ({ path, to }: { readonly path: string; readonly to: string }): Promise<void> =>
    writeFarmCsv(path, to),
  /** Makes a data file of an exported farm. What keeps the text from being read as a farm is told in words. */
  "import-farm": ({ from, to }: { readonly from: string; readonly to: string }): string | undefined => {
    rmSync(to, { force: true });
    try {
      importFarm(readFileSync(from, "utf8"), to);
      return undefined;
    } catch (error) {
      if (error instanceof ImportFault) return error.message;
      throw error;
    }
  },
  /** Puts another name in the place of one, everywhere in a file that is open nowhere else. */
  "forget-name": (asked: {
    readonly path: string;
    readonly name: string;
    readonly alias: string;
    readonly customerId?: number;
  }): number => forgetName(asked.path, asked.name, asked.alias, asked.customerId),
  /** What is damaged in a data file; empty where nothing is. */
  "check-file": (path: string): string[] => damageOf(path),
} as const;

export type TaskName = keyof typeof TASKS;
export type TaskInput<Name extends TaskName> = Parameters<(typeof TASKS)[Name]>[0];
export type TaskOutput<Name extends TaskName> = Awaited<ReturnType<(typeof TASKS)[Name]>>;
