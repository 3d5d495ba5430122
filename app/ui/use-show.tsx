import { createContext, type ReactNode, useContext, useMemo } from "react";
import { DEFAULT_LOCALE } from "#app/words/locale.ts";
import { type Reading, type Show, showFor } from "#app/words/show.ts";

const ShowContext = createContext<Show>(
  showFor({ unitSystem: "us", currency: "USD", timeZone: "UTC", locale: DEFAULT_LOCALE }),
);

/** Gives every part below it the farm's units, money and time zone. */
export function ShowProvider({ reading, children }: { reading: Reading; children: ReactNode }) {
  const { unitSystem, currency, timeZone, locale, seesMoney } = reading;
  const show = useMemo(
    () => showFor({ unitSystem, currency, timeZone, locale, seesMoney }),
    [unitSystem, currency, timeZone, locale, seesMoney],
  );
  return <ShowContext value={show}>{children}</ShowContext>;
}

/** Words for quantities in the farm's own units. */
export function useShow(): Show {
  return useContext(ShowContext);
}
