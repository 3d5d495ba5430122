import type { Database } from "better-sqlite3";
import type { DatedChoices, KeptPlan, ProcessingDay, SaveRefusal } from "#db/day/day-queries.server.ts";
import { dayQueries } from "#db/day/day-queries.server.ts";
import { runQueries } from "#db/day/run-queries.server.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

/** A change of a day's plan on its morning. */
export interface SaidChange {
  readonly seenRevision: number;
  /** What changed, in words, for the day's log. */
  readonly words: string;
  /** The plan as it stood, kept where none is kept yet. */
  readonly kept: KeptPlan;
  readonly choices: DatedChoices;
  /** A day for the birds that are left over. */
  readonly split: DatedChoices | undefined;
}

interface ChangeRow {
  readonly entryId: string;
  readonly dayId: number;
  readonly revision: number;
  readonly choicesBefore: string;
  readonly splitEntryId: string | undefined;
}

/** The last change of a day, that can still be put back. */
export interface LastChange {
  readonly entryId: string;
  readonly words: string;
  readonly at: number;
}

/** Prepares every statement of changing a day on its morning once; call it once per connection. */
export function changeQueries(database: Database) {
  const entries = entryQueries(database);
  const days = dayQueries(database);
  const run = runQueries(database);
  const insert = database.prepare<ChangeRow>(`
    INSERT INTO change_of_plan (entry_id, day_id, revision, choices_before, split_entry_id)
    VALUES (@entryId, @dayId, @revision, @choicesBefore, @splitEntryId)`);
  const selectLast = database.prepare<[number], ChangeRow>(`
    SELECT entry_id AS entryId, day_id AS dayId, revision, choices_before AS choicesBefore,
           split_entry_id AS splitEntryId
      FROM change_of_plan
     WHERE day_id = ? AND entry_id NOT IN (SELECT entry_id FROM entry_taken_back) ORDER BY id DESC LIMIT 1`);
  /** Ids are at most 64 characters long. */
  const noteId = (entryId: string) => `${entryId.slice(0, 57)}-note`;
  const splitId = (entryId: string) => `${entryId.slice(0, 57)}-split`;

  /** The last change, if nothing was changed since: not the day, and not the one that was split off. */
  const lastOf = (dayId: number): { row: ChangeRow; current: ProcessingDay } | undefined => {
    const row = selectLast.get(dayId);
    const current = days.day(dayId);
    if (!row || !current || current.revision !== row.revision || current.settledEntryId) return undefined;
    const splitDay = row.splitEntryId && days.day(days.dayOfEntry(row.splitEntryId) ?? 0);
    const isUntouched = !splitDay || (splitDay.revision === 1 && run.cursor(splitDay.id) === 0);
    return isUntouched ? { row, current } : undefined;
  };

  const undo = database.transaction(
    (dayId: number, entryId: string, at: number): "put-back" | "changed-meanwhile" => {
      if (entries.isTakenBack(entryId)) return "put-back";
      const last = lastOf(dayId);
      if (!last || last.row.entryId !== entryId) return "changed-meanwhile";
      const { row, current } = last;
      if (row.splitEntryId) entries.remove(row.splitEntryId, at);
      const seen = { seenRevision: current.revision, timeZone: current.timeZone, at };
      if (days.changeDay(dayId, seen, choicesFrom(row.choicesBefore)) !== "saved") throw new NotPutBack();
      entries.remove(noteId(entryId), at);
      entries.remove(entryId, at);
      return "put-back";
    },
  ).immediate;

  return {
    /**
     * Changes the day, keeps the plan as it stood, says so in the day's log, and makes the day of the birds left over.
     *
     * @param asked what was sent, to tell a repeat from something new: what comes of it depends on the day as it stands
     * @param changed works out what comes of it; not called for a repeat
     */
    change: (entry: Entry, dayId: number, asked: unknown, changed: () => SaidChange): Recorded<SaveRefusal> =>
      entries.once(entry, ["change-of-plan", dayId, asked], () => {
        const said = changed();
        const before = days.day(dayId);
        if (!before) return "changed-meanwhile";
        run.keepPlan(dayId, said.kept);
        const { timeZone } = before;
        const { seenRevision, words: note } = said;
        const saved = days.changeDay(dayId, { seenRevision, timeZone, at: entry.at }, said.choices);
        if (saved !== "saved") return saved;
        const splitEntryId = said.split && splitId(entry.entryId);
        if (said.split) {
          const made = days.addDay({ entryId: splitId(entry.entryId), at: entry.at }, timeZone, said.split);
          if (!made.recorded) return made.reason === "entry-used" ? "changed-meanwhile" : made.reason;
        }
        // Of no phone, so that none offers to undo the note alone.
        const fact = { kind: "note", at: entry.at, note, person: "", device: "" } as const;
        const noted = run.record({ entryId: noteId(entry.entryId), at: entry.at }, dayId, fact);
        if (!noted.recorded) return "day-settled";
        insert.run({
          entryId: entry.entryId,
          dayId,
          revision: days.day(dayId)!.revision,
          choicesBefore: JSON.stringify(choicesOf(before)),
          splitEntryId,
        });
        return undefined;
      }),

    /** What was changed last and can be put back; undefined where there is nothing, or something was changed since. */
    lastChange: (dayId: number): LastChange | undefined => {
      const last = lastOf(dayId);
      const note = last && run.facts(dayId).find(({ entryId }) => entryId === noteId(last.row.entryId));
      return last && { entryId: last.row.entryId, words: note?.note ?? "", at: note?.at ?? 0 };
    },

    /** Puts a day back as it was before its last change, and takes the day of the birds left over away again. */
    undoChange: (dayId: number, entryId: string, at: number): "put-back" | "changed-meanwhile" => {
      try {
        return undo(dayId, entryId, at);
      } catch (error) {
        if (error instanceof NotPutBack) return "changed-meanwhile";
        throw error;
      }
    },
  };
}

/** Undoes the transaction that it is thrown in: birds of the day before the change are another day's by now. */
class NotPutBack extends Error {}

/** A day's choices without what its rows add. */
export function choicesOf(day: ProcessingDay): DatedChoices {
  const {
    id: _id,
    entryId: _entryId,
    revision: _revision,
    timeZone: _zone,
    settledEntryId: _by,
    ...choices
  } = day;
  return choices;
}

/** JSON leaves out what is undefined, and a statement wants every column named. */
function choicesFrom(text: string): DatedChoices {
  const kept = JSON.parse(text) as DatedChoices;
  return { ...kept, changeWaterBirds: kept.changeWaterBirds, brineFraction: kept.brineFraction };
}
