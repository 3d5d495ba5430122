import type { ReactNode } from "react";
import { Link } from "react-router";
import { useShow } from "#app/ui/use-show.tsx";
import { inputWords, PROVENANCE_WORDS, RULE_WORDS } from "#app/words/reckoning-words.ts";
import { SOURCE_WORDS } from "#app/words/words.ts";
import type { Input, Provenance, Reckoning } from "#core/reckoning/reckoning.ts";

/** How a number looks by where it came from. */
export const PROVENANCE_CLASS: Readonly<Record<Provenance, string>> = {
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
  const large = size === "large" ? "text-2xl lg:text-xl" : "text-lg";
  return (
    <div className="figure-row">
      <details className="figure group">
        <summary className="grid">
          <span className="figure-line text-sm text-soft">
            <span>{label}</span>
            {beside && <span className="shrink-0 text-right">{beside}</span>}
          </span>
          <span className="figure-line flex-wrap">
            <span className={PROVENANCE_CLASS[reckoning.provenance]}>
              <span className={`font-display whitespace-nowrap ${large}`}>
                {show.value(reckoning.value, reckoning.unit)}
              </span>
              {to && (
                <>
                  <span className="px-2 text-soft">to</span>
                  <span className={`font-display whitespace-nowrap ${large}`}>
                    {show.value(to.value, to.unit)}
                  </span>
                </>
              )}
              {children && <span> {children}</span>}
            </span>
            <span className="figure-more">show the math</span>
          </span>
        </summary>
        <div className="working">
          <Working reckoning={reckoning} />
          {to && to.rule !== reckoning.rule && <Working reckoning={to} />}
          {workings.map((one) => (
            <Working key={one.rule} reckoning={one} />
          ))}
          {[reckoning, ...workings].some(hasEstimate) && (
            <p>
              Some are our estimates. <Link to="/farm">Enter your own numbers</Link> to replace them.
            </p>
          )}
        </div>
      </details>
      {note && <div className="pt-1 text-sm">{note}</div>}
    </div>
  );
}

const hasEstimate = ({ inputs }: Reckoning) => inputs.some(({ provenance }) => provenance === "our-estimate");

/** The sum in words, and each number that went in, with where it came from. */
export function Working({ reckoning }: { reckoning: Reckoning }) {
  return (
    <div>
      <p>
        {RULE_WORDS[reckoning.rule]}
        {reckoning.thenRule && ` ${RULE_WORDS[reckoning.thenRule]}`}
      </p>
      <p>{`Source: ${SOURCE_WORDS[reckoning.source]}.`}</p>
      <table>
        <caption>Numbers used</caption>
        <tbody>
          {reckoning.inputs.map((one) => (
            <InputRow key={inputWords(one.name)} input={one} />
          ))}
        </tbody>
      </table>
    </div>
  );
}

function InputRow({ input }: { input: Input }) {
  const show = useShow();
  return (
    <tr>
      <th scope="row">
        {inputWords(input.name)} <span>{PROVENANCE_WORDS[input.provenance]}</span>
      </th>
      <td>{show.value(input.value, input.unit)}</td>
    </tr>
  );
}
