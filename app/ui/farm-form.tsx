import { type FieldMetadata, getFormProps, type SubmissionResult, useForm } from "@conform-to/react";
import { parseWithZod } from "@conform-to/zod/v4";
import { Label } from "radix-ui";
import { type ReactNode, useEffect, useState } from "react";
import { Form, useNavigation } from "react-router";
import type { z } from "zod";
import { Button } from "#app/ui/sheet.tsx";
import { type Draft, rememberSent, takeUnanswered } from "#app/ui/typed-draft.ts";

type Entered = Record<string, unknown>;

/** What an action answers when it refuses: what was typed and what is wrong with it, and a fresh id for the next try. */
export interface Refusal {
  readonly result: SubmissionResult;
  readonly entryId: string;
}

interface FarmFormProps<Schema extends z.ZodType<Entered, Entered>> {
  schema: Schema;
  refusal: Refusal | undefined;
  /** Filled in at first, by field name, as a person would type it. */
  defaults?: Readonly<Record<string, string | undefined>>;
  /** Made by the loader, so that sending the form twice keeps it once. */
  entryId: string;
  /** Where it posts to, if not to its own page. */
  action?: string;
  submit: string;
  /** A form that is sent many times over gets a button that is hard to miss. */
  isRepeated?: boolean;
  /** Another button beside it. */
  beside?: ReactNode;
  /** Called with what is in the form when it changes; undefined while it can't be read. */
  onRead?: (value: z.output<Schema> | undefined) => void;
  children: (fields: Fields<Schema>) => ReactNode;
  /** Fields that are seldom changed, below the button. */
  after?: (fields: Fields<Schema>) => ReactNode;
}

export type Fields<Schema extends z.ZodType<Entered, Entered>> = Readonly<
  Record<keyof z.input<Schema> & string, FieldMetadata<string>>
>;

/**
 * One form: checked by the same schema on both sides, and works as a plain form without JavaScript.
 * A refusal shows again what was typed, each fault under its own field.
 */
export function FarmForm<Schema extends z.ZodType<Entered, Entered>>(props: FarmFormProps<Schema>) {
  const [typed, setTyped] = useState<Draft>();
  useEffect(() => setTyped(takeUnanswered()), []);
  if (!typed) return <OneForm {...props} />;
  return (
    <>
      <p role="status" className="mb-4 rounded-sheet border-l-4 border-straw bg-wheat px-4 py-2">
        This was sent and not answered. Here is what you typed; send it once more, it will be kept only once.
      </p>
      <OneForm key="typed" {...props} defaults={typed} entryId={typed.entryId ?? props.entryId} />
    </>
  );
}

function OneForm<Schema extends z.ZodType<Entered, Entered>>(props: FarmFormProps<Schema>) {
  const { schema, refusal, defaults, entryId, action, submit, isRepeated, beside, onRead, children, after } =
    props;
  const { state } = useNavigation();
  const parse = (formData: FormData) => parseWithZod(formData, { schema, disableAutoCoercion: true });
  const [form, fields] = useForm({
    lastResult: refusal?.result ?? null,
    defaultValue: defaults ?? {},
    onValidate: ({ formData }) => parse(formData),
    // Not on blur: a fault that appears under a field moves the button away from under the finger.
    shouldValidate: "onSubmit",
    shouldRevalidate: "onInput",
    onSubmit: (_event, { formData }) => rememberSent(formData),
  });
  const named = fields as unknown as Fields<Schema>;
  return (
    <Form
      method="post"
      {...(action !== undefined && { action })}
      {...getFormProps(form)}
      noValidate
      className="grid gap-5"
      onChange={(event) => {
        const read = onRead && parse(new FormData(event.currentTarget));
        onRead?.(read?.status === "success" ? (read.value as z.output<Schema>) : undefined);
      }}
    >
      <input type="hidden" name="entryId" value={refusal?.entryId ?? entryId} />
      {form.errors && (
        <p role="alert" className="rounded-sheet border-l-4 border-barn bg-blush px-4 py-2">
          {form.errors.join(". ")}
        </p>
      )}
      {children(named)}
      <div className="flex flex-wrap gap-3">
        <Button disabled={state === "submitting"} className={isRepeated ? "min-h-16 grow text-xl" : ""}>
          {submit}
        </Button>
        {beside}
      </div>
      {after?.(named)}
    </Form>
  );
}

interface FieldProps {
  field: FieldMetadata<string>;
  label: string;
  /** Said under the label, before anything is typed. */
  hint?: ReactNode;
}

const BOX =
  "min-h-12 w-full rounded-sheet border border-soft bg-white px-3 aria-invalid:border-2 aria-invalid:border-barn";

interface TextFieldProps extends FieldProps {
  /** Shown inside the box, at its end. */
  unit?: string;
  type?: "text" | "date" | "time";
  inputMode?: "text" | "numeric" | "decimal";
  autoFocus?: boolean;
  list?: string;
}

/** One labelled box; its unit, what was typed and what is wrong with it. */
export function TextField({ field, label, hint, unit, type = "text", ...rest }: TextFieldProps) {
  return (
    <div className="grid content-start gap-1">
      <Label.Root htmlFor={field.id} className="font-semibold">
        {label}
      </Label.Root>
      {hint && (
        <p id={field.descriptionId} className="text-sm text-soft">
          {hint}
        </p>
      )}
      <div className="relative">
        <input
          key={field.key}
          id={field.id}
          name={field.name}
          type={type}
          defaultValue={field.initialValue}
          autoComplete="off"
          className={`${BOX} ${unit ? "pr-20" : ""}`}
          {...described(field, hint)}
          {...rest}
        />
        {unit && (
          <span className="pointer-events-none absolute inset-y-0 right-3 flex items-center text-soft">
            {unit}
          </span>
        )}
      </div>
      <Faults field={field} />
    </div>
  );
}

/** A few lines of text. */
export function LinesField({ field, label, hint, rows = 4 }: FieldProps & { rows?: number }) {
  return (
    <div className="grid content-start gap-1">
      <Label.Root htmlFor={field.id} className="font-semibold">
        {label}
      </Label.Root>
      {hint && (
        <p id={field.descriptionId} className="text-sm text-soft">
          {hint}
        </p>
      )}
      <textarea
        key={field.key}
        id={field.id}
        name={field.name}
        rows={rows}
        defaultValue={field.initialValue}
        className={`${BOX} py-2 font-mono`}
        {...described(field, hint)}
      />
      <Faults field={field} />
    </div>
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
      {hint && (
        <p id={field.descriptionId} className="text-sm text-soft">
          {hint}
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        {options.map((option) => (
          <label
            key={option.value}
            className="grid min-h-12 cursor-pointer content-center rounded-sheet border border-soft bg-white px-4 py-1 has-checked:border-pine has-checked:bg-pine has-checked:text-white has-focus-visible:outline-3 has-focus-visible:outline-offset-2 has-focus-visible:outline-dawn"
          >
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

/** One of many, in a list that opens. */
export function SelectField({ field, label, hint, options }: FieldProps & { options: readonly Option[] }) {
  return (
    <div className="grid content-start gap-1">
      <Label.Root htmlFor={field.id} className="font-semibold">
        {label}
      </Label.Root>
      {hint && (
        <p id={field.descriptionId} className="text-sm text-soft">
          {hint}
        </p>
      )}
      <select
        key={field.key}
        id={field.id}
        name={field.name}
        defaultValue={field.initialValue}
        className={BOX}
        {...described(field, hint)}
      >
        {options.map((option) => (
          <option key={option.value} value={option.value}>
            {option.label}
          </option>
        ))}
      </select>
      <Faults field={field} />
    </div>
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
          id={field.id}
          name={field.name}
          defaultChecked={field.initialValue === "on"}
          className="size-6 accent-pine"
          {...described(field, hint)}
        />
        <span className="font-semibold">{label}</span>
      </label>
      {hint && (
        <p id={field.descriptionId} className="text-sm text-soft">
          {hint}
        </p>
      )}
    </div>
  );
}

function described(field: FieldMetadata<string>, hint: ReactNode) {
  const ids = [hint && field.descriptionId, field.errors && field.errorId].filter(Boolean).join(" ");
  return { "aria-invalid": field.errors ? true : undefined, "aria-describedby": ids || undefined };
}

function Faults({ field }: { field: FieldMetadata<string> }) {
  if (!field.errors) return null;
  return (
    <p id={field.errorId} className="text-sm font-semibold text-barn">
      {field.errors.join(". ")}
    </p>
  );
}
