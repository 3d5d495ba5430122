import { type FieldMetadata, getFormProps, type SubmissionResult, useForm } from "@conform-to/react";
import { parseWithZod } from "@conform-to/zod/v4";
import { type ReactNode, useEffect, useState } from "react";
import { Form, useNavigation } from "react-router";
import type { z } from "zod";
import { nestedFields } from "#app/ui/nested-fields.ts";
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
  /** By which a button elsewhere on the page can send it. */
  id?: string;
  /** Where it posts to, if not to its own page. */
  action?: string;
  submit: string;
  /** A form that is sent many times over gets a button that is hard to miss. */
  isRepeated?: boolean;
  /** Another button beside it. */
  beside?: ReactNode;
  /** Called with what is in the form when it changes, undefined while it can't be read, and with it as typed. */
  onRead?: (value: z.output<Schema> | undefined, typed: FormData) => void;
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
        This was sent but not answered. What you entered is below; send it again, and it will be saved only
        once.
      </p>
      <OneForm key="typed" {...props} defaults={typed} entryId={typed.entryId ?? props.entryId} />
    </>
  );
}

function OneForm<Schema extends z.ZodType<Entered, Entered>>(props: FarmFormProps<Schema>) {
  const {
    schema,
    refusal,
    defaults,
    entryId,
    id,
    action,
    submit,
    isRepeated,
    beside,
    onRead,
    children,
    after,
  } = props;
  const { state } = useNavigation();
  const parse = (formData: FormData) => parseWithZod(formData, { schema, disableAutoCoercion: true });
  const [form, fields] = useForm({
    ...(id !== undefined && { id }),
    lastResult: refusal?.result ?? null,
    defaultValue: nestedFields(defaults ?? {}) as Record<string, string | undefined>,
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
        if (!onRead) return;
        const typed = new FormData(event.currentTarget);
        const read = parse(typed);
        onRead(read.status === "success" ? (read.value as z.output<Schema>) : undefined, typed);
      }}
    >
      <input type="hidden" name="entryId" value={refusal?.entryId ?? entryId} />
      {form.errors && (
        <p role="alert" className="rounded-sheet border-l-4 border-barn bg-blush px-4 py-2">
          {form.errors.join(". ")}
        </p>
      )}
      {children(named)}
      <div className="flex flex-wrap gap-3 print:hidden">
        <Button disabled={state === "submitting"} className={isRepeated ? "min-h-16 grow text-xl" : ""}>
          {submit}
        </Button>
        {beside}
      </div>
      {after?.(named)}
    </Form>
  );
}
