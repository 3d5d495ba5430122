import { Link, useLocation } from "react-router";

const TABS = [
  ["", "Cut list"],
  ["/by-products", "By-products"],
  ["/canning", "Canning"],
  ["/went", "Where it went"],
] as const;

/** What becomes of the birds beside whole packs: the cuts, the by-products, and the account of every pound. */
export function CutTabs({ dayId }: { dayId: number }) {
  const { pathname } = useLocation();
  return (
    <nav aria-label="Cutting" className="overflow-x-auto print:hidden">
      <ul className="flex">
        {TABS.map(([path, label]) => {
          const to = `/days/${dayId}/cut${path}`;
          return (
            <li key={path}>
              <Link to={to} aria-current={pathname === to ? "page" : undefined} className="plan-link">
                {label}
              </Link>
            </li>
          );
        })}
      </ul>
    </nav>
  );
}
