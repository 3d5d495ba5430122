import { NavLink } from "react-router";
import { useMayOpen } from "#app/ui/visitor/role.tsx";

const LEAVES = [
  { to: "plan", words: "The line" },
  { to: "needs", words: "Supplies" },
  { to: "tasks", words: "To do" },
  { to: "compare", words: "Compare" },
  { to: "print", words: "Print" },
] as const;

/** The parts of a day's plan. */
export function PlanNav({ dayId }: { dayId: number }) {
  const mayOpen = useMayOpen();
  const leaves = LEAVES.filter(({ to }) => mayOpen(`/days/${dayId}/${to}`));
  return (
    <nav aria-label="Plan pages" className="-mx-3 -mt-3 print:hidden">
      <ul className="flex flex-wrap">
        {leaves.map(({ to, words }) => (
          <li key={to}>
            <NavLink to={`/days/${dayId}/${to}`} className="plan-link">
              {words}
            </NavLink>
          </li>
        ))}
      </ul>
    </nav>
  );
}
