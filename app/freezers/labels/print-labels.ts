import { data, redirect } from "react-router";
import { tickedPacks } from "#app/freezers/ticked.server.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { labelOfPack, labelSetting } from "#app/server/freezer/label-of-pack.server.ts";
import { MISSING_WORDS } from "#app/words/label-words.ts";
import { labelLayout, missingParts } from "#core/label/label-parts.ts";
import { packCode } from "#core/label/pack-code.ts";
import type { Route } from "./+types/print-labels.ts";

/** Writes down that the labels of some packs were printed, word for word, and leads to their sheet. */
export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const { entryId, packIds } = await tickedPacks(request);
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
  here.file.together(() => {
    for (const { packId, texts } of labels)
      here.file.labels.recordPrint(
        { entryId: `${entryId.slice(0, 48)}-${packId}`, at: here.now() },
        packId,
        "sheet",
        texts,
      );
  });
  return redirect(`/freezers/labels/sheet.pdf?${packIds.map((id) => `pack=${id}`).join("&")}`, 303);
}
