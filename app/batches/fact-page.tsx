import type { ReactNode } from "react";
import { PageHead, Sheet } from "#app/ui/sheet.tsx";

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
    <div className="grid max-w-page gap-5 p-4 md:p-6">
      <PageHead title={title} line={batchName} />
      <Sheet heading="Write it down" className="max-w-prose">
        {children}
      </Sheet>
    </div>
  );
}
