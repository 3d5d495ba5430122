import { NavLink } from "react-router";

const LEAVES = [
  { to: "plan", words: "The line" },
  { to: "needs", words: "Supplies" },
  { to: "tasks", words: "To do" },
  { to: "beside", words: "Compare" },
  { to: "print", words: "Print" },
] as const;

/** The parts of a day's plan. */
export function PlanNav({ dayId }: { dayId: number }) {
  return (
    <nav aria-label="Plan pages" className="-mx-3 -mt-3 print:hidden">
      <ul className="flex flex-wrap">
        {LEAVES.map(({ to, words }) => (
          <li key={to}>
            <NavLink
              to={`/days/${dayId}/${to}`}
              className="grid min-h-12 content-center whitespace-nowrap px-3 underline decoration-rule underline-offset-4 aria-[current=page]:font-semibold aria-[current=page]:decoration-dawn aria-[current=page]:decoration-4"
            >
              {words}
            </NavLink>
          </li>
        ))}
      </ul>
    </nav>
  );
}
