import { type FormEvent, useId, useState } from "react";
import { useShow } from "#app/ui/use-show.tsx";
import { FACT_FAULT_WORDS } from "#app/words/run-words.ts";
import { POSSIBLE_CELSIUS } from "#core/day/run/day-fact.ts";
import { millicelsiusFromFahrenheit } from "#core/quantity/conversion.ts";
import { readNumber } from "#core/quantity/read-number.ts";

interface TemperatureEntryProps {
  label: string;
  onRead: (celsius: number) => void;
}

/** A temperature as it is read off a thermometer, in the farm's unit. What can't be stays in the box, with why. */
export function TemperatureEntry({ label, onRead }: TemperatureEntryProps) {
  const show = useShow();
  const id = useId();
  const [typed, setTyped] = useState("");
  const [problem, setProblem] = useState<string>();
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const number = readNumber(typed);
    const celsius =
      number === undefined ? undefined : show.isUs ? millicelsiusFromFahrenheit(number) / 1000 : number;
    if (celsius === undefined) return setProblem(FACT_FAULT_WORDS["temperature-needed"]);
    if (celsius < POSSIBLE_CELSIUS[0] || celsius > POSSIBLE_CELSIUS[1])
      return setProblem(FACT_FAULT_WORDS["impossible-temperature"]);
    setProblem(undefined);
    setTyped("");
    onRead(Math.round(celsius * 1000) / 1000);
  };
  return (
    <form onSubmit={submit} className="grid gap-1">
      <div className="grid grid-cols-[1fr_auto] items-end gap-3">
        <label htmlFor={id} className="grid gap-1">
          <span className="yard-soft text-sm">
            {label}, {show.temperatureUnit}
          </span>
          <input
            id={id}
            inputMode="decimal"
            autoComplete="off"
            maxLength={12}
            value={typed}
            aria-invalid={problem !== undefined}
            aria-describedby={problem && `${id}-problem`}
            onChange={({ target }) => setTyped(target.value)}
            className="yard-card min-h-16 min-w-0 rounded-sheet px-4 font-mono text-2xl"
          />
        </label>
        <button type="submit" className="yard-key yard-card px-5">
          Save
        </button>
      </div>
      {problem && (
        <p id={`${id}-problem`} role="alert" className="yard-stop px-3 py-1">
          {problem}
        </p>
      )}
    </form>
  );
}
