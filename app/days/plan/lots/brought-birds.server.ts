import type { z } from "zod";
import { proposedLot } from "#app/days/plan/choices/proposed-choices.server.ts";
import type { bringLotForm } from "#app/days/plan/lots/add-lot-forms.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { addDays } from "#core/calendar/local-day.ts";
import type { LotRefusal, ProcessingDay } from "#db/day/day-queries.server.ts";
import type { Entry, Recorded } from "#db/entry.server.ts";

type Refusal = LotRefusal | "day-settled" | "name-taken";

/**
 * Writes down birds that somebody brings: who they are, if that is new, a batch of their birds, and the lot; all of it or
 * nothing, and once however often it is sent.
 */
export function broughtBirds(
  { file }: FarmContext,
  day: ProcessingDay,
  entry: Entry,
  { ownerName, ownerKind, kind, birdCount, weeks, malePercent }: z.output<typeof bringLotForm>,
): Recorded<Refusal> {
  const part = (name: string): Entry => ({ ...entry, entryId: `${entry.entryId.slice(0, 55)}-${name}` });
  const known = file.customers
    .owners()
    .find(({ name, isRemoved }) => !isRemoved && name.toLowerCase() === ownerName.toLowerCase());
  let outcome: Recorded<Refusal> = { recorded: true, isRepeat: false };
  const wasWritten = (one: Recorded<Refusal>): boolean => {
    outcome = one;
    return one.recorded;
  };
  try {
    file.together(() => {
      if (
        !known &&
        !wasWritten(
          file.customers.add(part("owner"), { name: ownerName, kind: ownerKind, contact: "", note: "" }),
        )
      )
        throw new NotWritten();
      const ownerId = known?.id ?? file.customers.ofEntry(part("owner").entryId);
      const name = freeName(file, `${ownerName}'s birds`, part("batch").entryId);
      const batch = {
        name,
        kind,
        maleSharePermille: malePercent * 10,
        hatchedOn: addDays(day.processedOn, -7 * weeks),
        orderedCount: undefined,
        awaitedOn: undefined,
        arrivedCount: birdCount,
        chickCostCents: 0,
      };
      if (!wasWritten(file.addBatch(part("batch"), batch))) throw new NotWritten();
      const { id } = file.batches().find((one) => one.name === name)!;
      const lot = { ...proposedLot(day, { id, kind }, birdCount), ownerId };
      if (!wasWritten(file.addLot(entry, day.id, lot))) throw new NotWritten();
    });
  } catch (error) {
    if (!(error instanceof NotWritten)) throw error;
  }
  return outcome;
}

/** A name that no other batch has: the same again with a number behind it. A form sent again finds the one it made. */
function freeName({ batches, batchOfEntry }: FarmContext["file"], name: string, entryId: string): string {
  const made = batchOfEntry(entryId);
  if (made) return made.name;
  const taken = new Set(batches().map((batch) => batch.name));
  let candidate = name;
  for (let number = 2; taken.has(candidate); number += 1) candidate = `${name} ${number}`;
  return candidate;
}

/** Undoes what was written before a part that could not be. */
class NotWritten extends Error {}
