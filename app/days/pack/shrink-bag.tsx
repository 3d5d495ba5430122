import type { ComponentProps } from "react";
import { DipWater } from "#app/days/pack/dip-water.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { DIP_CELSIUS } from "#core/scald/dip-pot.ts";

/** How a bird goes into a shrink bag, step by step, for whoever does it for the first time. */
export function ShrinkBagSteps(dip: ComponentProps<typeof DipWater>) {
  const show = useShow();
  const [from, to] = DIP_CELSIUS.map((celsius) => show.air(celsius));
  return (
    <details className="border-t border-rule pt-2 print:hidden">
      <summary className="min-h-12 content-center underline">Shrink bag, step by step</summary>
      <ol className="list-decimal space-y-1 py-2 pl-6">
        <li>Pat the bird dry, pick the last pins, and tuck the legs.</li>
        <li>Slide it into the bag, neck or legs down, and push the vent tube halfway into the cavity.</li>
        <li>Twist the bag tight around the tube and put a tie on, loose.</li>
        <li>
          Push it under in water at {from} to {to} with a pusher, for a few seconds, until the bag is tight
          all around.
        </li>
        <li>Pull the tube out, tighten the tie, and trim the tail.</li>
        <li>Look for leaks: water inside, or a bag that comes loose. Do it again in a new bag.</li>
        <li>Dry it, weigh it, and label it.</li>
      </ol>
      <DipWater {...dip} />
      <p className="pb-2 text-sm">
        The dip is nearly boiling: gloves to the elbow, no children near it, and a pot that can't tip.
      </p>
    </details>
  );
}
