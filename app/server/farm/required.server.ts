import { data } from "react-router";
import { type FarmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import type { Batch } from "#db/batch/batch-queries.server.ts";
import type { ProcessingDay } from "#db/day/day-queries.server.ts";
import type { DayLot } from "#db/day/lot-queries.server.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

/** Reads an id out of an address. @throws a 404 page if there is no such thing. */
export function idFrom(text: string | undefined, what: string): number {
  const id = /^\d{1,9}$/.test(text ?? "") ? Number(text) : 0;
  if (id === 0) throw data(`There is no such ${what}.`, { status: 404 });
  return id;
}

/** @throws a 404 page if there is no such batch */
export function requireBatch(here: FarmContext, text: string | undefined): Batch {
  const batch = here.file.batch(idFrom(text, "batch"));
  if (!batch) throw data("That batch does not exist.", { status: 404 });
  return batch;
}

/** A lot of a day, and the batch that its birds are of. */
export interface LotOfDay extends DayLot {
  readonly batch: Batch;
  readonly batchName: string;
}

/** A day's lots in the order in which they are killed. */
export const lotsOfDay = ({ file }: FarmContext, { lots }: Pick<ProcessingDay, "lots">): LotOfDay[] =>
  lots.flatMap((lot) => {
    const batch = file.batch(lot.batchId);
    return batch ? [{ ...lot, batch, batchName: batch.name }] : [];
  });

/** @throws a 404 page if there is no such day */
export function requireDay(
  here: FarmContext,
  text: string | undefined,
): { farm: Farm; day: ProcessingDay; lots: LotOfDay[] } {
  const farm = requireFarm(here);
  const day = requireBareDay(here, text);
  const lots = lotsOfDay(here, day);
  if (lots.length === 0) throw data("That day does not exist.", { status: 404 });
  return { farm, day, lots };
}

/**
 * A day without its batches, which count every tap there ever was: for what happens with each tap.
 *
 * @throws a 404 page if there is no such day
 */
export function requireBareDay({ file }: FarmContext, text: string | undefined): ProcessingDay {
  const id = idFrom(text, "day");
  const day = file.day(id);
  if (day) return day;
  throw data(
    file.calledOffDay(id)
      ? "This day was called off. You can put it back under Days."
      : "That day does not exist.",
    { status: 404 },
  );
}
