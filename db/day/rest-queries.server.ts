import type { Database } from "better-sqlite3";
import type { RestKind, RestMethod } from "#core/rest/rest-part.ts";
import type { Cover } from "#core/rest/rest-weight.ts";
import { OF_DAY } from "#db/day/join-queries.server.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

/** A part of a lot's birds that rests alike, in the order of the kill. */
export interface RestPart {
  readonly lotId: number;
  readonly birds: number;
  readonly method: RestMethod;
  readonly cover: Cover;
  /** Where they are to rest; undefined for the tank they were chilled in. */
  readonly placeId: number | undefined;
  /** Of the brine by weight; undefined for no brine. */
  readonly saltPermille: number | undefined;
  readonly sugarPermille: number | undefined;
  readonly brineHours: number | undefined;
}

export interface RestProgram {
  readonly entryId: string;
  readonly parts: readonly RestPart[];
}

/** Something done with resting birds, or measured. */
export interface RestFact {
  readonly entryId: string;
  /** Undefined for all of the day's birds. */
  readonly lotId: number | undefined;
  readonly kind: RestKind;
  readonly at: number;
  /** Birds that were moved, or bags of ice. */
  readonly count: number | undefined;
  readonly millicelsius: number | undefined;
  readonly placeId: number | undefined;
  readonly personId: number | undefined;
  readonly note: string;
}

/** Prepares every statement of a day's rest once; call it once per connection. */
export function restQueries(database: Database) {
  const entries = entryQueries(database);
  const removed = "(SELECT entry_id FROM entry_taken_back)";
  const selectProgram = database.prepare<[number], { id: number; entryId: string }>(`
    SELECT id, entry_id AS entryId FROM rest_program
     WHERE day_id = ? AND entry_id NOT IN ${removed} ORDER BY id DESC LIMIT 1`);
  const selectParts = database.prepare<[number], RestPart>(`
    SELECT lot_id AS lotId, bird_count AS birds, method, cover, place_id AS placeId, salt_permille AS saltPermille,
           sugar_permille AS sugarPermille, brine_hours AS brineHours
      FROM rest_part WHERE program_id = ? ORDER BY id`);
  const insertProgram = database.prepare<{ entryId: string; dayId: number }>(
    "INSERT INTO rest_program (entry_id, day_id) VALUES (@entryId, @dayId)",
  );
  const insertPart = database.prepare<RestPart & { programId: number }>(`
    INSERT INTO rest_part (program_id, lot_id, bird_count, method, cover, place_id, salt_permille, sugar_permille, brine_hours)
    VALUES (@programId, @lotId, @birds, @method, @cover, @placeId, @saltPermille, @sugarPermille, @brineHours)`);
  const selectLot = database.prepare<[number, number], { id: number }>(
    "SELECT id FROM day_lot WHERE id = ? AND day_id = ? AND removed_at IS NULL",
  );
  const selectFacts = database.prepare<{ dayId: number }, RestFact>(`
    SELECT entry_id AS entryId, lot_id AS lotId, kind, at, count, millicelsius, place_id AS placeId,
           person_id AS personId, note
      FROM rest_fact WHERE day_id ${OF_DAY} AND entry_id NOT IN ${removed} ORDER BY at, id`);
  const insertFact = database.prepare<RestFact & { dayId: number }>(`
    INSERT INTO rest_fact (entry_id, day_id, lot_id, kind, at, count, millicelsius, place_id, person_id, note)
    VALUES (@entryId, @dayId, @lotId, @kind, @at, @count, @millicelsius, @placeId, @personId, @note)`);

  return {
    /** How the day's birds are to rest; undefined until someone has said. */
    program: (dayId: number): RestProgram | undefined => {
      const program = selectProgram.get(dayId);
      return program && { entryId: program.entryId, parts: selectParts.all(program.id) };
    },
    saveProgram: (entry: Entry, dayId: number, parts: readonly RestPart[]): Recorded<"lot-unknown"> =>
      entries.once(entry, ["rest-program", dayId, parts], () => {
        const { lastInsertRowid } = insertProgram.run({ entryId: entry.entryId, dayId });
        for (const part of parts) {
          if (!selectLot.get(part.lotId, dayId)) return "lot-unknown";
          insertPart.run({ ...part, programId: Number(lastInsertRowid) });
        }
        return undefined;
      }),
    /** What was done with the day's resting birds, in order of time. */
    facts: (dayId: number): RestFact[] => selectFacts.all({ dayId }),
    recordFact: (
      entry: Entry,
      dayId: number,
      fact: Omit<RestFact, "entryId" | "at">,
    ): Recorded<"lot-unknown"> =>
      entries.once(entry, ["rest-fact", dayId, fact], () => {
        if (fact.lotId !== undefined && !selectLot.get(fact.lotId, dayId)) return "lot-unknown";
        insertFact.run({ ...fact, entryId: entry.entryId, at: entry.at, dayId });
        return undefined;
      }),
  };
}
