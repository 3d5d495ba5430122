import { PlanAnswer, PlanDetail } from "#app/days/plan/plan-answer.tsx";
import { PlanShown, type ShownPlan, usePlan } from "#app/days/plan/plan-context.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";

interface PlanAsideProps {
  /** The plan for what may come a moment later than the answer. */
  later: ShownPlan["planned"];
  /** What is not saved, in words. */
  unsaved: string | undefined;
}

/** The answer, in view while the choices change: beside them, or on a phone as a bar that opens. */
export function PlanAside({ later, unsaved }: PlanAsideProps) {
  const plan = usePlan();
  return (
    <aside aria-label="Answer" className="plan-aside">
      {/* A box to tick works before the page's scripts arrive. */}
      <input type="checkbox" id={BAR} className="plan-bar-box" />
      <label htmlFor={BAR} className="plan-bar">
        <span className="sr-only">Show all results</span>
        <Bar />
        {unsaved && <b className="col-span-4 text-sm">{unsaved} not saved</b>}
      </label>
      <div className="plan-results">
        <PlanAnswer />
        <PlanShown {...plan} planned={later}>
          <PlanDetail />
        </PlanShown>
      </div>
    </aside>
  );
}

const BAR = "plan-bar";

/** What a glance at the bar must tell. */
function Bar() {
  const {
    planned: { plan },
  } = usePlan();
  const show = useShow();
  const { line, heat, chill } = plan;
  return (
    <>
      <Told name="likely done">{show.time(line.likelyAt.value)}</Told>
      <Told name="9 in 10 by">{show.time(line.nineInTenAt.value)}</Told>
      <Told name="heat on">{heat.burner.possible ? show.time(heat.burner.safeAt.value) : "too weak"}</Told>
      <Told name="ice">{plural(chill.bags.value, "bag")}</Told>
    </>
  );
}

function Told({ name, children }: { name: string; children: string }) {
  return (
    <span className="grid">
      <span className="text-xs text-fog">{name}</span>
      <span className="font-display whitespace-nowrap">{children}</span>
    </span>
  );
}
