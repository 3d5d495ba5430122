/**
 * What was typed into a form that was sent and not answered, kept in this window until it is sent again.
 * With its entry's id, so that sending it again keeps it once even if the first did arrive.
 */
export type Draft = Readonly<Record<string, string>>;

const TYPED = "pale-morning-typed";
const UNANSWERED = "pale-morning-unanswered";

/** Remembers a form as it is sent. */
export function rememberSent(form: FormData): void {
  const fields = [...form].filter((pair): pair is [string, string] => typeof pair[1] === "string");
  sessionStorage.setItem(
    TYPED,
    JSON.stringify({ at: location.pathname + location.search, fields: Object.fromEntries(fields) }),
  );
}

/** Notes that the form sent last was not answered. Answers whether there was one. */
export function markUnanswered(): boolean {
  const hasDraft = sessionStorage.getItem(TYPED) !== null;
  if (hasDraft) sessionStorage.setItem(UNANSWERED, "yes");
  return hasDraft;
}

/** Where the form stands that was not answered. */
export function unansweredPath(): string | undefined {
  return read()?.at;
}

/** What was typed on this page and not answered; asked once, then forgotten. */
export function takeUnanswered(): Draft | undefined {
  const isUnanswered = sessionStorage.getItem(UNANSWERED) !== null;
  const draft = read();
  if (!isUnanswered || draft?.at !== location.pathname + location.search) return undefined;
  sessionStorage.removeItem(UNANSWERED);
  return draft.fields;
}

function read(): { at: string; fields: Draft } | undefined {
  const text = sessionStorage.getItem(TYPED);
  return text === null ? undefined : JSON.parse(text);
}
