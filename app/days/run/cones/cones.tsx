import { useState } from "react";
import { ConeTarget } from "#app/days/run/cones/cone-target.tsx";
import { PenOffFeed } from "#app/days/run/cones/pen-off-feed.tsx";
import { useCones } from "#app/days/run/cones/use-cones.ts";
import { PostScreen } from "#app/days/run/post/post-screen.tsx";
import { usePost } from "#app/days/run/post/use-post.ts";
import { runReading } from "#app/days/run/run-reading.server.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import type { Route } from "./+types/cones.ts";

export const meta = () => [{ title: "Killing cones · Pale Morning" }];

export const loader = ({ context, params }: Route.LoaderArgs) =>
  runReading(context.get(farmContext), params.dayId);

/** A target a cone: the bird goes in, bleeds past the floor, and comes out once it is still. */
export default function Cones({ loaderData }: Route.ComponentProps) {
  const post = usePost(loaderData);
  const [isAsking, setAsking] = useState(false);
  const { cones, tooSoon, touch } = useCones(post);
  const { crateBirds } = loaderData;
  const caught = () => post.tap({ kind: "caught", birds: crateBirds });
  const ask = () => setAsking((before) => !before);
  const coneKeys = Object.fromEntries(cones.map((cone) => [String(cone.number), () => touch(cone)]));
  return (
    <PostScreen
      post={post}
      title="Killing cones"
      undoes={["kill", "cone-out", "dead-in-crate", "not-killed", "caught"]}
      keys={{ ...coneKeys, c: caught, n: ask }}
      caution="Fully dead and still before the scald: at least 1 min 30 s. Keep the blade away from hands and children. Local rules decide."
    >
      <div className="grid grid-cols-2 gap-3 md:grid-cols-4">
        {cones.map((cone) => (
          <ConeTarget
            key={cone.number}
            cone={cone}
            isRefused={tooSoon === cone.number}
            isDisabled={!post.isReady}
            onTouch={() => touch(cone)}
          />
        ))}
      </div>
      {isAsking ? (
        <NotThisBird
          onSay={(kind) => {
            post.tap({ kind });
            setAsking(false);
          }}
          onClose={ask}
        />
      ) : (
        <div className="grid grid-cols-2 gap-3">
          <button type="button" className="yard-key yard-card" onClick={caught}>
            Crate of {crateBirds} here
          </button>
          <button type="button" className="yard-key yard-card" onClick={ask}>
            Not this bird
          </button>
        </div>
      )}
      <PenOffFeed post={post} />
    </PostScreen>
  );
}

interface NotThisBirdProps {
  onSay: (kind: "dead-in-crate" | "not-killed") => void;
  onClose: () => void;
}

function NotThisBird({ onSay, onClose }: NotThisBirdProps) {
  return (
    <section aria-label="Not this bird" className="yard-card grid gap-3 p-3">
      <p>A sick bird is not processed. Stop, keep it apart, and call a vet before you go on with its pen.</p>
      <div className="grid grid-cols-3 gap-3">
        <button type="button" className="yard-key yard-stop" onClick={() => onSay("not-killed")}>
          Sick, set aside
        </button>
        <button type="button" className="yard-key yard-card" onClick={() => onSay("dead-in-crate")}>
          Dead in crate
        </button>
        <button type="button" className="yard-key yard-card" onClick={onClose}>
          Close
        </button>
      </div>
    </section>
  );
}
