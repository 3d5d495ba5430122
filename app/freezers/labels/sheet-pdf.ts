import { group } from "d3-array";
import { data } from "react-router";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { labelOfPack, labelSetting } from "#app/server/freezer/label-of-pack.server.ts";
import { workPool } from "#app/server/work-pool.server.ts";
import { showFor } from "#app/words/show.ts";
import type { Route } from "./+types/sheet-pdf.ts";

const MOST_LABELS = 400;
const MOST_SKIPPED = 360;

/** Labels of packs as a PDF, in the rows and columns of the farm's sheets. `skip` leaves out places that were used before. */
export async function loader({ context, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const asked = new URL(request.url).searchParams;
  const packIds = asked.getAll("pack").slice(0, MOST_LABELS);
  const packs = packIds.flatMap((text) =>
    /^\d{1,9}$/.test(text) ? (here.file.pack.pack(Number(text)) ?? []) : [],
  );
  if (packs.length === 0) throw data("Choose the packs whose labels you want.", { status: 404 });
  // Labels that look alike share their sheets.
  const alike = group(packs, ({ productId }) => JSON.stringify(labelSetting(here, productId)));
  const pdf = await workPool().run("label-sheets", {
    paper: showFor(farm).paper,
    madeAt: here.now(),
    title: `Labels of ${farm.name}`,
    skip: Math.min(MOST_SKIPPED, Math.max(0, Math.trunc(Number(asked.get("skip")) || 0))),
    grids: [...alike.values()].map((some) => {
      const template = labelSetting(here, some[0]!.productId);
      const { rows, columns, codeKind } = template;
      return { template, rows, columns, codeKind, labels: some.map((pack) => labelOfPack(here, farm, pack)) };
    }),
  });
  return new Response(new Uint8Array(pdf), {
    headers: {
      "Content-Type": "application/pdf",
      "Content-Disposition": 'inline; filename="labels.pdf"',
      "Cache-Control": "no-store",
    },
  });
}
