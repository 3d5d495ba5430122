import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import { MINUTE } from "#core/calendar/milliseconds.ts";
import { CHILL } from "#core/chill/chill-constants.ts";
import type { Tank } from "#core/day/run/tanks-now.ts";

interface TankCardProps {
  tank: Tank;
  now: number;
  isChosen: boolean;
  isDisabled: boolean;
  /** By when the first of its birds is to be cold through; undefined before there is one. */
  coldBy: number | undefined;
  onBird: () => void;
}

/** One tank: touched, it takes a bird. */
export function TankCard({ tank, now, isChosen, isDisabled, coldBy, onBird }: TankCardProps) {
  const show = useShow();
  const { number, birds, firstBirdAt, temperature, carcass } = tank;
  const isTooWarm = temperature !== undefined && temperature.celsius > CHILL.targetCelsius;
  const since =
    firstBirdAt === undefined ? undefined : show.minutes(Math.round((now - firstBirdAt) / MINUTE));
  return (
    <button
      type="button"
      disabled={isDisabled}
      onClick={onBird}
      className={`yard-key min-h-40 py-3 text-left ${isChosen ? "yard-do" : "yard-card"}`}
    >
      <span className="flex items-baseline justify-between gap-2">
        <span className="text-xl">Bird into tank {number}</span>
        <span className="font-mono text-4xl">{birds}</span>
      </span>
      <span className="grid gap-1 pt-2 text-base font-normal">
        {since && <span>in for {since}</span>}
        {coldBy !== undefined && (
          <span className={now > coldBy ? "yard-stop w-fit px-2" : ""}>cold by {show.time(coldBy)}</span>
        )}
        <span>{plural(tank.bags, "bag")} of ice</span>
        {temperature && (
          <span className={isTooWarm ? "yard-stop w-fit px-2" : ""}>
            water {show.temperature(temperature.celsius)}
            {isTooWarm && ": ice, and stir"}
          </span>
        )}
        {carcass && <span>breast {show.temperature(carcass.celsius)}</span>}
      </span>
    </button>
  );
}
