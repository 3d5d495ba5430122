import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { useRevalidator } from "react-router";
import { playTune, type TuneName } from "#app/days/run/post/post-sounds.ts";
import { sayAloud } from "#app/days/run/post/say-aloud.ts";
import { useKeepAwake } from "#app/days/run/post/use-keep-awake.ts";
import { type Light, useLight } from "#app/days/run/post/use-light.ts";
import { useOpenOffline } from "#app/days/run/post/use-open-offline.ts";
import type { RunReading } from "#app/days/run/run-reading.server.ts";
import { type DayFacts, useDayFacts } from "#app/days/run/taps/use-day-facts.ts";
import { readKept, writeKept } from "#app/ui/device/kept-on-device.ts";
import { type RunProgress, runProgress } from "#core/day/run/run-progress.ts";

/** What a yard screen works with: the day's facts on this phone, who has it, and how it is to be seen and heard. */
export interface Post extends DayFacts {
  readonly reading: RunReading;
  /** Whether JavaScript has taken over. */
  readonly isReady: boolean;
  readonly progress: RunProgress;
  readonly person: string;
  readonly setPerson: (name: string) => void;
  readonly light: Light;
  readonly setLight: (light: Light) => void;
  readonly hasSound: boolean;
  readonly setSound: (hasSound: boolean) => void;
  /** Whether what calls is said in words too. */
  readonly isAloud: boolean;
  readonly setAloud: (isAloud: boolean) => void;
  /** Calls by a tune and, where that is wished, in words. */
  readonly call: (tune: TuneName, words: string) => void;
}

const SOUND_KEY = "pale-morning-sound";
const ALOUD_KEY = "pale-morning-aloud";

/** Somebody changed the plan of the day: crew, birds, and tanks are asked for anew. Facts and taps stay as they are. */
function useReloadWhenReplanned(loaded: number, current: number | undefined) {
  const { revalidate } = useRevalidator();
  const asked = useRef(loaded);
  useEffect(() => {
    if (current === undefined || current === loaded || current === asked.current) return;
    asked.current = current;
    void revalidate();
  }, [loaded, current, revalidate]);
}

export function usePost(reading: RunReading): Post {
  const personKey = `pale-morning-person-${reading.fileId}`;
  const [isReady, setIsReady] = useState(false);
  const [person, setPersonHere] = useState("");
  const { light, setLight } = useLight();
  const [hasSound, setSoundHere] = useState(true);
  const [isAloud, setAloudHere] = useState(false);
  useEffect(() => {
    setPersonHere(readKept(personKey) ?? "");
    setSoundHere(readKept(SOUND_KEY) !== "off");
    setAloudHere(readKept(ALOUD_KEY) === "on");
    setIsReady(true);
  }, [personKey]);
  const { day, fileId, known: loaded, forecast, bath, devices, now } = reading;
  const attached = useMemo(() => ({ bath, devices }), [bath, devices]);
  useOpenOffline(day.id);
  useKeepAwake();
  const facts = useDayFacts({ dayId: day.id, fileId, loaded, forecast, attached, person, now });
  const call = useCallback(
    (tune: TuneName, words: string) => {
      if (hasSound) playTune(tune);
      if (isAloud) sayAloud(words);
    },
    [hasSound, isAloud],
  );
  useReloadWhenReplanned(day.revision, facts.revision);
  return {
    ...facts,
    reading,
    isReady,
    progress: runProgress(facts.facts, facts.forecast?.birds ?? reading.birds, facts.now),
    person,
    setPerson: (name) => {
      writeKept(personKey, name);
      setPersonHere(name);
    },
    light,
    setLight,
    hasSound,
    setSound: (next) => {
      writeKept(SOUND_KEY, next ? "on" : "off");
      setSoundHere(next);
    },
    isAloud,
    setAloud: (next) => {
      writeKept(ALOUD_KEY, next ? "on" : "off");
      setAloudHere(next);
      if (next) sayAloud("Calls will be spoken.");
    },
    call,
  };
}
