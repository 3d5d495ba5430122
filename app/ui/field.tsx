import type { FieldMetadata } from "@conform-to/react";
import { Label } from "radix-ui";
import { type ReactNode, useEffect, useRef, useState } from "react";
import { restoreEarlyTyping } from "#app/ui/read/early-typing.ts";

interface FieldProps {
  field: FieldMetadata<string>;
  label: string;
  /** Said under the label, before anything is typed. */
  hint?: ReactNode;
}

const BOX = "field-box";

interface TextFieldProps extends FieldProps {
  /** Shown inside the box, at its end. */
  unit?: string;
  type?: "text" | "date" | "time";
  inputMode?: "text" | "numeric" | "decimal";
  autoFocus?: boolean;
}

/** One labeled box; its unit, what was typed and what is wrong with it. */
export function TextField({ field, label, hint, unit, type = "text", ...rest }: TextFieldProps) {
  return (
    <Labelled field={field} label={label} hint={hint}>
      <div className="relative">
        <input
          key={field.key}
          type={type}
          defaultValue={field.initialValue}
          autoComplete="off"
          className={`${BOX} ${unit ? "pr-20" : ""}`}
          {...named(field, hint)}
          {...rest}
        />
        {unit && (
          <span className="pointer-events-none absolute inset-y-0 right-3 flex items-center text-soft">
            {unit}
          </span>
        )}
      </div>
    </Labelled>
  );
}

/** A whole number that something else on the page can change too. */
export function CountField({
  field,
  label,
  count,
  onCount,
}: FieldProps & { count: number; onCount: (count: number) => void }) {
  const [typed, setTyped] = useState<string>();
  return (
    <Labelled field={field} label={label}>
      <input
        type="text"
        inputMode="numeric"
        autoComplete="off"
        // What is being typed stands, also while it is no number; else the count.
        value={typed ?? String(count)}
        onChange={({ target: { value } }) => {
          setTyped(value);
          if (/^\d{1,2}$/.test(value.trim()) && Number(value) >= 1 && Number(value) <= 24)
            onCount(Number(value));
        }}
        onBlur={() => {
          if (typed !== undefined && typed.trim() === String(count)) setTyped(undefined);
        }}
        className={BOX}
        {...named(field, undefined)}
      />
    </Labelled>
  );
}

/** A few lines of text. */
export function LinesField({ field, label, hint, rows = 4 }: FieldProps & { rows?: number }) {
  const box = useRef<HTMLTextAreaElement>(null);
  useEffect(() => {
    if (box.current) restoreEarlyTyping(box.current);
  }, []);
  return (
    <Labelled field={field} label={label} hint={hint}>
      <textarea
        key={field.key}
        ref={box}
        rows={rows}
        defaultValue={field.initialValue}
        className={`${BOX} py-2 font-mono`}
        {...named(field, hint)}
      />
    </Labelled>
  );
}

/** One of many, in a list that opens. */
export function SelectField({ field, label, hint, options }: FieldProps & { options: readonly Option[] }) {
  return (
    <Labelled field={field} label={label} hint={hint}>
      <select key={field.key} defaultValue={field.initialValue} className={BOX} {...named(field, hint)}>
        {options.map((option) => (
          <option key={option.value} value={option.value}>
            {option.label}
          </option>
        ))}
      </select>
    </Labelled>
  );
}

interface Option {
  readonly value: string;
  readonly label: string;
  readonly line?: string;
}

/** One of a few, all in view. */
export function ChoiceField({ field, label, hint, options }: FieldProps & { options: readonly Option[] }) {
  return (
    <fieldset className="grid content-start gap-1" {...described(field, hint)}>
      <legend className="pb-1 font-semibold">{label}</legend>
      <Hint field={field} hint={hint} />
      <div className="flex flex-wrap gap-2">
        {options.map((option) => (
          <label key={option.value} className="choice">
            <input
              key={field.key}
              type="radio"
              name={field.name}
              value={option.value}
              defaultChecked={field.initialValue === option.value}
              className="sr-only"
            />
            <span>{option.label}</span>
            {option.line && <span className="text-sm">{option.line}</span>}
          </label>
        ))}
      </div>
      <Faults field={field} />
    </fieldset>
  );
}

/** A box to tick. */
export function TickField({ field, label, hint }: FieldProps) {
  return (
    <div className="grid content-start gap-1">
      <label className="flex min-h-12 cursor-pointer items-center gap-3">
        <input
          key={field.key}
          type="checkbox"
          defaultChecked={field.initialValue === "on"}
          className="size-6 accent-pine"
          {...named(field, hint)}
        />
        <span className="font-semibold">{label}</span>
      </label>
      <Hint field={field} hint={hint} />
      <Faults field={field} />
    </div>
  );
}

/** Label above, hint under it, the box, and what is wrong with it below. */
function Labelled({ field, label, hint, children }: FieldProps & { children: ReactNode }) {
  return (
    <div className="grid content-start gap-1">
      <Label.Root htmlFor={field.id} className="font-semibold">
        {label}
      </Label.Root>
      <Hint field={field} hint={hint} />
      {children}
      <Faults field={field} />
    </div>
  );
}

function Hint({ field, hint }: Pick<FieldProps, "field" | "hint">) {
  if (!hint) return null;
  return (
    <p id={field.descriptionId} className="text-sm text-soft">
      {hint}
    </p>
  );
}

/** What is wrong with what was typed. */
export function Faults({ field }: Pick<FieldProps, "field">) {
  if (!field.errors) return null;
  return (
    <p id={field.errorId} className="text-sm font-semibold text-barn">
      {field.errors.join(". ")}
    </p>
  );
}

const named = (field: FieldMetadata<string>, hint: ReactNode) => ({
  id: field.id,
  name: field.name,
  ...described(field, hint),
});

function described(field: FieldMetadata<string>, hint: ReactNode) {
  const ids = [hint && field.descriptionId, field.errors && field.errorId].filter(Boolean).join(" ");
  return { "aria-invalid": field.errors ? true : undefined, "aria-describedby": ids || undefined };
}
