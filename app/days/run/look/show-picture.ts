import { data } from "react-router";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import type { Route } from "./+types/show-picture.ts";

/** One picture of a day. It never changes, so a browser may keep it. */
export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { day } = requireDay(here, params.dayId);
  const jpeg = here.file.picturing.jpeg(day.id, params.pictureId ?? "");
  if (!jpeg) throw data("That picture is not there.", { status: 404 });
  return new Response(new Uint8Array(jpeg), {
    headers: { "Content-Type": "image/jpeg", "Cache-Control": "private, max-age=31536000, immutable" },
  });
}
