import { FEATHER_WORDS } from "#app/words/run-words.ts";
import { plural } from "#app/words/show.ts";
import { FEATHER_ANSWERS, type FeatherAnswer } from "#core/scald/scald-learn.ts";

const ANSWER_EDGE: Readonly<Record<FeatherAnswer, string>> = {
  hold: "var(--yard-soft)",
  slip: "var(--yard-ready)",
  tear: "var(--color-dawn)",
};

/** What the feathers say when the birds come out of the water. */
export function Lift({
  onLift,
  line,
}: {
  onLift: (answer: FeatherAnswer) => void;
  line?: string | undefined;
}) {
  return (
    <fieldset className="grid grid-cols-3 gap-x-3 gap-y-1" aria-label="Lift: how did the feathers come?">
      {FEATHER_ANSWERS.map((answer) => (
        <button
          key={answer}
          type="button"
          className="yard-key yard-card"
          style={{ border: `3px solid ${ANSWER_EDGE[answer]}` }}
          onClick={() => onLift(answer)}
        >
          {FEATHER_WORDS[answer].name}
          <span className="yard-soft block text-base font-normal">{FEATHER_WORDS[answer].line}</span>
        </button>
      ))}
      {line && <p className="yard-soft col-span-3">{line}</p>}
    </fieldset>
  );
}

interface DipLoadsProps {
  /** Birds that may go in at once, a button each. */
  loads: readonly number[];
  isDisabled: boolean;
  isSmall?: boolean;
  /** What comes before the water. */
  line?: string | undefined;
  onDip: (birds: number) => void;
}

export function DipLoads({ loads, isDisabled, isSmall = false, line, onDip }: DipLoadsProps) {
  return (
    <div className={`grid gap-3 ${loads.length > 1 ? "grid-cols-2" : ""}`}>
      {loads.map((birds) => (
        <button
          key={birds}
          type="button"
          disabled={isDisabled}
          className={`yard-key yard-do ${isSmall ? "min-h-24 text-2xl" : "min-h-40 text-3xl"}`}
          onClick={() => onDip(birds)}
        >
          Dip {plural(birds, "bird")}
          {line && <span className="block text-base font-normal">{line}</span>}
        </button>
      ))}
    </div>
  );
}
