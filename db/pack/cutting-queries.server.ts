import type { Database } from "better-sqlite3";
import type { CutPart } from "#core/cutting/cut-list.ts";
import type { CuttingTool } from "#core/cutting/cutting-constants.ts";
import type { ProductKindName } from "#core/packing/product-kinds.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

/** How the farm takes a bird apart. */
export interface CuttingScheme {
  readonly id: number;
  readonly entryId: string;
  readonly name: string;
  readonly parts: readonly CutPart[];
}

/** How a day's birds are cut up. */
export interface CutPlan {
  /** Undefined for the usual scheme. */
  readonly schemeId: number | undefined;
  readonly personId: number | undefined;
  readonly tool: CuttingTool;
  readonly isHomeCook: boolean;
  readonly packsPerCycle: number;
}

/** Prepares every statement of cutting once; call it once per connection. */
export function cuttingQueries(database: Database) {
  const entries = entryQueries(database);
  const removed = "(SELECT entry_id FROM entry_taken_back)";
  const selectSchemes = database.prepare<[], Omit<CuttingScheme, "parts">>(
    `SELECT id, entry_id AS entryId, name FROM cutting_scheme WHERE entry_id NOT IN ${removed} ORDER BY id`,
  );
  const selectParts = database.prepare<[number], { product: ProductKindName; piecesPerPack: number }>(`
    SELECT product_kind AS product, pieces_per_pack AS piecesPerPack
      FROM cutting_part WHERE scheme_id = ? ORDER BY place`);
  const insertScheme = database.prepare<{ entryId: string; name: string }>(
    "INSERT INTO cutting_scheme (entry_id, name) VALUES (@entryId, @name)",
  );
  const insertPart = database.prepare<CutPart & { schemeId: number; place: number }>(`
    INSERT INTO cutting_part (scheme_id, place, product_kind, pieces_per_pack)
    VALUES (@schemeId, @place, @product, @piecesPerPack)`);
  const selectPlan = database.prepare<[number], CutPlan & { entryId: string }>(`
    SELECT entry_id AS entryId, scheme_id AS schemeId, person_id AS personId, tool, is_home_cook AS isHomeCook,
           packs_per_cycle AS packsPerCycle
      FROM cut_plan WHERE day_id = ? AND entry_id NOT IN ${removed} ORDER BY id DESC LIMIT 1`);
  const insertPlan = database.prepare<CutPlan & { entryId: string; dayId: number }>(`
    INSERT INTO cut_plan (entry_id, day_id, scheme_id, person_id, tool, is_home_cook, packs_per_cycle)
    VALUES (@entryId, @dayId, @schemeId, @personId, @tool, @isHomeCook, @packsPerCycle)`);

  return {
    schemes: (): CuttingScheme[] =>
      selectSchemes.all().map((scheme) => ({ ...scheme, parts: selectParts.all(scheme.id) })),
    addScheme: (
      entry: Entry,
      { name, parts }: Pick<CuttingScheme, "name" | "parts">,
    ): Recorded<"name-taken"> =>
      entries.once(entry, ["cutting-scheme", name, parts], () => {
        if (selectSchemes.all().some((scheme) => scheme.name === name)) return "name-taken";
        const schemeId = Number(insertScheme.run({ entryId: entry.entryId, name }).lastInsertRowid);
        for (const [place, part] of parts.entries()) insertPart.run({ ...part, schemeId, place });
        return undefined;
      }),
    /** How a day's birds are cut up; undefined until someone has said. */
    cutPlan: (dayId: number): (CutPlan & { entryId: string }) | undefined => selectPlan.get(dayId),
    saveCutPlan: (entry: Entry, dayId: number, plan: CutPlan): Recorded =>
      entries.once(entry, ["cut-plan", dayId, plan], () => {
        insertPlan.run({ ...plan, entryId: entry.entryId, dayId });
        return undefined;
      }),
  };
}
