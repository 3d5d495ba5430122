import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { formFields } from "#app/server/submitted.server.ts";
import { isEntryId } from "#app/ui/read/read-field.ts";
import { MOST_PICTURE_BYTES } from "#db/day/picture-queries.server.ts";
import type { Route } from "./+types/take-picture.ts";

const JPEG_BEGINS = [0xff, 0xd8, 0xff];

/** A picture of a bird that was looked at, shrunk by the phone. The same picture sent again is kept once. */
export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { day } = requireDay(here, params.dayId);
  const fields = await formFields(request);
  const entryId = String(fields.get("entryId") ?? "");
  const of = String(fields.get("of") ?? "");
  const sent = fields.get("picture");
  if (String(fields.get("file") ?? "") !== here.file.run.fileId())
    return refused("This picture is for another data file than the one this computer has open now.");
  if (!isEntryId(entryId) || !isEntryId(of) || !(sent instanceof Blob)) return refused("That is no picture.");
  const jpeg = Buffer.from(await sent.arrayBuffer());
  if (jpeg.length > MOST_PICTURE_BYTES) return refused("That picture is too large. Take it again.");
  if (!JPEG_BEGINS.every((byte, index) => jpeg[index] === byte)) return refused("That is no picture.");
  const outcome = here.file.picturing.addPicture({ entryId, at: here.now() }, day.id, of, jpeg);
  if (outcome.recorded) return new Response(null, { status: 204 });
  // The tap that it belongs to may still be on its way.
  if (outcome.reason === "no-such-look") return new Response(null, { status: 425 });
  return refused(
    outcome.reason === "too-many"
      ? "This day has 200 pictures already. No more are kept."
      : "This picture was sent already.",
  );
}

const refused = (reason: string) => new Response(reason, { status: 422 });
