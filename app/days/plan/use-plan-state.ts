import { useMemo, useState } from "react";
import { firstPlans } from "#app/days/plan/first-plan.ts";
import { useLine } from "#app/days/plan/line/use-line.ts";
import { type CrewSeat, crewOf } from "#core/day/crew/crew.ts";
import { type PlanBasis, planForDate } from "#core/day/plan/plan-for-date.ts";
import { busiestStation } from "#core/processing-line/line-tally.ts";
import type { DatedChoices } from "#db/day/day-queries.server.ts";

export type PlanState = ReturnType<typeof usePlanState>;

/** The choices as they stand on the page, the crew that is moved beside them, and the plan of both. */
export function usePlanState({ basis, current }: { basis: PlanBasis; current: DatedChoices }) {
  const [read, setRead] = useState<DatedChoices | undefined>(current);
  const [lastRead, setLastRead] = useState(current);
  const shown = read ?? lastRead;
  const year = Number(shown.processedOn.slice(0, 4));
  const crewFor = (seats: readonly CrewSeat[], people: number) =>
    crewOf(seats, people, { helpers: basis.helpers, former: basis.former, year });
  const [seats, setSeats] = useState<readonly CrewSeat[]>(() => crewFor(current.crew, current.people));
  const choices = useMemo(() => ({ ...shown, people: seats.length, crew: seats }), [shown, seats]);
  const first = useMemo(
    () => firstPlans.get(shown) ?? planForDate(basis, shown.processedOn, choices),
    [basis, shown, choices],
  );
  const playing = useLine(first.plan.line.setup.day);
  const refined = playing.line?.refined;
  const planned = useMemo(
    () => (refined ? planForDate(basis, shown.processedOn, choices, () => refined.answer) : first),
    [basis, shown.processedOn, choices, refined, first],
  );
  const guessed = busiestStation(planned.plan.line.answer);
  return {
    /** Undefined while something typed can't be read: then the plan is of what was read last. */
    isRead: read !== undefined,
    shown,
    year,
    seats,
    crew: crewFor(seats, seats.length),
    choices,
    planned,
    playing,
    holding: refined ? refined.bottleneck : guessed && { station: guessed, savedMinutes: undefined },
    setSeats,
    setPeople: (people: number) => setSeats(crewFor(seats, people)),
    onRead(value: DatedChoices | undefined) {
      setRead(value);
      if (value) setLastRead(value);
    },
  };
}
