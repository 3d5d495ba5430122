import { useEffect, useRef, useState } from "react";
import { TankCard } from "#app/days/run/chill/tank-card.tsx";
import { PostScreen } from "#app/days/run/post/post-screen.tsx";
import { TemperatureEntry } from "#app/days/run/post/temperature-entry.tsx";
import { type Post, usePost } from "#app/days/run/post/use-post.ts";
import { runReading } from "#app/days/run/run-reading.server.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import { HOUR, MINUTE } from "#core/calendar/milliseconds.ts";
import { meltedAt } from "#core/day/forecast/ice-ahead.ts";
import { type Tank, tanksNow } from "#core/day/run/tanks-now.ts";
import type { Route } from "./+types/chill.ts";

export const meta = () => [{ title: "Chill tanks · Pale Morning" }];

export const loader = ({ context, params }: Route.LoaderArgs) =>
  runReading(context.get(farmContext), params.dayId);

const MOST_TANKS = 4;

/** Birds into the tanks, ice on them, and what the thermometers say. */
export default function Chill({ loaderData }: Route.ComponentProps) {
  const post = usePost(loaderData);
  const [shown, setShown] = useState(1);
  const [chosen, setChosen] = useState(1);
  const tanks = tanksNow(post.facts, shown);
  const tank = tanks[chosen - 1] ? chosen : 1;
  const bird = (number: number) => {
    setChosen(number);
    post.tap({ kind: "bird", number });
  };
  const ice = () => post.tap({ kind: "ice", bags: 1, number: tank });
  const another = () => {
    setShown(tanks.length + 1);
    setChosen(tanks.length + 1);
  };
  const birdKeys = Object.fromEntries(tanks.map(({ number }) => [String(number), () => bird(number)]));
  return (
    <PostScreen
      post={post}
      title="Chill tanks"
      undoes={["bird", "ice", "tank-temperature", "carcass-temperature"]}
      keys={{ ...birdKeys, " ": () => bird(tank), i: ice }}
      caution="40 °F (4.4 °C) through within the hours that local rules set. Wash hands between raw birds and anything else."
    >
      <div className={`grid gap-3 ${tanks.length > 1 ? "grid-cols-2" : ""}`}>
        {tanks.map((one) => (
          <TankCard
            key={one.number}
            tank={one}
            now={post.now}
            isChosen={one.number === tank}
            coldBy={coldByOf(one, post)}
            isDisabled={!post.isReady}
            onBird={() => bird(one.number)}
          />
        ))}
      </div>
      <IceOrTank tank={tank} onIce={ice} onAnother={tanks.length < MOST_TANKS ? another : undefined} />
      <Ahead post={post} bags={tanks.reduce((sum, { bags }) => sum + bags, 0)} />
      <TemperatureEntry
        label={`Water of tank ${tank}`}
        onRead={(celsius) => post.tap({ kind: "tank-temperature", celsius, number: tank })}
      />
      <TemperatureEntry
        label={`Thickest breast, tank ${tank}`}
        onRead={(celsius) => post.tap({ kind: "carcass-temperature", celsius, number: tank })}
      />
    </PostScreen>
  );
}

/** By when the bird that waits longest in a tank is to be cold through, as is commonly quoted from its kill. */
function coldByOf({ warmSince }: Tank, { reading }: Post): number | undefined {
  if (warmSince === undefined) return undefined;
  return warmSince + Math.min(...reading.lots.map(({ chillHours }) => chillHours)) * HOUR;
}

interface IceOrTankProps {
  tank: number;
  onIce: () => void;
  /** Undefined where there are as many as the screen holds. */
  onAnother: (() => void) | undefined;
}

function IceOrTank({ tank, onIce, onAnother }: IceOrTankProps) {
  return (
    <div className="grid grid-cols-2 gap-3">
      <button type="button" className="yard-key yard-card" onClick={onIce}>
        Bag of ice
        <span className="yard-soft block text-base font-normal">into tank {tank}</span>
      </button>
      <button
        type="button"
        className="yard-key yard-card disabled:opacity-60"
        disabled={onAnother === undefined}
        onClick={onAnother}
      >
        Another tank
      </button>
    </div>
  );
}

/** Ice by the clock against what went in, and when it, or the room, runs out. */
function Ahead({ post, bags }: { post: Post; bags: number }) {
  const { forecast, now, reading, progress } = post;
  const show = useShow();
  const ice = forecast?.ice;
  const nextAt = ice && progress.state !== "finished" ? meltedAt(ice, Math.max(bags, FIRST_BAGS)) : undefined;
  const isDue = nextAt !== undefined && nextAt <= now;
  useIceCall(isDue, bags, post.call);
  const fullIn =
    forecast?.tankFullAt === undefined ? undefined : Math.round((forecast.tankFullAt - now) / MINUTE);
  return (
    <p className="yard-note">
      <strong>
        {plural(bags, "bag")} in of {reading.plannedBags} planned.
      </strong>{" "}
      {isDue && "It has melted by now: the next bag is due."}
      {!isDue && nextAt !== undefined && `It lasts until about ${show.time(nextAt)}.`}
      {ice?.outAt !== undefined && ` All the ice on hand is gone about ${show.time(ice.outAt)}: get more.`}
      {fullIn !== undefined && fullIn > 0 && ` Tanks full in ${show.minutes(fullIn)}.`}
    </p>
  );
}

/** Before any went in, the first is due when less than one has melted. */
const FIRST_BAGS = 0.5;

/** Calls once for each bag that is due. */
function useIceCall(isDue: boolean, bags: number, call: Post["call"]): void {
  const called = useRef(-1);
  useEffect(() => {
    if (!isDue || called.current === bags) return;
    called.current = bags;
    call("ice-due", "The next bag of ice is due.");
  }, [isDue, bags, call]);
}
