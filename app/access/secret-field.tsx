import type { ComponentProps } from "react";

interface SecretFieldProps extends Omit<ComponentProps<"input">, "id"> {
  name: string;
  label: string;
  hint?: string;
  fault: string | undefined;
}

/** A labeled box of a form that is never remembered in the browser: what is typed in it is a secret, or whose device this is. */
export function SecretField({ name, label, hint, fault, ...rest }: SecretFieldProps) {
  const id = `${name}-box`;
  return (
    <div className="grid gap-1">
      <label htmlFor={id} className="font-semibold">
        {label}
      </label>
      {hint && (
        <p id={`${id}-hint`} className="text-sm text-soft">
          {hint}
        </p>
      )}
      <input
        id={id}
        name={name}
        className="field-box"
        aria-invalid={fault !== undefined}
        aria-describedby={fault !== undefined ? `${id}-fault` : hint ? `${id}-hint` : undefined}
        {...rest}
      />
      {fault !== undefined && (
        <p id={`${id}-fault`} role="alert" className="text-barn">
          {fault}
        </p>
      )}
    </div>
  );
}
