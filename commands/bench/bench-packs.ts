import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import BetterSqlite3 from "better-sqlite3";
import { median } from "d3-array";
import { roomOfPlaces } from "#app/server/day/room-of-places.server.ts";
import { stockOf, stockWith } from "#app/server/freezer/stock.server.ts";
import { packCode, packIdOf } from "#core/label/pack-code.ts";
import { type FarmFile, openFarmFile } from "#db/farm-file.server.ts";
import { makeDemoFarm } from "#demo/make-demo-farm.ts";

const PACKS = 400_000;
/** Those that still lie in a freezer; the others were sold long ago. */
const STORED = 5_000;
const REPEATS = 60;

/** A pack kept, the freezer page, a search by words and a scan, in a file with 400,000 packs; median of the server's own time. */
export function benchPacks(): void {
  const folder = mkdtempSync(join(tmpdir(), "pale-morning-"));
  const path = join(folder, "farm.sqlite");
  const made = openFarmFile(path);
  makeDemoFarm(made);
  made.close();
  fill(path);
  const file = openFarmFile(path);
  const here = { file, now: () => Date.UTC(2026, 8, 21, 14) };
  const day = file.openDays()[0]!;
  const lotId = day.lots[0]!.id;
  let number = 0;
  const asked: Readonly<Record<string, () => unknown>> = {
    "a pack kept, and its product's packs read": () => {
      number += 1;
      file.pack.recordPacks({ entryId: `bench-pack-${number}`, at: here.now() }, day.id, [pack(lotId)]);
      return file.pack.packs(day.id);
    },
    "the freezer page": () => [stockOf(here), roomOfPlaces(here), file.freezers.lately(10)],
    "a search by words": () => stockWith(stockOf(here), "wings barn"),
    "a scan": () => file.pack.pack(packIdOf(packCode(200_000 + (number % 1000)))!),
  };
  console.log(`${PACKS} packs in the file, ${STORED} of them stored; median of ${REPEATS}, milliseconds`);
  for (const [name, ask] of Object.entries(asked))
    console.log(`${name.padEnd(44)} ${medianOf(ask).toFixed(2)}`);
  console.log("");
  file.close();
  rmSync(folder, { recursive: true });
}

const pack = (lotId: number): Parameters<FarmFile["pack"]["recordPacks"]>[2][number] => ({
  productId: 11,
  lotId,
  birdNumber: undefined,
  pieces: 12,
  purpose: "sale",
  weightMilligrams: 900_000_000 / 1000,
  tareMilligrams: 0,
  volumeMilliliters: undefined,
  asTyped: "900g",
  reason: "",
  placeId: 2,
  packedBy: undefined,
  priceCents: 499,
  priceUnit: "pound",
});

/** Packs of the first day in many products, all but the last few thousand gone. */
function fill(path: string): void {
  const raw = new BetterSqlite3(path);
  raw.exec(`
    BEGIN;
    INSERT INTO entry (id, content, at) VALUES ('bench-fill-packs', '', 0), ('bench-fill-gone', '', 0);
    CREATE TEMP TABLE numbers AS
      WITH RECURSIVE count(n) AS (SELECT 1 UNION ALL SELECT n + 1 FROM count WHERE n < ${PACKS}) SELECT n FROM count;
    INSERT INTO pack (id, entry_id, day_id, packed_at) SELECT 1000 + n, 'bench-fill-packs', 1, n * 60000 FROM numbers;
    INSERT INTO pack_version (entry_id, pack_id, product_id, lot_id, piece_count, purpose, weight_milligrams, tare_milligrams,
                              as_typed, reason, place_id, price_unit)
      SELECT 'bench-fill-packs', 1000 + n, 3 + n % 16, 1, 2, 'sale', 700000 + n % 1000, 0, '', '', 2 + n % 2, 'pound'
        FROM numbers;
    INSERT INTO pack_out (entry_id, pack_id, out_on, how)
      SELECT 'bench-fill-gone', 1000 + n, '2020-01-01', 'sold' FROM numbers WHERE n <= ${PACKS - STORED};
    COMMIT;`);
  raw.close();
}

function medianOf(work: () => unknown): number {
  const times = Array.from({ length: REPEATS }, () => {
    const startedAt = performance.now();
    work();
    return performance.now() - startedAt;
  });
  return median(times)!;
}
