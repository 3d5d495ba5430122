import { useCallback, useEffect, useState } from "react";
import { z } from "zod";
import { shrinkPicture } from "#app/days/run/look/shrink-picture.ts";
import { newId } from "#app/days/run/taps/waiting-taps.ts";

const Waiting = z.array(
  z.object({
    entryId: z.string(),
    of: z.string(),
    jpeg: z.string(),
    /** Why it was not taken: it stays here until someone lets it go. */
    refusal: z.string().optional(),
  }),
);
type Waiting = z.output<typeof Waiting>;

const RETRY_MILLISECONDS = 4000;
const PATIENCE_MILLISECONDS = 20_000;

/** Pictures that wait on this phone until the farm's machine has them; like taps, for one data file and one day. */
export function usePictures(dayId: number, fileId: string) {
  const key = `pale-morning-pictures-${fileId}-${dayId}`;
  const [waiting, setWaiting] = useState<Waiting>([]);
  const [problem, setProblem] = useState<string>();
  const keep = useCallback(
    (change: (before: Waiting) => Waiting): boolean => {
      const next = change(readWaiting(key));
      try {
        localStorage.setItem(key, JSON.stringify(next));
      } catch {
        return false;
      }
      setWaiting(next);
      return true;
    },
    [key],
  );

  const take = async (file: Blob, of: string) => {
    setProblem(undefined);
    const jpeg = await shrinkPicture(file);
    if (jpeg === undefined) return setProblem("This phone can't read that picture. Take it again.");
    if (!keep((before) => [...before, { entryId: newId(), of, jpeg }]))
      setProblem("This phone's storage is full: the picture was not kept. Send what waits first.");
  };

  useEffect(() => {
    setWaiting(readWaiting(key));
    let isSending = false;
    const send = async () => {
      const first = readWaiting(key).find(({ refusal }) => refusal === undefined);
      if (!first || isSending) return;
      isSending = true;
      const answer = await sent(dayId, fileId, first);
      isSending = false;
      if (answer === "not-reached") return;
      keep((before) =>
        answer === "kept"
          ? before.filter(({ entryId }) => entryId !== first.entryId)
          : before.map((one) => (one.entryId === first.entryId ? { ...one, ...answer } : one)),
      );
      void send();
    };
    const timer = setInterval(() => void send(), RETRY_MILLISECONDS);
    void send();
    return () => clearInterval(timer);
  }, [key, dayId, fileId, keep]);
  const refused = waiting.filter(({ refusal }) => refusal !== undefined);
  const discard = () => keep((before) => before.filter(({ refusal }) => refusal === undefined));
  return { unsent: waiting.length - refused.length, refused, problem, take, discard };
}

function readWaiting(key: string): Waiting {
  try {
    return Waiting.parse(JSON.parse(localStorage.getItem(key) ?? "[]"));
  } catch {
    return [];
  }
}

async function sent(
  dayId: number,
  fileId: string,
  { entryId, of, jpeg }: Waiting[number],
): Promise<"kept" | "not-reached" | { readonly refusal: string }> {
  const body = new FormData();
  body.set("entryId", entryId);
  body.set("of", of);
  body.set("file", fileId);
  try {
    body.set("picture", await (await fetch(jpeg)).blob());
    const response = await fetch(`/days/${dayId}/run/picture`, {
      method: "POST",
      body,
      signal: AbortSignal.timeout(PATIENCE_MILLISECONDS),
    });
    if (response.ok) return "kept";
    // 425: the tap that it belongs to is still on its way.
    return response.status >= 500 || response.status === 425
      ? "not-reached"
      : { refusal: await response.text() };
  } catch {
    return "not-reached";
  }
}
