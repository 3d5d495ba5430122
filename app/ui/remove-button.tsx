import { Form } from "react-router";

interface TakeBackProps {
  entryId: string;
  /** Where to go on afterwards: a path of this application. */
  back: string;
  /** What is removed, for those who hear the button and don't see its row. */
  what: string;
  /** Another word than remove, where taking back is not a removal. */
  verb?: string;
}

/** Takes one written-down thing back: it stays in the file and leaves every sum. */
export function RemoveButton({ entryId, back, what, verb = "remove" }: TakeBackProps) {
  return (
    <Form method="post" action="/take-back" className="print:hidden">
      <input type="hidden" name="entryId" value={entryId} />
      <input type="hidden" name="back" value={back} />
      <input type="hidden" name="what" value={what} />
      <button
        type="submit"
        className="-my-1 min-h-11 px-2 text-sm text-soft underline"
        aria-label={`${verb[0]!.toUpperCase()}${verb.slice(1)}: ${what}`}
      >
        {verb}
      </button>
    </Form>
  );
}
