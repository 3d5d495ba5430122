import { createContext, type ReactNode, useContext } from "react";
import type { AroundDay } from "#app/server/day/around-day.server.ts";
import type { PlanBasis, PlanForDate } from "#core/day/plan/plan-for-date.ts";

/** A plan as the page shows it: what follows from the choices that were read last. */
export interface ShownPlan {
  readonly planned: PlanForDate;
  readonly processedOn: string;
  readonly basis: PlanBasis;
  readonly around: AroundDay;
}

const PlanContext = createContext<ShownPlan | undefined>(undefined);

/** Hands a plan to every sheet below it. */
export function PlanShown({ children, ...shown }: ShownPlan & { children: ReactNode }) {
  return <PlanContext value={shown}>{children}</PlanContext>;
}

/** The plan that the page shows. @throws {Error} outside of a plan's page */
export function usePlan(): ShownPlan {
  const shown = useContext(PlanContext);
  if (!shown) throw new Error("a plan's sheet stands outside of its page");
  return shown;
}
