import { Link, useNavigate } from "react-router";
import { useHotkeys } from "#app/ui/keys/use-hotkeys.ts";
import { productName } from "#app/words/packing/product-words.ts";
import { PRODUCT_KINDS, type ProductKind } from "#core/packing/product-kinds.ts";
import type { Product } from "#db/pack/product-queries.server.ts";

interface ProductTabsProps {
  dayId: number;
  products: readonly Product[];
  /** Packs that the day has of each product, by its id. */
  packed: Readonly<Record<number, number>>;
  currentId: number;
}

const GROUP_WORDS: Readonly<Record<ProductKind["group"], string>> = {
  whole: "Whole",
  cut: "Cut up",
  giblets: "Giblets and necks",
  feet: "Feet",
  frames: "From frames",
  other: "Other",
};

/** What is packed now: the products that this day has, and the others one tap further. It stays until it is changed. */
export function ProductTabs({ dayId, products, packed, currentId }: ProductTabsProps) {
  const isInUse = ({ id, kind }: Product) =>
    kind === "whole-bird" || id === currentId || (packed[id] ?? 0) > 0;
  const shown = products.filter(isInUse);
  const navigate = useNavigate();
  useHotkeys((event) => {
    const product = event.altKey ? shown[Number(/^Digit([1-9])$/.exec(event.code)?.[1]) - 1] : undefined;
    return product && (() => navigate(pathOf(dayId, product)));
  });
  const groups = Object.keys(GROUP_WORDS) as (keyof typeof GROUP_WORDS)[];
  return (
    <nav aria-label="Product" className="grid min-w-0 gap-2 print:hidden">
      <ul className="flex min-w-0 gap-2 overflow-x-auto p-1 sm:flex-wrap">
        {shown.map((product) => (
          <li key={product.id}>
            <ProductLink {...{ dayId, product, currentId }} count={packed[product.id] ?? 0} />
          </li>
        ))}
      </ul>
      <details>
        <summary className="min-h-12 content-center text-soft underline">Pack something else</summary>
        <div className="grid gap-3 py-2">
          {groups.map((name) => {
            const ofGroup = products.filter(
              (product) => PRODUCT_KINDS[product.kind].group === name && product.kind !== "cut-up-bird",
            );
            if (ofGroup.length === 0) return null;
            return (
              <div key={name}>
                <p className="pb-1 text-sm font-semibold">{GROUP_WORDS[name]}</p>
                <ul className="flex flex-wrap gap-2">
                  {ofGroup.map((product) => (
                    <li key={product.id}>
                      <ProductLink {...{ dayId, product, currentId }} count={packed[product.id] ?? 0} />
                    </li>
                  ))}
                </ul>
              </div>
            );
          })}
        </div>
      </details>
    </nav>
  );
}

interface ProductLinkProps {
  dayId: number;
  product: Product;
  count: number;
  currentId: number;
}

const pathOf = (dayId: number, { kind, id }: Product) =>
  kind === "whole-bird" ? `/days/${dayId}/pack` : `/days/${dayId}/pack/parts/${id}`;

function ProductLink({ dayId, product, count, currentId }: ProductLinkProps) {
  return (
    <Link
      to={pathOf(dayId, product)}
      aria-current={product.id === currentId ? "page" : undefined}
      className="product-link"
    >
      {productName(product)}
      {count > 0 && <span className="font-mono text-sm">{count}</span>}
    </Link>
  );
}
