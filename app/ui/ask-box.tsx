import { type ComponentProps, useId } from "react";

interface AskBoxProps extends ComponentProps<"input"> {
  name: string;
  label: string;
  hint?: string;
  fault?: string | undefined;
}

/** A box of a form that the browser does not remember, for questions sent with the address and for secrets: its words, and what is wrong with it. */
export function AskBox({ label, hint, fault, className = "", ...input }: AskBoxProps) {
  const id = useId();
  const described = [hint && `${id}-hint`, fault && `${id}-fault`].filter(Boolean).join(" ");
  return (
    <div className="grid h-full min-w-0 content-end gap-1">
      <label htmlFor={id} className="font-semibold">
        {label}
      </label>
      {hint && (
        <p id={`${id}-hint`} className="text-sm text-soft">
          {hint}
        </p>
      )}
      <input
        autoComplete="off"
        {...input}
        id={id}
        aria-invalid={fault ? true : undefined}
        aria-describedby={described || undefined}
        className={`field-box ${className}`}
      />
      {fault && (
        <p id={`${id}-fault`} role="alert" className="text-sm font-semibold text-barn">
          {fault}
        </p>
      )}
    </div>
  );
}
