import { writeAssignment } from "#app/orders/share/share-form.ts";
import type { Route } from "./+types/share.ts";

type Loaded = Route.ComponentProps["loaderData"];

/** A page on which birds are shared. */
export type LoadedShare = Loaded & { share: NonNullable<Loaded["share"]> };

/** The split as a form carries it. */
export function SplitFields({ share, basis, entryId }: Pick<LoadedShare, "share" | "basis" | "entryId">) {
  const parts = share.households.map(({ customerId, birds }) => ({
    customerId,
    packIds: birds.map(({ packId }) => packId),
  }));
  return (
    <>
      <input type="hidden" name="entryId" value={entryId} />
      <input type="hidden" name="basis" value={basis} />
      <input type="hidden" name="assignment" value={writeAssignment(parts)} />
      <input
        type="hidden"
        name="asked"
        value={share.households.map(({ customerId, asked }) => `${customerId}:${asked}`).join()}
      />
    </>
  );
}
