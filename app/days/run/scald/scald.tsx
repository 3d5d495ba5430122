import { type CSSProperties, useState } from "react";
import { PostScreen } from "#app/days/run/post/post-screen.tsx";
import { usePost } from "#app/days/run/post/use-post.ts";
import { runReading } from "#app/days/run/run-reading.server.ts";
import { Dip } from "#app/days/run/scald/dip.tsx";
import { DipLoads, Lift } from "#app/days/run/scald/dip-buttons.tsx";
import { useScald } from "#app/days/run/scald/use-scald.ts";
import { Water } from "#app/days/run/scald/water.tsx";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import type { ScaldNow } from "#core/day/run/scald-now.ts";
import type { Route } from "./+types/scald.ts";

export const meta = () => [{ title: "Scald · Pale Morning" }];

export const loader = ({ context, params }: Route.LoaderArgs) =>
  runReading(context.get(farmContext), params.dayId);

/** The bath, the dip with its countdown, and what the feathers say at the lift. */
export default function Scald({ loaderData }: Route.ComponentProps) {
  const post = usePost(loaderData);
  const { scald, lot, loads, dip, lift, keys, probe, handedOverBy } = useScald(post);
  const change = () => post.tap({ kind: "water-changed" });
  return (
    <PostScreen
      post={post}
      title="Scald"
      undoes={["dip-in", "dip-out", "water", "water-changed"]}
      keys={{ ...keys, w: change }}
      caution="Scalding water: no child at this post. Switch the element off before draining; burn propane outdoors only. Know where the breaker is."
    >
      <Water
        scald={scald}
        band={lot.band}
        setCelsius={lot.scald.bathCelsius}
        skinCeiling={lot.skinCeiling}
        now={post.now}
        probe={probe}
        onRead={(celsius) => post.tap({ kind: "water", celsius })}
      />
      {scald.dip ? (
        <>
          <Dip dip={scald.dip} call={post.call} />
          <Lift onLift={lift} line={loaderData.coolsAfter ? "Then into the cool water." : undefined} />
        </>
      ) : (
        <DipLoads
          loads={loads}
          isDisabled={!post.isReady}
          line={loaderData.rinsesFirst ? "rinse first" : undefined}
          onDip={dip}
        />
      )}
      <div className="grid grid-cols-2 gap-3">
        <Learned scald={scald} setCelsius={lot.scald.bathCelsius} handedOverBy={handedOverBy} />
        <ChangeWater scald={scald} every={loaderData.changeWaterBirds} onChange={change} />
      </div>
    </PostScreen>
  );
}

/** The dip as the feathers have taught it. */
function Learned({
  scald,
  setCelsius,
  handedOverBy,
}: {
  scald: ScaldNow;
  setCelsius: number;
  handedOverBy: string | undefined;
}) {
  const show = useShow();
  const { learnedSeconds, plannedSeconds, answered, lastDozen } = scald;
  if (learnedSeconds === undefined || plannedSeconds === undefined) return null;
  const asked = lastDozen.hold + lastDozen.slip + lastDozen.tear;
  return (
    <p className="yard-note" style={{ "--yard-stripe": "var(--yard-ready)" } as CSSProperties}>
      <strong>
        {Math.round(learnedSeconds)} s at {show.temperature(setCelsius)}{" "}
        {answered > 0 ? "now" : "to begin with"}.
      </strong>{" "}
      {handedOverBy !== undefined
        ? `You took over from ${handedOverBy}: go by this time and the wing feathers.`
        : answered > 0
          ? `We began at ${Math.round(plannedSeconds)}; ${lastDozen.slip} of the last ${asked} slipped.`
          : "Each lift teaches it."}
    </p>
  );
}

interface ChangeWaterProps {
  scald: ScaldNow;
  /** Undefined where the plan keeps the water all day. */
  every: number | undefined;
  onChange: () => void;
}

function ChangeWater({ scald: { sinceChange }, every, onChange }: ChangeWaterProps) {
  const [isSure, setSure] = useState(false);
  const left = every === undefined ? undefined : every - sinceChange;
  return (
    <button
      type="button"
      className="yard-key yard-card"
      onClick={() => {
        if (isSure) onChange();
        setSure(!isSure);
      }}
    >
      {isSure ? "Element off? Tap again: water changed" : "Water changed"}
      <span className="yard-soft block text-base font-normal">
        {left === undefined
          ? `${plural(sinceChange, "bird")} so far`
          : left > 0
            ? `due after ${plural(left, "more bird", "more birds")}`
            : "due now"}
      </span>
    </button>
  );
}
