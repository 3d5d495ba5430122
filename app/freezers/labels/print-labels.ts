import { data, redirect } from "react-router";
import { tickedPacks } from "#app/freezers/ticked.server.ts";
import { printerAddress } from "#app/server/device/label-printer.server.ts";
import { type FarmContext, farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { labelOfPack, labelSetting } from "#app/server/freezer/label-of-pack.server.ts";
import { MISSING_WORDS } from "#app/words/label-words.ts";
import { type LabelTexts, labelLayout, missingParts } from "#core/label/label-parts.ts";
import { packCode } from "#core/label/pack-code.ts";
import { placedLabel } from "#core/label/placed-label.ts";
import { printLabels } from "#devices/label-printer/label-printer-driver.ts";
import { codePicture } from "#workers/labels/code-picture.ts";
import type { Route } from "./+types/print-labels.ts";

/** Of one label: the same again is printed, and kept, once. */
const jobOf = (entryId: string, packId: number): string => `${entryId.slice(0, 48)}-${packId}`;

/** @returns how many came out; the first that did not ends it */
async function sentToPrinter(
  here: FarmContext,
  entryId: string,
  labels: readonly { readonly packId: number; readonly texts: LabelTexts }[],
): Promise<number> {
  const printer = printerAddress(here);
  if (!printer)
    throw data("No label printer is attached. Attach one under Farm, Devices, or print a sheet.", {
      status: 409,
    });
  const setting = labelSetting(here);
  const jobs = labels.map(({ packId, texts }) => ({
    job: jobOf(entryId, packId),
    label: placedLabel(setting, texts, codePicture(setting.codeKind, texts.code!)),
  }));
  const answers = await printLabels(printer, jobs);
  return answers.filter(({ printed }) => printed).length;
}

/** Writes down that the labels of some packs were printed, word for word, and leads to their sheet. */
export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const { fields, entryId, packIds, back } = await tickedPacks(request);
  const setting = labelSetting(here);
  const labels = packIds.map((packId) => {
    const pack = here.file.pack.pack(packId);
    if (!pack)
      throw data("One of those packs was removed. Nothing was printed. Reload the page.", { status: 409 });
    const texts = labelOfPack(here, farm, pack);
    const missing = missingParts(setting.required, texts);
    if (missing.length > 0)
      throw data(
        `The label of pack ${packCode(packId)} lacks ${missing.map((part) => MISSING_WORDS[part]).join("; ")}. Nothing was printed.`,
        { status: 422 },
      );
    if (!labelLayout(setting, texts).fits)
      throw data(
        `The words of pack ${packCode(packId)} don't fit on your label. Make it larger under Labels.`,
        {
          status: 422,
        },
      );
    return { packId, texts };
  });
  const way = fields.get("way") === "printer" ? "printer" : "sheet";
  const printed = way === "printer" ? await sentToPrinter(here, entryId, labels) : labels.length;
  here.file.together(() => {
    for (const { packId, texts } of labels.slice(0, printed))
      here.file.labels.recordPrint({ entryId: jobOf(entryId, packId), at: here.now() }, packId, way, texts);
  });
  if (printed < labels.length)
    throw data(
      `${printed} of ${labels.length} labels were printed, then the printer stopped: it is out of paper, or can't be reached. Put in a new roll, go back, and print again: those that came out are not printed twice.`,
      { status: 409 },
    );
  if (way === "printer") return redirect(back, 303);
  return redirect(`/freezers/labels/sheet.pdf?${packIds.map((id) => `pack=${id}`).join("&")}`, 303);
}
