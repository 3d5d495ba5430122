import { Button } from "#app/ui/sheet.tsx";

interface PrintLabelsProps {
  /** What is printed, as "these 11 labels". */
  what: string;
  hasPrinter: boolean;
}

/** Buttons of a form that holds packs: their labels on a sheet, or to the label printer where the farm has one. */
export function PrintLabels({ what, hasPrinter }: PrintLabelsProps) {
  return (
    <div className="flex flex-wrap gap-2">
      <Button kind="plain" name="way" value="sheet" formAction="/freezers/labels/print">
        Print {what} on a sheet
      </Button>
      {hasPrinter && (
        <Button kind="plain" name="way" value="printer" formAction="/freezers/labels/print">
          Send {what} to the label printer
        </Button>
      )}
    </div>
  );
}
