import type { ComponentProps, ReactNode } from "react";
import { Link } from "react-router";
import { useMayOpen } from "#app/ui/visitor/role.tsx";

interface SheetProps extends Omit<ComponentProps<"section">, "title"> {
  heading: string;
  beside?: ReactNode;
}

/** A sheet of paper with a ruled heading. */
export function Sheet({ heading, beside, children, className = "", ...rest }: SheetProps) {
  return (
    <section className={`sheet ${className}`} aria-label={heading} {...rest}>
      <header className="sheet-head">
        <h2 className="text-lg">{heading}</h2>
        {beside && <div className="text-sm text-soft">{beside}</div>}
      </header>
      <div className="px-4 py-2">{children}</div>
    </section>
  );
}

interface FoldedSheetProps {
  /** By which the index of the page leads to it. */
  id: string;
  heading: string;
  /** What it says in short, in view while it is folded too. */
  beside?: ReactNode;
  /** Whether something in it is wrong or wanted at once. */
  isOpen?: boolean;
  /** Folded on a phone only: where there is room for it, it is always in view. */
  isForPhones?: boolean;
  /** Something to do, which paper has no use for. */
  isForScreens?: boolean;
  children: ReactNode;
}

/** A sheet that is folded to its heading until someone wants to see more. */
export function FoldedSheet({
  id,
  heading,
  beside,
  isOpen = false,
  isForPhones = false,
  isForScreens = false,
  children,
}: FoldedSheetProps) {
  return (
    <section className={`sheet ${isForScreens ? "print:hidden" : ""}`} aria-label={heading}>
      <details className={`folded-sheet ${isForPhones ? "folded-on-phones" : ""}`} open={isOpen}>
        <summary className="sheet-head">
          <h2 className="text-lg">{heading}</h2>
          {beside && <span className="text-sm text-soft">{beside}</span>}
        </summary>
        {/* The address of something inside opens what is folded around it. */}
        <div id={id} className="scroll-mt-16 px-4 py-2">
          {children}
        </div>
      </details>
    </section>
  );
}

/** A page of sheets under each other, no wider than can be read unless it has a margin of its own. */
export function Page({ isWide = false, children }: { isWide?: boolean; children: ReactNode }) {
  return <div className={`grid gap-5 p-4 md:p-6 ${isWide ? "" : "max-w-page"}`}>{children}</div>;
}

/** The top of a page: what it is, and a line about it. */
export function PageHead({
  title,
  line,
  children,
}: {
  title: string;
  line?: ReactNode;
  children?: ReactNode;
}) {
  return (
    <header className="flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h1 className="text-3xl">{title}</h1>
        {line && <p>{line}</p>}
      </div>
      {children}
    </header>
  );
}

const TONES = {
  heed: "border-straw bg-wheat",
  stop: "border-barn bg-blush",
  plain: "border-rule bg-leaf",
};

/** Something to heed, in words, where it matters. Barn red only for what must be looked at now. */
export function Notice({ tone = "heed", children }: { tone?: keyof typeof TONES; children: ReactNode }) {
  return <div className={`rounded-sheet border-l-4 px-4 py-2 ${TONES[tone]}`}>{children}</div>;
}

const BUTTON = "inline-flex min-h-12 items-center justify-center gap-2 rounded-sheet px-5 font-semibold";
const BUTTON_KINDS = {
  main: `${BUTTON} bg-pine text-white`,
  plain: `${BUTTON} border border-soft bg-leaf text-ink`,
};

export function Button({
  kind = "main",
  className = "",
  ...rest
}: ComponentProps<"button"> & { kind?: keyof typeof BUTTON_KINDS }) {
  return <button type="submit" className={`${BUTTON_KINDS[kind]} ${className}`} {...rest} />;
}

/** A link that looks like a button; left out for those who may not open where it leads. */
export function ButtonLink({
  kind = "main",
  className = "",
  ...rest
}: ComponentProps<typeof Link> & { kind?: keyof typeof BUTTON_KINDS }) {
  const mayOpen = useMayOpen();
  if (typeof rest.to === "string" && rest.to.startsWith("/") && !mayOpen(rest.to)) return null;
  return <Link className={`${BUTTON_KINDS[kind]} ${className}`} {...rest} />;
}

/** An empty place teaches: what goes here, why it helps, and the first button. */
export function EmptyPlace({
  heading,
  children,
  action,
}: {
  heading: string;
  children: ReactNode;
  action?: ReactNode;
}) {
  return (
    <section className="grid max-w-prose gap-4 rounded-sheet border border-rule bg-leaf p-6">
      <h2 className="text-2xl">{heading}</h2>
      <div className="grid gap-2">{children}</div>
      {action && <div>{action}</div>}
    </section>
  );
}
