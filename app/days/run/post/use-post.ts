import { useEffect, useMemo, useState } from "react";
import { readKept, writeKept } from "#app/days/run/post/kept-on-phone.ts";
import { useKeepAwake } from "#app/days/run/post/use-keep-awake.ts";
import { useOpenOffline } from "#app/days/run/post/use-open-offline.ts";
import type { RunReading } from "#app/days/run/run-reading.server.ts";
import { type DayFacts, useDayFacts } from "#app/days/run/taps/use-day-facts.ts";
import { type RunProgress, runProgress } from "#core/day/run/run-progress.ts";

type Light = "night" | "sun";

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
}

const LIGHT_KEY = "pale-morning-light";
const SOUND_KEY = "pale-morning-sound";

export function usePost(reading: RunReading): Post {
  const personKey = `pale-morning-person-${reading.fileId}`;
  const [isReady, setIsReady] = useState(false);
  const [person, setPersonHere] = useState("");
  const [light, setLightHere] = useState<Light>("night");
  const [hasSound, setSoundHere] = useState(true);
  useEffect(() => {
    setPersonHere(readKept(personKey) ?? "");
    setLightHere(readKept(LIGHT_KEY) === "sun" ? "sun" : "night");
    setSoundHere(readKept(SOUND_KEY) !== "off");
    setIsReady(true);
  }, [personKey]);
  const { day, fileId, known: loaded, forecast, bath, devices, now } = reading;
  const attached = useMemo(() => ({ bath, devices }), [bath, devices]);
  useOpenOffline(day.id);
  useKeepAwake();
  const facts = useDayFacts({ dayId: day.id, fileId, loaded, forecast, attached, person, now });
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
    setLight: (next) => {
      writeKept(LIGHT_KEY, next);
      setLightHere(next);
    },
    hasSound,
    setSound: (next) => {
      writeKept(SOUND_KEY, next ? "on" : "off");
      setSoundHere(next);
    },
  };
}
