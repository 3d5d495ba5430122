import { Link } from "react-router";
import type { partsForm } from "#app/days/pack/parts/parts-form.ts";
import { placeOptions } from "#app/days/pack/place-options.ts";
import type { PlaceWithRoom } from "#app/server/day/room-of-places.server.ts";
import type { Fields } from "#app/ui/farm-form.tsx";
import { ChoiceField, SelectField, TickField } from "#app/ui/field.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import type { Container } from "#db/pack/product-queries.server.ts";

const USES = [
  { value: "sale", label: "For sale" },
  { value: "own", label: "Home use" },
  { value: "pets", label: "Pets" },
] as const;

interface SeldomChangedProps {
  fields: Fields<ReturnType<typeof partsForm>>;
  lots: readonly { readonly id: number; readonly batchName: string }[];
  containers: readonly Container[];
  places: readonly PlaceWithRoom[];
  people: readonly { readonly id: number; readonly name: string }[];
  hasPrinter: boolean;
}

/** What stays from pack to pack until it is changed. */
export function SeldomChanged({ fields, lots, containers, places, people, hasPrinter }: SeldomChangedProps) {
  const show = useShow();
  return (
    <div className="grid gap-4 sm:grid-cols-2">
      {lots.length > 1 && (
        <SelectField
          field={fields.lotId}
          label="Lot"
          options={lots.map(({ id, batchName }) => ({ value: String(id), label: batchName }))}
        />
      )}
      <SelectField
        field={fields.containerId}
        label="Container"
        hint={
          <>
            Its weight is taken off.{" "}
            <Link to="/freezers/containers" className="underline">
              Add a container
            </Link>
          </>
        }
        options={[
          { value: "", label: "none, or the scale is set to 0" },
          ...containers.map(({ id, name, tareMilligrams }) => ({
            value: String(id),
            label: `${name}, ${show.exactBird(tareMilligrams)}`,
          })),
        ]}
      />
      {places.length > 0 && (
        <SelectField field={fields.placeId} label="Storage" options={placeOptions(places)} />
      )}
      {people.length > 0 && (
        <SelectField
          field={fields.packedBy}
          label="Packed by"
          options={[
            { value: "", label: "not said" },
            ...people.map(({ id, name }) => ({ value: String(id), label: name })),
          ]}
        />
      )}
      <div className="sm:col-span-2">
        <ChoiceField field={fields.purpose} label="Use" options={USES} />
      </div>
      {hasPrinter && <TickField field={fields.printsLabel} label="Print its label when it is saved" />}
    </div>
  );
}
