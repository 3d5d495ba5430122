import { Form, NavLink, useLocation } from "react-router";
import { KeyList } from "#app/ui/keys/key-list.tsx";
import { useRole } from "#app/ui/visitor/role.tsx";
import { mayOpen } from "#app/ui/visitor/route-roles.ts";

export interface SpineProps {
  farmName: string;
  /** Whose device this is; empty on the farm's own computer. */
  deviceName: string;
  /** One live word a section; empty where there is nothing to say. */
  words: { batches: string; season: string; days: string; freezers: string; orders: string; books: string };
  units: string;
}

/** The sections in the order of the work: on the left, or along the bottom of a phone. */
export function Spine({ farmName, deviceName, words, units }: SpineProps) {
  const role = useRole();
  const sections = sectionsOf(words).filter(({ to }) =>
    to === "/today" ? role === "helper" : mayOpen(role, to),
  );
  const inBar = sections.length > MOST_IN_BAR ? MOST_IN_BAR - 1 : sections.length;
  return (
    <header className="fixed inset-x-0 bottom-0 z-10 bg-night text-milk md:sticky md:top-0 md:h-dvh md:w-40 md:shrink-0 md:self-start print:hidden">
      <div className="flex h-full flex-col">
        <div className="hidden px-5 pt-5 pb-6 md:block">
          <p className="font-display text-xl leading-tight">Pale Morning</p>
          <p className="pt-1 text-sm text-fog">{farmName}</p>
        </div>
        <nav aria-label="Sections">
          <ul className="grid auto-cols-fr grid-flow-col md:grid-flow-row md:grid-cols-1">
            {sections.map((section, index) => (
              <li key={section.to} className={index < inBar ? "" : "hidden md:block"}>
                <SectionLink {...section} />
              </li>
            ))}
            {inBar < sections.length && <More sections={sections.slice(inBar)} />}
          </ul>
        </nav>
        <div className="mt-auto hidden px-5 pb-5 text-sm text-fog md:block">
          {deviceName !== "" && <Leave deviceName={deviceName} />}
          <p>{units}</p>
          <KeyList />
        </div>
      </div>
    </header>
  );
}

/** Fingers' breadths along the bottom of a phone. */
const MOST_IN_BAR = 6;

interface Section {
  readonly to: string;
  readonly name: string;
  readonly word: string;
}

function SectionLink({ to, name, word }: Section) {
  return (
    <NavLink to={to} className="section-link">
      <span className="font-semibold">{name}</span>
      <span className="text-xs whitespace-nowrap text-fog md:text-sm">{word}</span>
    </NavLink>
  );
}

/** The sections that a phone has no room for, behind one more key. */
function More({ sections }: { sections: readonly Section[] }) {
  const { pathname } = useLocation();
  const isHere = sections.some(({ to }) => pathname === to || pathname.startsWith(`${to}/`));
  return (
    <li className="md:hidden">
      {/* Going anywhere folds it again. */}
      <details key={pathname} className="relative h-full">
        <summary
          className={`section-link h-full cursor-pointer list-none font-semibold ${isHere ? "border-straw bg-ground" : ""}`}
        >
          More
        </summary>
        <ul className="absolute right-0 bottom-full w-40 bg-night">
          {sections.map((section) => (
            <li key={section.to}>
              <SectionLink {...section} />
            </li>
          ))}
        </ul>
      </details>
    </li>
  );
}

const sectionsOf = (words: SpineProps["words"]) => [
  { to: "/today", name: "Today", word: "" },
  { to: "/batches", name: "Batches", word: words.batches },
  { to: "/season", name: "Season", word: words.season },
  { to: "/days", name: "Days", word: words.days },
  { to: "/freezers", name: "Freezers", word: words.freezers },
  { to: "/orders", name: "Orders", word: words.orders },
  { to: "/books", name: "Books", word: words.books },
  { to: "/farm", name: "Farm", word: "" },
];

/** Whose device this is, and the way out. */
function Leave({ deviceName }: { deviceName: string }) {
  return (
    <Form method="post" action="/sign-out" className="pb-3">
      <p>{deviceName}</p>
      <button type="submit" className="lone-link">
        Sign out
      </button>
    </Form>
  );
}
