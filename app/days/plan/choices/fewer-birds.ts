import { lotField } from "#app/days/plan/choices/day-form.ts";
import { typeInto } from "#app/ui/read/type-into.ts";
import type { LotChoices } from "#core/day/plan/plan-input.ts";

/** So many birds of each lot that they are `most` together: those killed last are left out first. */
function birdsOfFewer(lots: readonly Pick<LotChoices, "birds">[], most: number): number[] {
  let free = most;
  return lots.map(({ birds }) => {
    const taken = Math.min(birds, free);
    free -= taken;
    return taken;
  });
}

/** Types fewer birds into the plan's form, as a person would, so that the plan follows and nothing is saved. */
export function fewerBirds(formId: string, lots: readonly LotChoices[], most: number): void {
  const form = document.getElementById(formId);
  if (!(form instanceof HTMLFormElement)) return;
  for (const [index, birds] of birdsOfFewer(lots, most).entries()) {
    typeInto(form, lotField(index, "birdCount"), String(birds));
    typeInto(form, lotField(index, "cutUpCount"), String(Math.min(birds, lots[index]!.cutUp)));
  }
}
