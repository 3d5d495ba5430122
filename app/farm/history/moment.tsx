import { useShow } from "#app/ui/use-show.tsx";
import { localDayOf } from "#core/calendar/farm-time.ts";

/** A day with its year and a time of day; each stays in one piece where there is little room. */
export function Moment({ at }: { at: number }) {
  const show = useShow();
  return (
    <>
      <span className="whitespace-nowrap">{show.dayWithYear(localDayOf(at, show.timeZone))}</span>{" "}
      <span className="whitespace-nowrap">{show.time(at)}</span>
    </>
  );
}
