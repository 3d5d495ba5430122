import { useEffect, useState } from "react";
import { readKept, writeKept } from "#app/ui/device/kept-on-device.ts";

/** Dark before dawn, black on white in full sun. */
export type Light = "night" | "sun";

const LIGHT_KEY = "pale-morning-light";

/** How this phone's yard screens are to be seen. */
export function useLight() {
  const [light, setLightHere] = useState<Light>("night");
  useEffect(() => setLightHere(readKept(LIGHT_KEY) === "sun" ? "sun" : "night"), []);
  const setLight = (next: Light) => {
    writeKept(LIGHT_KEY, next);
    setLightHere(next);
  };
  return { light, setLight };
}
