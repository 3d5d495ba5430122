import { type CSSProperties, useState } from "react";
import { PostScreen } from "#app/days/run/post/post-screen.tsx";
import { usePost } from "#app/days/run/post/use-post.ts";
import { runReading } from "#app/days/run/run-reading.server.ts";
import { Dip } from "#app/days/run/scald/dip.tsx";
import { Water } from "#app/days/run/scald/water.tsx";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { useShow } from "#app/ui/use-show.tsx";
import { FEATHER_WORDS } from "#app/words/run-words.ts";
import { plural } from "#app/words/show.ts";
import { countOf } from "#core/day/run/day-fact.ts";
import { lotOfBird } from "#core/day/run/lot-of-bird.ts";
import { type ScaldNow, scaldNow } from "#core/day/run/scald-now.ts";
import { FEATHER_ANSWERS, type FeatherAnswer } from "#core/scald/scald-learn.ts";
import type { Route } from "./+types/scald.ts";

export const meta = () => [{ title: "Scald · Pale Morning" }];

export const loader = ({ context, params }: Route.LoaderArgs) =>
  runReading(context.get(farmContext), params.dayId);

const ANSWER_EDGE: Readonly<Record<FeatherAnswer, string>> = {
  hold: "var(--yard-soft)",
  slip: "var(--yard-ready)",
  tear: "var(--color-dawn)",
};

/** The bath, the dip with its countdown, and what the feathers say at the lift. */
export default function Scald({ loaderData }: Route.ComponentProps) {
  const post = usePost(loaderData);
  const { lots, scaldAtOnce, changeWaterBirds } = loaderData;
  const lot = lots[lotOfBird(lots, countOf(post.facts, "dip-in") + 1)]!;
  const readings = post.facts.flatMap(({ kind, at, celsius }) =>
    kind === "water" && celsius !== undefined ? [{ at, celsius }] : [],
  );
  const scald = scaldNow(post.facts, readings, lot.scald, post.now);
  const dip = (birds: number) => {
    if (!scald.dip) post.tap({ kind: "dip-in", birds });
  };
  const lift = (word: FeatherAnswer) => {
    if (scald.dip) post.tap({ kind: "dip-out", birds: scald.dip.birds, word, of: scald.dip.dip.entryId });
  };
  const change = () => post.tap({ kind: "water-changed" });
  const loads = [...new Set([1, scaldAtOnce])];
  return (
    <PostScreen
      post={post}
      title="Scald"
      undoes={["dip-in", "dip-out", "water", "water-changed"]}
      keys={{
        ...Object.fromEntries(loads.map((birds) => [String(birds), () => dip(birds)])),
        h: () => lift("hold"),
        s: () => lift("slip"),
        t: () => lift("tear"),
        w: change,
      }}
      caution="Scalding water: no child at this post. Switch the element off before draining; burn propane outdoors only. Know where the breaker is."
    >
      <Water
        scald={scald}
        band={lot.band}
        setCelsius={lot.scald.bathCelsius}
        skinCeiling={lot.skinCeiling}
        now={post.now}
        onRead={(celsius) => post.tap({ kind: "water", celsius })}
      />
      {scald.dip ? (
        <>
          <Dip dip={scald.dip} hasSound={post.hasSound} />
          <Lift onLift={lift} />
        </>
      ) : (
        <DipLoads loads={loads} isDisabled={!post.isReady} onDip={dip} />
      )}
      <div className="grid grid-cols-2 gap-3">
        <Learned scald={scald} setCelsius={lot.scald.bathCelsius} />
        <ChangeWater scald={scald} every={changeWaterBirds} onChange={change} />
      </div>
    </PostScreen>
  );
}

/** What the feathers say when the birds come out of the water. */
function Lift({ onLift }: { onLift: (answer: FeatherAnswer) => void }) {
  return (
    <fieldset className="grid grid-cols-3 gap-3" aria-label="Lift: how did the feathers come?">
      {FEATHER_ANSWERS.map((answer) => (
        <button
          key={answer}
          type="button"
          className="yard-key yard-card"
          style={{ border: `3px solid ${ANSWER_EDGE[answer]}` }}
          onClick={() => onLift(answer)}
        >
          {FEATHER_WORDS[answer].name}
          <span className="yard-soft block text-base font-normal">{FEATHER_WORDS[answer].line}</span>
        </button>
      ))}
    </fieldset>
  );
}

interface DipLoadsProps {
  /** Birds that may go in at once, a button each. */
  loads: readonly number[];
  isDisabled: boolean;
  onDip: (birds: number) => void;
}

function DipLoads({ loads, isDisabled, onDip }: DipLoadsProps) {
  return (
    <div className={`grid gap-3 ${loads.length > 1 ? "grid-cols-2" : ""}`}>
      {loads.map((birds) => (
        <button
          key={birds}
          type="button"
          disabled={isDisabled}
          className="yard-key yard-do min-h-40 text-3xl"
          onClick={() => onDip(birds)}
        >
          Dip {plural(birds, "bird")}
        </button>
      ))}
    </div>
  );
}

/** The dip as the feathers have taught it. */
function Learned({ scald, setCelsius }: { scald: ScaldNow; setCelsius: number }) {
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
      {answered > 0
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
