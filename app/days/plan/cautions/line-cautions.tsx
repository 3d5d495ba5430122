import { Notice } from "#app/ui/sheet.tsx";
import { STATION_WORDS } from "#app/words/words.ts";
import type { LineFault } from "#core/day/plan/line-setup.ts";

/** What keeps the line from running as it was planned. */
export const LineCautions = ({ faults }: { faults: readonly LineFault[] }) =>
  faults.map((fault) => (
    <Notice key={faultKey(fault)} tone={MILD_FAULTS.includes(fault.what) ? "heed" : "stop"}>
      <LineFaultInWords fault={fault} />
    </Notice>
  ));

const faultKey = (fault: LineFault) =>
  `${fault.what} ${"station" in fault ? fault.station : "name" in fault ? fault.name : ""}`;

/** Nothing goes wrong by these: the plan only leaves something out. */
export const MILD_FAULTS: readonly LineFault["what"][] = [
  "break-before-start",
  "break-after-end",
  "arrives-after-end",
];

/** What keeps the line from running as it was planned, and the way out. The rest of the plan still answers. */
function LineFaultInWords({ fault }: { fault: LineFault }) {
  switch (fault.what) {
    case "no-one-at":
      return (
        <>
          <b>
            {fault.mayAnybody ? "No one is at" : "No one coming may work at"}{" "}
            {STATION_WORDS[fault.station].toLowerCase()}.
          </b>{" "}
          {fault.mayAnybody
            ? "Move someone there, or add a helper."
            : "Add a helper who may, or check their rules under People."}{" "}
          Until then the plan assumes everyone helps everywhere.
        </>
      );
    case "no-room-in-tanks":
      return (
        <>
          <b>The tanks are too small for a single bird.</b> Check their size under Farm. The plan assumes room
          for one bird.
        </>
      );
    case "break-before-start":
      return (
        <>
          <b>The break comes before the first bird.</b> It is left out. Choose a later time, or set it to 0
          minutes.
        </>
      );
    case "break-after-end":
      return (
        <>
          <b>The break comes after the last bird.</b> The line is likely done before it. On a slow day people
          will want it sooner.
        </>
      );
    case "break-longer-than-work":
      return (
        <>
          <b>The break is longer than the work.</b> Check the minutes. Birds already killed go into the chill
          tank before the break, and the rest wait without feed.
        </>
      );
    case "arrives-after-end":
      return (
        <>
          <b>{fault.name} arrives after the last bird is in the chill tank.</b> Correct the hours under
          People, or count on {fault.name} for packing only.
        </>
      );
    case "leaves-too-early":
      return (
        <>
          <b>The crew leaves before the birds are done.</b> Their hours end too early, or they arrive too
          late. Change their hours under People. The plan assumes everyone stays.
        </>
      );
  }
}
