import type { ReactNode } from "react";
import { Page, PageHead, Sheet } from "#app/ui/sheet.tsx";

/** One thing to write down of a batch. */
export function FactPage({
  title,
  batchName,
  children,
}: {
  title: string;
  batchName: string;
  children: ReactNode;
}) {
  return (
    <Page>
      <PageHead title={title} line={batchName} />
      <Sheet heading="Save" className="max-w-prose">
        {children}
      </Sheet>
    </Page>
  );
}
