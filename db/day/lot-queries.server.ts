import type { Database } from "better-sqlite3";
import type { LotChoices } from "#core/day/plan/plan-input.ts";

/** A lot of a day, in core's shape, with the id by which its birds know it. */
export interface DayLot extends LotChoices {
  readonly id: number;
}

/** The columns of a lot: its bath in whole thousandths of a degree, its pens as lines. */
interface LotRow extends Omit<DayLot, "scaldCelsius" | "pens"> {
  readonly scaldMillicelsius: number | undefined;
  readonly pens: string;
}

const choicesOfRow = ({ scaldMillicelsius, pens, ...row }: LotRow): DayLot => ({
  ...row,
  scaldCelsius: scaldMillicelsius === undefined ? undefined : scaldMillicelsius / 1000,
  pens: pens === "" ? [] : pens.split("\n"),
});

const rowOfChoices = (lot: LotChoices): Omit<LotRow, "id"> => ({
  batchId: lot.batchId,
  ownerId: lot.ownerId,
  birds: lot.birds,
  cutUp: lot.cutUp,
  whichBirds: lot.whichBirds,
  scaldMethod: lot.scaldMethod,
  scaldMillicelsius: lot.scaldCelsius === undefined ? undefined : Math.round(lot.scaldCelsius * 1000),
  withdrawalMethod: lot.withdrawalMethod,
  keepsGiblets: lot.keepsGiblets,
  keepsFeet: lot.keepsFeet,
  pens: lot.pens.join("\n"),
});

const LOT_COLUMNS = `
           id, batch_id AS batchId, owner_id AS ownerId, bird_count AS birds, cut_up_count AS cutUp,
           which_birds AS whichBirds, scald_school AS scaldMethod, scald_millicelsius AS scaldMillicelsius,
           withdrawal_school AS withdrawalMethod, keeps_giblets AS keepsGiblets, keeps_feet AS keepsFeet, pens`;

/** Prepares every statement of a day's lots once; call it once per connection. */
export function lotQueries(database: Database) {
  const selectLots = database.prepare<[number], LotRow>(`
    SELECT ${LOT_COLUMNS} FROM day_lot WHERE day_id = ? AND removed_at IS NULL ORDER BY place`);
  const selectHasBirds = database.prepare<[number], { found: boolean }>(
    "SELECT EXISTS (SELECT 1 FROM pack_now WHERE lot_id = ?) AS found",
  );
  const insertLot = database.prepare<Omit<LotRow, "id"> & { dayId: number; place: number }>(`
    INSERT INTO day_lot (day_id, place, batch_id, owner_id, bird_count, cut_up_count, which_birds, scald_school,
                         scald_millicelsius, withdrawal_school, keeps_giblets, keeps_feet, pens, removed_at)
    VALUES (@dayId, @place, @batchId, @ownerId, @birds, @cutUp, @whichBirds, @scaldMethod,
            @scaldMillicelsius, @withdrawalMethod, @keepsGiblets, @keepsFeet, @pens, NULL)`);
  const updateLot = database.prepare<Omit<LotRow, "batchId"> & { place: number }>(`
    UPDATE day_lot
       SET place = @place, owner_id = @ownerId, bird_count = @birds, cut_up_count = @cutUp, which_birds = @whichBirds,
           scald_school = @scaldMethod, scald_millicelsius = @scaldMillicelsius,
           withdrawal_school = @withdrawalMethod, keeps_giblets = @keepsGiblets, keeps_feet = @keepsFeet, pens = @pens
     WHERE id = @id`);
  const selectRemoved = database.prepare<[number, number], LotRow>(`
    SELECT ${LOT_COLUMNS} FROM day_lot WHERE day_id = ? AND id = ? AND removed_at IS NOT NULL`);
  const removeLot = database.prepare<[number, number]>("UPDATE day_lot SET removed_at = ? WHERE id = ?");

  const restore = database.prepare<{ lotId: number; place: number }>(
    "UPDATE day_lot SET removed_at = NULL, place = @place WHERE id = @lotId",
  );

  const lots = (dayId: number): DayLot[] => selectLots.all(dayId).map(choicesOfRow);
  return {
    lots,
    /** A lot that was taken off a day. */
    removedLot: (dayId: number, lotId: number): DayLot | undefined => {
      const row = selectRemoved.get(dayId, lotId);
      return row && choicesOfRow(row);
    },
    /** Lots that stand now and are not among others, and have birds weighed in them. */
    lotsWithBirdsMissing: (dayId: number, wanted: readonly LotChoices[]): DayLot[] =>
      lots(dayId).filter(
        ({ id, batchId }) => !wanted.some((lot) => lot.batchId === batchId) && selectHasBirds.get(id)!.found,
      ),
    /** Puts a lot that was taken off back, killed after the others. */
    restoreLot: (dayId: number, lotId: number): void => {
      restore.run({ lotId, place: lots(dayId).length });
    },
    /** Makes a day's lots those that are wanted, in their order: one of the same batch stays the same lot. */
    writeLots(dayId: number, wanted: readonly LotChoices[], at: number): void {
      const current = lots(dayId);
      for (const { id, batchId } of current)
        if (!wanted.some((lot) => lot.batchId === batchId)) removeLot.run(at, id);
      for (const [place, lot] of wanted.entries()) {
        const same = current.find(({ batchId }) => batchId === lot.batchId);
        const { batchId, ...row } = rowOfChoices(lot);
        if (same) updateLot.run({ id: same.id, place, ...row });
        else insertLot.run({ dayId, place, batchId, ...row });
      }
    },
  };
}
