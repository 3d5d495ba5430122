import { NavLink } from "react-router";

const LEAVES = [
  { to: "plan", words: "The line" },
  { to: "needs", words: "Supplies" },
  { to: "tasks", words: "To do" },
  { to: "compare", words: "Compare" },
  { to: "print", words: "Print" },
] as const;

/** The parts of a day's plan. */
export function PlanNav({ dayId }: { dayId: number }) {
  return (
    <nav aria-label="Plan pages" className="-mx-3 -mt-3 print:hidden">
      <ul className="flex flex-wrap">
        {LEAVES.map(({ to, words }) => (
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
