import { useState } from "react";
import { useFetcher } from "react-router";
import type { loader } from "#app/farm/first-run/towns.ts";
import { AskBox } from "#app/ui/ask-box.tsx";
import { typeInto } from "#app/ui/read/type-into.ts";

/** Fills in the place and the time zone from a town's name. @param form the id of the form that they stand in */
export function NearestTown({ form }: { form: string }) {
  const towns = useFetcher<typeof loader>();
  const [chosen, setChosen] = useState<string>();
  const [typed, setTyped] = useState("");
  const shown = chosen === undefined ? (towns.data ?? []) : [];
  return (
    <div className="grid gap-2">
      <AskBox
        name="town"
        label="Nearest town"
        hint="Or enter the position below"
        value={chosen ?? typed}
        onChange={({ target: { value } }) => {
          setChosen(undefined);
          setTyped(value);
          if (value.trim().length > 1) void towns.load(`/start/towns?like=${encodeURIComponent(value)}`);
        }}
        // The Enter key would send the whole form.
        onKeyDown={(event) => {
          if (event.key === "Enter") event.preventDefault();
        }}
      />
      <p role="status" className="text-sm text-soft empty:hidden">
        {typed.length > 1 && chosen === undefined && towns.data?.length === 0 && towns.state === "idle"
          ? "No town of that name in our list. Try a larger one nearby: it only sets the sun."
          : ""}
      </p>
      {shown.length > 0 && typed.length > 1 && (
        <ul className="grid gap-2 sm:grid-cols-2" aria-label="Towns">
          {shown.map(({ name, latitude, longitude, timeZone }) => (
            <li key={`${name} ${latitude}`}>
              <button
                type="button"
                className="min-h-12 w-full rounded-sheet border border-soft bg-white px-3 text-left"
                onClick={() => {
                  setChosen(name);
                  const element = document.getElementById(form);
                  if (!(element instanceof HTMLFormElement)) return;
                  typeInto(element, "latitude", String(latitude));
                  typeInto(element, "longitude", String(longitude));
                  typeInto(element, "timeZone", timeZone);
                }}
              >
                {name}
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
