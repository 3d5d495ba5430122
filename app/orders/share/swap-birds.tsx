import { Form } from "react-router";
import { type LoadedShare, SplitFields } from "#app/orders/share/split-fields.tsx";
import { Button, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";

/** Two birds change places by hand, and the gaps are shown anew. */
export function SwapBirds(loaded: LoadedShare) {
  const show = useShow();
  const { households } = loaded.share;
  const pick = (name: string, label: string, first: number) => (
    <label className="grid gap-1">
      <span className="font-semibold">{label}</span>
      <select name={name} defaultValue={households[first]?.birds[0]?.packId} className="field-box">
        {households.map((one) => (
          <optgroup key={one.customerId} label={one.name}>
            {one.birds.map(({ packId, birdNumber, milligrams }) => (
              <option key={packId} value={packId}>
                {one.name}, bird {birdNumber}, {show.bird(milligrams)}
              </option>
            ))}
          </optgroup>
        ))}
      </select>
    </label>
  );
  return (
    <Sheet heading="Swap two birds" className="max-w-prose print:hidden">
      <Form method="post" className="grid gap-3 py-2">
        <SplitFields {...loaded} />
        {pick("one", "This bird", 0)}
        {pick("other", "for this one", 1)}
        <Button kind="plain" className="justify-self-start">
          Swap
        </Button>
      </Form>
    </Sheet>
  );
}
