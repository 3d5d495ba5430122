import type { ReactNode } from "react";
import { Link } from "react-router";
import { useShow } from "#app/ui/use-show.tsx";
import { inputWords, PROVENANCE_WORDS, RULE_WORDS } from "#app/words/reckoning-words.ts";
import { SOURCE_WORDS } from "#app/words/words.ts";
import type { Input, Provenance, Reckoning } from "#core/reckoning/reckoning.ts";

const PROVENANCE_CLASS: Readonly<Record<Provenance, string>> = {
  measured: "",
  calculated: "is-worked-out",
  "farm-setting": "",
  "our-estimate": "is-default",
};

interface FigureProps {
  /** What it is, above it. */
  label: string;
  reckoning: Reckoning;
  /** A second one that belongs to it: from the first bird to the last. */
  to?: Reckoning;
  /** Said beside it: a limit, an aim. */
  beside?: ReactNode;
  /** Said below it, always in view. */
  note?: ReactNode;
  size?: "large" | "small";
  /** Further sums that belong to it, opened with it. */
  workings?: readonly Reckoning[];
  /** Words for the value where the unit's own are not enough. */
  children?: ReactNode;
}

/** A figure that shows its working: the sum in words with this farm's numbers, opened by click, Enter or tap. */
export function Figure({
  label,
  reckoning,
  to,
  beside,
  note,
  size = "large",
  workings = [],
  children,
}: FigureProps) {
  const show = useShow();
  const large = size === "large" ? "text-2xl" : "text-lg";
  return (
    <div className="border-b border-rule py-1.5 last:border-b-0">
      <details className="figure group">
        <summary className="grid">
          <span className="flex items-baseline justify-between gap-3 text-sm text-soft">
            <span>{label}</span>
            {beside && <span className="shrink-0 text-right">{beside}</span>}
          </span>
          <span className="flex items-baseline justify-between gap-3">
            <span className={PROVENANCE_CLASS[reckoning.provenance]}>
              <span className={`font-display ${large}`}>{show.value(reckoning.value, reckoning.unit)}</span>
              {to && (
                <>
                  <span className="px-2 text-soft">to</span>
                  <span className={`font-display ${large}`}>{show.value(to.value, to.unit)}</span>
                </>
              )}
              {children && <span className="pl-2">{children}</span>}
            </span>
            <span className="shrink-0 text-sm text-soft underline group-open:hidden print:hidden">
              show the math
            </span>
          </span>
        </summary>
        <div className="working my-2 grid gap-3 bg-paper p-3 text-sm">
          <Working reckoning={reckoning} />
          {to && to.rule !== reckoning.rule && <Working reckoning={to} />}
          {workings.map((one) => (
            <Working key={one.rule} reckoning={one} />
          ))}
        </div>
      </details>
      {note && <div className="pt-1 text-sm">{note}</div>}
    </div>
  );
}

/** The sum in words, and each number that went in, with where it came from. */
export function Working({ reckoning }: { reckoning: Reckoning }) {
  return (
    <div className="grid gap-2">
      <p>
        {RULE_WORDS[reckoning.rule]}
        {reckoning.thenRule && ` ${RULE_WORDS[reckoning.thenRule]}`}
      </p>
      <p className="text-soft">Source: {SOURCE_WORDS[reckoning.source]}.</p>
      <table className="w-full">
        <caption className="sr-only">Numbers used</caption>
        <tbody>
          {reckoning.inputs.map((one) => (
            <InputRow key={inputWords(one.name)} input={one} />
          ))}
        </tbody>
      </table>
      {reckoning.inputs.some(({ provenance }) => provenance === "our-estimate") && (
        <p className="text-soft">
          Some are our estimates.{" "}
          <Link to="/farm" className="underline">
            Enter your own numbers
          </Link>{" "}
          to replace them.
        </p>
      )}
    </div>
  );
}

function InputRow({ input }: { input: Input }) {
  const show = useShow();
  return (
    <tr className="border-t border-rule align-baseline">
      <th scope="row" className="py-1 pr-2 text-left font-normal">
        {inputWords(input.name)}
        <span className="block text-xs text-soft">{PROVENANCE_WORDS[input.provenance]}</span>
      </th>
      <td className="py-1 text-right font-mono">{show.value(input.value, input.unit)}</td>
    </tr>
  );
}
