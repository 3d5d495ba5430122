import type { ReactNode } from "react";
import { NavLink } from "react-router";
import { PageHead } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";

const LEAVES = ["plan", "run", "rest", "pack", "settle"] as const;

/** The top of a day and its five leaves, in the order of the work. */
export function DayHead({
  dayId,
  processedOn,
  line,
}: {
  dayId: number;
  processedOn: string;
  line: ReactNode;
}) {
  const show = useShow();
  return (
    <PageHead title={show.longDay(processedOn)} line={line}>
      <nav aria-label="Leaves of the day" className="w-full overflow-x-auto sm:w-auto print:hidden">
        <ul className="flex">
          {LEAVES.map((leaf) => (
            <li key={leaf}>
              <NavLink
                to={`/days/${dayId}/${leaf}`}
                className="grid min-h-12 content-center border-b-4 border-transparent px-4 capitalize aria-[current=page]:border-dawn aria-[current=page]:font-semibold"
              >
                {leaf}
              </NavLink>
            </li>
          ))}
        </ul>
      </nav>
    </PageHead>
  );
}
