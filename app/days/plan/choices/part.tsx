import { createContext, type ReactNode, use, useEffect, useState } from "react";

/** Which part of the sentence is open, by the id of its fields; and how to open another. */
interface OpenPart {
  readonly open: string | undefined;
  readonly setOpen: (id: string | undefined) => void;
}

const OpenPartContext = createContext<OpenPart>({ open: undefined, setOpen: () => {} });

/** A sentence whose parts open the fields they are about, one at a time. */
export function PartsOfSentence({ children }: { children: ReactNode }) {
  const [open, setOpen] = useState<string>();
  const [isLive, setIsLive] = useState(false);
  useEffect(() => {
    setIsLive(true);
    // Before the scripts arrived, a part was opened by the address.
    const asked = document.getElementById(location.hash.slice(1));
    if (asked?.matches(".part-fields")) setOpen(asked.id);
  }, []);
  return (
    <OpenPartContext value={{ open, setOpen }}>
      <div className="sentence-parts" data-live={isLive || undefined}>
        {children}
      </div>
    </OpenPartContext>
  );
}

const partOf = (id: string) => document.querySelector<HTMLElement>(`a[aria-controls="${id}"]`);

/** A part of the sentence. Before the page's scripts arrive it is a link to its fields, which the address then opens. */
export function Part({ opens, children }: { opens: string; children: ReactNode }) {
  const { open, setOpen } = use(OpenPartContext);
  const isOpen = open === opens;
  return (
    <a
      href={`#${opens}`}
      aria-controls={opens}
      aria-expanded={isOpen}
      className="sentence-part"
      onClick={(event) => {
        event.preventDefault();
        setOpen(isOpen ? undefined : opens);
      }}
      onKeyDown={(event) => {
        if (event.key !== " ") return;
        event.preventDefault();
        setOpen(isOpen ? undefined : opens);
      }}
    >
      {children}
    </a>
  );
}

/** The fields that a part is about: in the form at all times, in view while the part is open or one of them is wrong. */
export function PartFields({ id, label, children }: { id: string; label: string; children: ReactNode }) {
  const { open, setOpen } = use(OpenPartContext);
  const isOpen = open === id;
  const close = () => {
    setOpen(undefined);
    partOf(id)?.focus();
  };
  return (
    <fieldset
      id={id}
      data-open={isOpen || undefined}
      className="part-fields"
      onKeyDown={(event) => {
        if (event.key === "Escape") close();
      }}
    >
      <legend className="sr-only">{label}</legend>
      {children}
      <button type="button" className="part-done" onClick={close}>
        Done
      </button>
    </fieldset>
  );
}
