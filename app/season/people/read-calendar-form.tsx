import { Form } from "react-router";
import { Button } from "#app/ui/sheet.tsx";

interface ReadCalendarFormProps {
  personId: number;
  name: string;
  entryId: string;
  fault?: string;
}

/** Takes a calendar file; it says on which days someone is busy. */
export function ReadCalendarForm({ personId, name, entryId, fault }: ReadCalendarFormProps) {
  return (
    <Form
      method="post"
      action={`/season/people/${personId}/read`}
      encType="multipart/form-data"
      className="grid gap-3"
    >
      <input type="hidden" name="entryId" value={entryId} />
      <label className="grid gap-1">
        <span className="font-semibold">{name}’s calendar</span>
        <span className="text-sm text-soft">
          An .ics file exported from their calendar. Days with anything between 7 in the morning and 3 in the
          afternoon count as busy. It replaces the last file.
        </span>
        <input
          type="file"
          name="calendar"
          accept=".ics,text/calendar"
          aria-invalid={fault ? true : undefined}
          className="field-box py-2"
        />
      </label>
      {fault && (
        <p role="alert" className="text-sm font-semibold text-barn">
          {fault}
        </p>
      )}
      <div>
        <Button kind="plain">Import</Button>
      </div>
    </Form>
  );
}
