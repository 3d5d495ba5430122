import type { Database } from "better-sqlite3";
import type { LabelPart, LabelTexts } from "#core/label/label-parts.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

/** A label as the farm set it up. */
export interface LabelSetting {
  readonly widthMillimeters: number;
  readonly heightMillimeters: number;
  readonly letterPoints: number;
  readonly required: readonly LabelPart[];
  readonly farmLine: string;
  readonly storageLine: string;
  readonly handlingLine: string;
  readonly exemptionLine: string;
  readonly codeKind: "qr" | "code-128";
  readonly rows: number;
  readonly columns: number;
}

/** A product that has a label of its own, and what set it up. */
export interface OwnLabel {
  readonly productId: number;
  readonly entryId: string;
}

/** A label that was printed, word for word. */
export interface LabelPrint {
  readonly entryId: string;
  readonly printedAt: number;
  readonly way: "sheet" | "printer";
  readonly texts: LabelTexts;
  /** It was thrown away: misprinted, or its pack weighed again. */
  readonly isVoid: boolean;
}

interface SettingRow
  extends Omit<LabelSetting, "required" | "widthMillimeters" | "heightMillimeters" | "letterPoints"> {
  readonly requiredParts: string;
  readonly widthTenths: number;
  readonly heightTenths: number;
  readonly letterTenths: number;
}

/** Prepares every statement of labels once; call it once per connection. */
export function labelQueries(database: Database) {
  const entries = entryQueries(database);
  const removed = "(SELECT entry_id FROM entry_taken_back)";
  // Of the product itself if it has one, else the one for all.
  const selectSetting = database.prepare<[number], SettingRow>(`
    SELECT width_tenths_mm AS widthTenths, height_tenths_mm AS heightTenths, letter_tenths_pt AS letterTenths,
           required_parts AS requiredParts, farm_line AS farmLine, storage_line AS storageLine,
           handling_line AS handlingLine, exemption_line AS exemptionLine, code_kind AS codeKind, sheet_rows AS rows,
           sheet_columns AS columns
      FROM label_template WHERE (product_id IS NULL OR product_id = ?) AND entry_id NOT IN ${removed}
     ORDER BY product_id IS NULL, id DESC LIMIT 1`);
  const selectOwn = database.prepare<[], OwnLabel>(`
    SELECT product_id AS productId, entry_id AS entryId FROM label_template AS own
     WHERE id = (SELECT max(id) FROM label_template
                  WHERE product_id = own.product_id AND entry_id NOT IN ${removed}) ORDER BY product_id`);
  const insertSetting = database.prepare<SettingRow & { entryId: string; productId: number | undefined }>(`
    INSERT INTO label_template (entry_id, product_id, width_tenths_mm, height_tenths_mm, letter_tenths_pt, required_parts, farm_line,
                                storage_line, handling_line, exemption_line, code_kind, sheet_rows, sheet_columns)
    VALUES (@entryId, @productId, @widthTenths, @heightTenths, @letterTenths, @requiredParts, @farmLine,
            @storageLine, @handlingLine, @exemptionLine, @codeKind, @rows, @columns)`);
  const selectPrints = database.prepare<[number], Omit<LabelPrint, "texts"> & { content: string }>(`
    SELECT entry_id AS entryId, printed_at AS printedAt, way, content, entry_id IN ${removed} AS isVoid
      FROM label_print WHERE pack_id = ? ORDER BY id DESC`);
  const insertPrint = database.prepare<{
    entryId: string;
    packId: number;
    printedAt: number;
    way: string;
    content: string;
  }>(`INSERT INTO label_print (entry_id, pack_id, printed_at, way, content)
      VALUES (@entryId, @packId, @printedAt, @way, @content)`);

  return {
    /** The label of a product, or of all that have none of their own: undefined until one was set up. */
    setting: (productId?: number): LabelSetting | undefined => {
      const row = selectSetting.get(productId ?? 0);
      return row && settingFromRow(row);
    },
    /** Products with a label of their own. */
    ownLabels: (): OwnLabel[] => selectOwn.all(),
    /** @param productId undefined for all products that have no label of their own */
    saveSetting: (entry: Entry, setting: LabelSetting, productId?: number): Recorded =>
      entries.once(entry, ["label-template", setting, productId ?? 0], () => {
        insertSetting.run({ entryId: entry.entryId, productId, ...rowFromSetting(setting) });
        return undefined;
      }),
    /** Labels of a pack that were printed, newest first, void ones too. */
    prints: (packId: number): LabelPrint[] =>
      selectPrints
        .all(packId)
        .map(({ content, ...print }) => ({ ...print, texts: JSON.parse(content) as LabelTexts })),
    /** One label, word for word. */
    recordPrint: (entry: Entry, packId: number, way: LabelPrint["way"], texts: LabelTexts): Recorded =>
      entries.once(entry, ["label-print", packId, way, texts], () => {
        insertPrint.run({
          entryId: entry.entryId,
          packId,
          printedAt: entry.at,
          way,
          content: JSON.stringify(texts),
        });
        return undefined;
      }),
  };
}

const settingFromRow = ({
  requiredParts,
  widthTenths,
  heightTenths,
  letterTenths,
  ...row
}: SettingRow): LabelSetting => ({
  ...row,
  widthMillimeters: widthTenths / 10,
  heightMillimeters: heightTenths / 10,
  letterPoints: letterTenths / 10,
  required: requiredParts.split(" ").filter(Boolean) as LabelPart[],
});

const rowFromSetting = ({
  required,
  widthMillimeters,
  heightMillimeters,
  letterPoints,
  ...setting
}: LabelSetting): SettingRow => ({
  ...setting,
  widthTenths: Math.round(widthMillimeters * 10),
  heightTenths: Math.round(heightMillimeters * 10),
  letterTenths: Math.round(letterPoints * 10),
  requiredParts: required.join(" "),
});
