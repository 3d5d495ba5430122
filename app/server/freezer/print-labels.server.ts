import { printerAddress } from "#app/server/device/label-printer.server.ts";
import { type FarmContext, requireFarm, wholeOf } from "#app/server/farm/farm-context.server.ts";
import { labelOfPack, labelSetting } from "#app/server/freezer/label-of-pack.server.ts";
import { MISSING_WORDS } from "#app/words/packing/label-words.ts";
import { type LabelTexts, labelLayout, missingParts } from "#core/label/label-parts.ts";
import { packCode } from "#core/label/pack-code.ts";
import { placedLabel } from "#core/label/placed-label.ts";
import type { LabelPrint, LabelSetting } from "#db/pack/label-queries.server.ts";
import type { Pack } from "#db/pack/pack-row.server.ts";
import { printLabels } from "#devices/label-printer/label-printer-driver.ts";
import { codePicture } from "#workers/labels/code-picture.ts";

/** A label that may be printed: it has all that the farm's rule asks for, and its words fit. */
export interface ReadyLabel {
  readonly packId: number;
  readonly setting: LabelSetting;
  readonly texts: LabelTexts;
}

/** A pack's label with its price, or in words what keeps it from being printed. */
export function readyLabel(
  asked: FarmContext,
  { id }: Pick<Pack, "id">,
): { readonly ok: true; readonly label: ReadyLabel } | { readonly ok: false; readonly fault: string } {
  const here = wholeOf(asked);
  const farm = requireFarm(here);
  const pack = here.file.pack.pack(id)!;
  const setting = labelSetting(here, pack.productId);
  const texts = labelOfPack(here, farm, pack);
  const missing = missingParts(setting.required, texts);
  if (missing.length > 0)
    return {
      ok: false,
      fault: `The label of pack ${packCode(pack.id)} lacks ${missing.map((part) => MISSING_WORDS[part]).join("; ")}.`,
    };
  if (!labelLayout(setting, texts).fits)
    return {
      ok: false,
      fault: `The words of pack ${packCode(pack.id)} don't fit on your label. Make it larger under Labels.`,
    };
  return { ok: true, label: { packId: pack.id, setting, texts } };
}

/** Of one label: the same again is printed, and kept, once. */
const jobOf = (entryId: string, packId: number): string => `${entryId.slice(0, 48)}-${packId}`;

/**
 * Prints labels in one of the two ways, and writes down word for word those that came out. A sheet is made when it is fetched.
 *
 * @param entryId of the form that asked for them
 * @returns how many came out: the first that did not ends it; undefined where there is no label printer
 */
export async function printReady(
  here: FarmContext,
  entryId: string,
  labels: readonly ReadyLabel[],
  way: LabelPrint["way"],
): Promise<number | undefined> {
  const printed = way === "sheet" ? labels.length : await sentToPrinter(here, entryId, labels);
  if (printed === undefined) return undefined;
  here.file.together(() => {
    for (const { packId, texts } of labels.slice(0, printed))
      here.file.labels.recordPrint({ entryId: jobOf(entryId, packId), at: here.now() }, packId, way, texts);
  });
  return printed;
}

async function sentToPrinter(
  here: FarmContext,
  entryId: string,
  labels: readonly ReadyLabel[],
): Promise<number | undefined> {
  const printer = printerAddress(here);
  if (!printer) return undefined;
  const jobs = labels.map(({ packId, setting, texts }) => ({
    job: jobOf(entryId, packId),
    label: placedLabel(setting, texts, codePicture(setting.codeKind, texts.code!)),
  }));
  const answers = await printLabels(printer, jobs);
  return answers.filter(({ printed }) => printed).length;
}

/** Why a label did not come out of the printer. */
const PRINTER_STOPPED = "The printer is out of paper, or can't be reached";

/** The labels that an entry's packs get as they are saved, printed at once. @returns what the next page is told, as a search text */
export async function printAtOnce(here: FarmContext, entryId: string): Promise<string> {
  for (const pack of here.file.pack.packsOfEntry(entryId)) {
    const ready = readyLabel(here, pack);
    if (!ready.ok || (await printReady(here, entryId, [ready.label], "printer")) !== 1)
      return `?unprinted=${pack.id}`;
  }
  return "";
}

export interface UnprintedLabel {
  readonly packId: number;
  readonly dayId: number;
  readonly fault: string;
}

/** The pack of which a page was told that its label did not print, and why. */
export function unprintedOf(here: FarmContext, request: Request): UnprintedLabel | undefined {
  const text = new URL(request.url).searchParams.get("unprinted") ?? "";
  const pack = /^\d{1,9}$/.test(text) ? here.file.pack.pack(Number(text)) : undefined;
  if (!pack) return undefined;
  const ready = readyLabel(here, pack);
  return {
    packId: pack.id,
    dayId: pack.dayId,
    fault: ready.ok ? `${PRINTER_STOPPED}. Open the pack to print its label again.` : ready.fault,
  };
}

/** Whether the label of a pack was printed as it was saved, so that the next one is too. */
export const wasPrinted = ({ file }: FarmContext, pack: Pack | undefined): boolean =>
  pack !== undefined && file.labels.prints(pack.id).some(({ way }) => way === "printer");
