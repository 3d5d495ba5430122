import type { ReactNode } from "react";
import { Link, useLocation } from "react-router";
import { PageHead } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { useMayOpen } from "#app/ui/visitor/role.tsx";

const LEAVES = ["plan", "run", "rest", "cut", "pack", "settle"] as const;
/** Leaves of the plan's own. */
const PLAN_PARTS: readonly string[] = ["needs", "tasks", "compare", "print", "lots", "call-off"];

/** The top of a day and its six leaves, in the order of the work. */
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
  const mayOpen = useMayOpen();
  const leaves = LEAVES.filter((leaf) => mayOpen(`/days/${dayId}/${leaf}`));
  const part = useLocation().pathname.split("/")[3];
  const current = PLAN_PARTS.includes(part ?? "") ? "plan" : part;
  return (
    <PageHead title={show.longDay(processedOn)} line={line}>
      <nav aria-label="Sections of this day" className="w-full overflow-x-auto sm:w-auto print:hidden">
        <ul className="flex">
          {leaves.map((leaf) => (
            <li key={leaf}>
              <Link
                to={`/days/${dayId}/${leaf}`}
                aria-current={leaf === current ? "page" : undefined}
                className="leaf-link"
              >
                {leaf}
              </Link>
            </li>
          ))}
        </ul>
      </nav>
    </PageHead>
  );
}
