import type { Database } from "better-sqlite3";
import { dayQueries } from "#db/day/day-queries.server.ts";
import { settledCheck } from "#db/day/settled.server.ts";

export type JoinRefusal =
  | "other-date"
  | "batch-twice"
  | "day-settled"
  | "day-started"
  | "too-many-lots"
  | "gone";

/** Days that were made part of another: what was typed for them is read with that day's own. */
export const OF_DAY = "IN (SELECT id FROM processing_day WHERE id = @dayId OR joined_day_id = @dayId)";

/** Prepares every statement of making two days one; call it once per connection. */
export function joinQueries(database: Database, mostLots: number) {
  const { day } = dayQueries(database);
  const isSettled = settledCheck(database);
  const selectStarted = database.prepare<[number], { found: boolean }>(`
    SELECT EXISTS (SELECT 1 FROM day_fact WHERE day_id = ? AND kind <> 'note'
                      AND entry_id NOT IN (SELECT entry_id FROM entry_taken_back)) AS found`);
  const selectHasBirds = database.prepare<[number], { found: boolean }>(`
    SELECT EXISTS (SELECT 1 FROM pack_now JOIN day_lot AS lot ON lot.id = pack_now.lot_id
                    WHERE lot.came_from_day_id = ?) AS found`);
  const joinDay = database.prepare<{ dayId: number | undefined; otherId: number }>(
    "UPDATE processing_day SET joined_day_id = @dayId, revision = revision + 1 WHERE id = @otherId",
  );
  const joinThoseOf = database.prepare<{ dayId: number; otherId: number }>(
    "UPDATE processing_day SET joined_day_id = @dayId WHERE joined_day_id = @otherId",
  );
  const selectJoined = database.prepare<[number], { dayId: number | undefined }>(
    "SELECT joined_day_id AS dayId FROM processing_day WHERE id = ?",
  );
  const moveLots = database.prepare<{ dayId: number; otherId: number; from: number }>(`
    UPDATE day_lot SET day_id = @dayId, place = place + @from, came_from_day_id = coalesce(came_from_day_id, @otherId)
     WHERE day_id = @otherId AND removed_at IS NULL`);
  const returnLots = database.prepare<{ otherId: number }>(`
    UPDATE day_lot SET day_id = came_from_day_id, came_from_day_id = NULL
     WHERE came_from_day_id = @otherId AND removed_at IS NULL`);
  const selectCame = database.prepare<[number], { lots: number }>(
    "SELECT count(*) AS lots FROM day_lot WHERE came_from_day_id = ? AND removed_at IS NULL",
  );
  const countPeople = database.prepare<{ dayId: number; people: number }>(
    "UPDATE processing_day SET people_count = @people, revision = revision + 1 WHERE id = @dayId",
  );
  const insertSeat = database.prepare<{ dayId: number; from: number; otherId: number; seat: number }>(`
    INSERT INTO day_crew (day_id, seat, person_id, name, stations)
    SELECT @dayId, @from, person_id, name, stations FROM day_crew WHERE day_id = @otherId AND seat = @seat`);

  return {
    /** Makes another day of the same date part of a day: its lots are killed after the day's own, and its crew comes too. */
    joinDays: database.transaction((dayId: number, otherId: number): "joined" | JoinRefusal => {
      const [own, other] = [day(dayId), day(otherId)];
      if (selectJoined.get(otherId)?.dayId === dayId) return "joined";
      if (!own || !other || dayId === otherId) return "gone";
      if (own.processedOn !== other.processedOn) return "other-date";
      if (isSettled(dayId) || isSettled(otherId)) return "day-settled";
      if (selectStarted.get(otherId)!.found) return "day-started";
      if (own.lots.some(({ batchId }) => other.lots.some((lot) => lot.batchId === batchId)))
        return "batch-twice";
      if (own.lots.length + other.lots.length > mostLots) return "too-many-lots";
      moveLots.run({ dayId, otherId, from: own.lots.length });
      // People who are in both crews come once.
      const coming = other.crew
        .map(({ personId, name }, seat) => ({ personId, name, seat }))
        .filter(
          ({ personId }) => personId !== undefined && !own.crew.some((one) => one.personId === personId),
        );
      for (const [index, { seat }] of coming.entries())
        insertSeat.run({ dayId, otherId, from: own.crew.length + index, seat });
      countPeople.run({ dayId, people: own.people + coming.length });
      joinThoseOf.run({ dayId, otherId });
      joinDay.run({ dayId, otherId });
      return "joined";
    }).immediate,

    /** Makes a day that was joined a day of its own again, with its lots; people who came along stay where they are. */
    splitDay: database.transaction(
      (otherId: number): "split" | "birds-weighed" | "day-started" | "day-settled" | "last-lot" | "gone" => {
        const joined = selectJoined.get(otherId)?.dayId;
        if (joined === undefined) return "gone";
        if (isSettled(joined)) return "day-settled";
        if (selectStarted.get(joined)!.found) return "day-started";
        if (selectHasBirds.get(otherId)!.found) return "birds-weighed";
        const came = selectCame.get(otherId)!.lots;
        if (came === 0 || came === day(joined)!.lots.length) return "last-lot";
        returnLots.run({ otherId });
        joinDay.run({ dayId: undefined, otherId });
        countPeople.run({ dayId: joined, people: day(joined)!.people });
        return "split";
      },
    ).immediate,
  };
}
