import { CUT_PIECES } from "#app/days/plan/file/line-file.ts";
import { type CuttingInFile, lineFileOf } from "#app/days/plan/file/write-line-file.ts";
import { planOf } from "#app/server/day/plan-of-day.server.ts";
import { type FarmContext, farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { localClock } from "#core/calendar/farm-time.ts";
import { USUAL_SCHEME } from "#core/cutting/cut-list.ts";
import { productKind } from "#core/packing/product-kinds.ts";
import type { Route } from "./+types/plan-json.ts";

/** The tool and the packs of the day's cut list; what files can't name is left out of them. */
function cuttingInFile({ file }: FarmContext, dayId: number): CuttingInFile {
  const plan = file.cutting.cutPlan(dayId);
  const scheme = file.cutting.schemes().find(({ id }) => id === plan?.schemeId)?.parts ?? USUAL_SCHEME;
  const packs = scheme.flatMap(({ product, piecesPerPack }) => {
    const piece = CUT_PIECES.find((name) => name.replace("_", "-") === productKind(product).piece);
    return piece ? [[piece, piecesPerPack]] : [];
  });
  return { cutWith: plan?.tool ?? "knife", packs: Object.fromEntries(packs) };
}

/** The day's line as a file, which the command `simulate` plays. */
export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { farm, day } = requireDay(here, params.dayId);
  const { plan } = planOf(here, farm, day);
  const file = lineFileOf(plan.line.setup.day, {
    lots: plan.lots.map(({ kind, forecast, choices }) => ({
      kind,
      liveKilograms: forecast.live.value,
      scald: choices.scaldMethod,
    })),
    start: localClock(day.startAt, day.timeZone),
    pluckBy: day.pluckBy,
    cutting: cuttingInFile(here, day.id),
  });
  return new Response(JSON.stringify(file, null, 2), {
    headers: {
      "Content-Type": "application/json; charset=utf-8",
      "Content-Disposition": `attachment; filename="plan-${day.processedOn}.json"`,
    },
  });
}
