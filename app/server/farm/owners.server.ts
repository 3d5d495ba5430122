import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import type { ProcessingDay } from "#db/day/day-queries.server.ts";

/** Names of the owners of a day's lots, by lot; none for the farm's own. Someone who was removed is still named. */
export function ownerNames(
  { file }: FarmContext,
  { lots }: Pick<ProcessingDay, "lots">,
): Record<number, string> {
  const owners = file.customers.owners();
  return Object.fromEntries(
    lots.flatMap(({ id, ownerId }) => {
      const owner = ownerId === undefined ? undefined : owners.find((one) => one.id === ownerId);
      return owner ? [[id, owner.name]] : [];
    }),
  );
}
