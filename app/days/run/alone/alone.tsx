import { SmallCone } from "#app/days/run/alone/small-cone.tsx";
import { useCones } from "#app/days/run/cones/use-cones.ts";
import { PostScreen } from "#app/days/run/post/post-screen.tsx";
import { type Post, usePost } from "#app/days/run/post/use-post.ts";
import { runReading } from "#app/days/run/run-reading.server.ts";
import { Dip } from "#app/days/run/scald/dip.tsx";
import { DipLoads, Lift } from "#app/days/run/scald/dip-buttons.tsx";
import { useScald } from "#app/days/run/scald/use-scald.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import { countOf } from "#core/day/run/day-fact.ts";
import type { Route } from "./+types/alone.ts";

export const meta = () => [{ title: "One phone for all · Pale Morning" }];

export const loader = ({ context, params }: Route.LoaderArgs) =>
  runReading(context.get(farmContext), params.dayId);

/** Everything on one screen, for a farm of one or two: cones, scald, table, and chill. */
export default function Alone({ loaderData }: Route.ComponentProps) {
  const post = usePost(loaderData);
  const { cones, tooSoon, touch } = useCones(post);
  const { scald, loads, dip, lift, keys } = useScald(post);
  const through = () => post.tap({ kind: "table" });
  const chill = () => post.tap({ kind: "bird" });
  return (
    <PostScreen
      post={post}
      title="One phone for all"
      undoes={["kill", "cone-out", "dip-in", "dip-out", "table", "bird"]}
      keys={{ h: keys.h, s: keys.s, t: keys.t, d: () => dip(loads[0]!), e: through, " ": chill }}
      caution="Fully dead and still before the scald. Blades, scalding water, drum, wet wires: no child near them. Local rules decide."
    >
      <div className="grid grid-cols-4 gap-3">
        {cones.map((cone) => (
          <SmallCone
            key={cone.number}
            cone={cone}
            isRefused={tooSoon === cone.number}
            isDisabled={!post.isReady}
            onTouch={() => touch(cone)}
          />
        ))}
      </div>
      {scald.dip ? (
        <>
          <Dip dip={scald.dip} call={post.call} />
          <Lift onLift={lift} />
        </>
      ) : (
        <DipLoads loads={loads} isSmall isDisabled={!post.isReady} onDip={dip} />
      )}
      <button
        type="button"
        disabled={!post.isReady}
        className="yard-key yard-card min-h-20"
        onClick={through}
      >
        Bird through the table
        <span className="yard-soft block text-base font-normal">
          {plural(countOf(post.facts, "table"), "bird")} so far
        </span>
      </button>
      <button
        type="button"
        disabled={!post.isReady}
        className="yard-key yard-do min-h-28 text-2xl"
        onClick={chill}
      >
        Bird in the chill tank
      </button>
      <LikelyDone post={post} />
    </PostScreen>
  );
}

/** When the last bird is likely in, as far as that is known. */
function LikelyDone({ post: { forecast, progress } }: { post: Post }) {
  const show = useShow();
  const chance = forecast?.lastInChill;
  if (!chance || progress.toGo === 0) return null;
  return (
    <p className="yard-note">
      Likely done <strong>{show.time(chance.likelyAt)}</strong>; 9 in 10 by {show.time(chance.nineInTenAt)}.
    </p>
  );
}
