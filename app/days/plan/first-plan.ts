import { crewOf } from "#core/day/crew/crew.ts";
import type { PlanBasis, PlanForDate } from "#core/day/plan/plan-for-date.ts";
import type { DatedChoices } from "#db/day/day-queries.server.ts";

/** The choices with a seat for everyone who is to come. */
export function choicesWithSeats(
  { helpers, former }: Pick<PlanBasis, "helpers" | "former">,
  choices: DatedChoices,
): DatedChoices {
  const year = Number(choices.processedOn.slice(0, 4));
  const crew = crewOf(choices.crew, choices.people, { helpers, former, year });
  return { ...choices, people: crew.length, crew };
}

/** Plans that the server has had made for pages that it is about to write, by their choices; a browser makes its own. */
export const firstPlans = new WeakMap<DatedChoices, PlanForDate>();
