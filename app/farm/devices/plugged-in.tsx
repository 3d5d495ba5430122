import { useEffect, useState } from "react";
import { Button, Sheet } from "#app/ui/sheet.tsx";
import { serialOf } from "#devices/attached/serial-lines.ts";

/** A probe on this phone's or tablet's own plug. The browser asks once; the scald's post opens it from then on. */
export function PluggedIn() {
  const [state, setState] = useState<"unknown" | "none" | "some" | "cannot">("unknown");
  useEffect(() => {
    const serial = serialOf(navigator);
    if (!serial) return setState("cannot");
    void serial.getPorts().then((ports) => setState(ports.length > 0 ? "some" : "none"));
  }, []);
  const ask = async () => {
    try {
      await serialOf(navigator)!.requestPort();
      setState("some");
    } catch {
      // Whoever closed the browser's question wants none.
    }
  };
  return (
    <Sheet heading="Plugged into this device">
      {state === "cannot" && (
        <p>
          This browser can't talk to a plugged-in probe. Browsers that can do so only on a secure page: on the
          farm's own machine, or over HTTPS.
        </p>
      )}
      {state === "some" && (
        <p>A probe is allowed. The scald post on this device reads it while it is open.</p>
      )}
      {state === "none" && (
        <>
          <p className="pb-3">
            Plug the probe in, then choose it. The scald post on this device will read it.
          </p>
          <Button kind="plain" type="button" onClick={() => void ask()}>
            Choose the probe
          </Button>
        </>
      )}
    </Sheet>
  );
}
