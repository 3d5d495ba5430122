import { createContext, type ReactNode, useContext, useMemo } from "react";
import { type Reading, type Show, showFor } from "#app/words/show.ts";

const ShowContext = createContext<Show>(showFor({ unitSystem: "us", currency: "USD", timeZone: "UTC" }));

/** Gives every part below it the farm's units, money and time zone. */
export function ShowProvider({ reading, children }: { reading: Reading; children: ReactNode }) {
  const { unitSystem, currency, timeZone } = reading;
  const show = useMemo(() => showFor({ unitSystem, currency, timeZone }), [unitSystem, currency, timeZone]);
  return <ShowContext value={show}>{children}</ShowContext>;
}

/** Words for quantities in the farm's own units. */
export function useShow(): Show {
  return useContext(ShowContext);
}
