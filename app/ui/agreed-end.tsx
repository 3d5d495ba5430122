import type { ReactNode } from "react";
import { Button, ButtonLink } from "#app/ui/sheet.tsx";

interface AgreedEndProps {
  /** Name of the box that has to be checked. */
  name: string;
  /** What is agreed to by checking it. */
  children: ReactNode;
  /** What was wrong, a sentence without its period. */
  fault: string | undefined;
  submit: string;
  /** Where to go on without it. */
  cancelTo: string;
}

/** The end of a form for what can't be undone: a box to agree with, what was wrong, and two ways on. */
export function AgreedEnd({ name, children, fault, submit, cancelTo }: AgreedEndProps) {
  return (
    <>
      <label className="flex min-h-12 items-start gap-3">
        <input type="checkbox" name={name} className="mt-1 size-5 shrink-0" />
        <span>{children}</span>
      </label>
      {fault !== undefined && (
        <p role="alert" className="text-sm font-semibold text-barn">
          {fault}.
        </p>
      )}
      <div className="flex flex-wrap gap-3">
        <Button>{submit}</Button>
        <ButtonLink kind="plain" to={cancelTo}>
          Cancel
        </ButtonLink>
      </div>
    </>
  );
}
