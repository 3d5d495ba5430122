import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import BetterSqlite3 from "better-sqlite3";
import fc from "fast-check";
import { expect, test } from "vitest";
import { openFarmFile } from "#db/farm-file.server.ts";
import { BATCH, CHOICES, entry } from "#db/file-of-tests.ts";

/*
 * Packs are made, corrected, moved, taken out, and any of it undone, in any order. What lies where is always what the last thing that
 * stands says of each, and the rows that pages read are always those that follow from the facts.
 */

interface Deed {
  readonly what: "pack" | "correct" | "move" | "out" | "undo";
  /** The place, or the grams. */
  readonly to: number;
}
interface Done {
  readonly entryId: string;
  readonly what: Exclude<Deed["what"], "undo">;
  readonly pack: number;
  readonly to: number;
  /** Where a correction said that the pack lies: where it lay then. */
  readonly place?: number;
}

const deed: fc.Arbitrary<readonly [Deed, number]> = fc.tuple(
  fc.record({
    what: fc.constantFrom("pack", "pack", "pack", "correct", "move", "out", "undo", "undo"),
    to: fc.integer({ min: 1, max: 3 }),
  }),
  fc.nat(60),
);

const GRAMS = 1_000_000;
const pack = (grams: number, placeId: number) => ({
  productId: 11,
  lotId: 1,
  birdNumber: undefined,
  pieces: 4,
  purpose: "sale" as const,
  weightMilligrams: grams * GRAMS,
  tareMilligrams: 0,
  volumeMilliliters: undefined,
  asTyped: String(grams),
  reason: "",
  placeId,
  packedBy: undefined,
  priceCents: undefined,
  priceUnit: "pound" as const,
});

test("any order of packing, correcting, moving, and undoing gives the stock that the facts say", () => {
  const folder = mkdtempSync(join(tmpdir(), "pale-morning-"));
  let run = 0;
  fc.assert(
    fc.property(fc.array(deed, { maxLength: 40 }), (deeds) => {
      run += 1;
      const path = join(folder, `${run}.sqlite`);
      const file = openFarmFile(path);
      file.addBatch(entry(), BATCH);
      file.addDay(entry(), "UTC", CHOICES);
      for (const name of ["One", "Two", "Three"])
        file.addPlace(entry(), { name, kind: "freezer", capacityCount: 50, canFreeze: false });
      const done: Done[] = [];
      const undone = new Set<string>();
      const stands = ({ entryId }: Done) => !undone.has(entryId);
      const packs = () => done.filter((one) => one.what === "pack" && stands(one));
      for (const [one, which] of deeds) {
        const { entryId, at } = entry();
        if (one.what === "undo") {
          const chosen = done[which % Math.max(1, done.length)];
          if (!chosen || undone.has(chosen.entryId)) continue;
          if (chosen.what === "pack" || chosen.what === "correct") file.pack.remove(1, chosen.entryId, at);
          else file.removeFact(chosen.entryId, at);
          undone.add(chosen.entryId);
        } else if (one.what === "pack") {
          file.pack.recordPacks({ entryId, at }, 1, [pack(1, (which % 3) + 1)]);
          const id = file.pack.packs(1).findLast((made) => made.entryId === entryId)!.id;
          done.push({ entryId, what: "pack", pack: id, to: (which % 3) + 1 });
        } else {
          const of = packs()[which % Math.max(1, packs().length)];
          if (!of) continue;
          const place = file.pack.pack(of.pack)!.placeId!;
          const sent =
            one.what === "correct"
              ? file.pack.correct({ entryId, at }, of.pack, pack(one.to + 1, place))
              : one.what === "move"
                ? file.freezers.move({ entryId, at }, [of.pack], one.to)
                : file.freezers.takeOut({ entryId, at }, [of.pack], { outOn: "2026-07-01", how: "sold" });
          if (sent.recorded) done.push({ entryId, what: one.what, pack: of.pack, to: one.to, place });
        }
      }
      const expected = packs().flatMap(({ pack: id, to }) => {
        const own = done.filter((one) => one.pack === id && stands(one));
        if (own.some(({ what }) => what === "out")) return [];
        const last = (what: Done["what"]) => own.findLast((one) => one.what === what)?.to;
        // Without a move that stands, the last thing said of the pack says where it lies.
        const said = own.findLast(({ what }) => what === "correct")?.place;
        return [
          { id, placeId: last("move") ?? said ?? to, weightMilligrams: ((last("correct") ?? 0) + 1) * GRAMS },
        ];
      });
      expect(
        file.freezers
          .stored()
          .map(({ id, placeId, weightMilligrams }) => ({ id, placeId, weightMilligrams })),
      ).toEqual(expected);
      file.close();
      const raw = new BetterSqlite3(path, { readonly: true });
      const all = (from: string) => raw.prepare(`SELECT * FROM ${from} ORDER BY pack_id`).all();
      expect(all("pack_now")).toEqual(all("pack_as_recorded"));
      raw.close();
    }),
    { numRuns: 40 },
  );
  rmSync(folder, { recursive: true });
});
