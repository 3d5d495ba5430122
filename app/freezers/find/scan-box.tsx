import { useCallback, useEffect, useRef, useState } from "react";
import { useNavigate } from "react-router";
import { Button, Sheet } from "#app/ui/sheet.tsx";

/** What a browser that can read codes offers; not all have it. */
interface BarcodeReader {
  detect: (picture: ImageBitmapSource) => Promise<readonly { readonly rawValue: string }[]>;
}
type BarcodeReaderClass = new (options: { formats: readonly string[] }) => BarcodeReader;

const FORMATS = ["qr_code", "code_128"] as const;
/** Between two looks through the camera. */
const LOOK_MILLISECONDS = 250;

const newReader = (): BarcodeReader | undefined => {
  const Reader = (globalThis as { BarcodeDetector?: BarcodeReaderClass }).BarcodeDetector;
  return Reader && new Reader({ formats: FORMATS });
};

/** A pack's code through the camera, or from a photo, where the browser can read codes; a hand scanner types into the box above. */
export function ScanBox({ isOpen }: { isOpen: boolean }) {
  const navigate = useNavigate();
  const open = useCallback(
    (code: string) => navigate(`/freezers/find?q=${encodeURIComponent(code)}`),
    [navigate],
  );
  const [isLooking, setIsLooking] = useState(isOpen);
  const [problem, setProblem] = useState<string>();
  const [canRead, setCanRead] = useState<boolean>();
  useEffect(() => setCanRead(newReader() !== undefined), []);
  const video = useCamera(isLooking, open, setProblem);

  return (
    <Sheet heading="Scan" className="print:hidden">
      {problem && (
        <p role="status" className="py-1 font-semibold">
          {problem}
        </p>
      )}
      {canRead === false && (
        <p className="py-1">
          This browser can't read codes through the camera. Type the code that is printed beside the picture,
          or use a hand scanner: it types into the box above.
        </p>
      )}
      {canRead && (
        <div className="grid gap-3 py-2">
          {isLooking ? (
            <video ref={video} playsInline muted className="max-h-96 w-full rounded-sheet bg-night" />
          ) : (
            <Button kind="plain" type="button" className="min-h-16" onClick={() => setIsLooking(true)}>
              Scan with the camera
            </Button>
          )}
          <label className="grid gap-1">
            <span className="font-semibold">Or a photo of the label</span>
            <input
              type="file"
              accept="image/*"
              capture="environment"
              className="min-h-12"
              onChange={async ({ target }) => {
                const read = await codeInPhoto(target.files?.[0]);
                return "code" in read ? open(read.code) : setProblem(read.problem);
              }}
            />
          </label>
        </div>
      )}
    </Sheet>
  );
}

/** The code in a photo of a label, or why there is none. */
async function codeInPhoto(photo: File | undefined): Promise<{ code: string } | { problem: string }> {
  const reader = newReader();
  if (!photo || !reader) return { problem: "Choose a photo of the label." };
  try {
    const [found] = await reader.detect(await createImageBitmap(photo));
    return found
      ? { code: found.rawValue }
      : {
          problem: "No code was found in that photo. Hold the label flat and in the light, or type its code.",
        };
  } catch {
    return { problem: "That photo can't be read. Take another, or type the code." };
  }
}

/** Looks through the camera while it is asked to, and says what code it sees. */
function useCamera(isLooking: boolean, onCode: (code: string) => void, onProblem: (problem: string) => void) {
  const video = useRef<HTMLVideoElement>(null);
  useEffect(() => {
    const reader = newReader();
    const camera = navigator.mediaDevices;
    if (!isLooking || !reader) return;
    if (!camera) {
      onProblem("The camera opens only where the page is secure. Type the code, or take a photo of it.");
      return;
    }
    let stream: MediaStream | undefined;
    let timer = 0;
    let isGone = false;
    const look = async () => {
      const found = video.current && (await reader.detect(video.current).catch(() => []));
      if (isGone) return;
      if (found?.[0]) onCode(found[0].rawValue);
      else timer = window.setTimeout(look, LOOK_MILLISECONDS);
    };
    camera
      .getUserMedia({ video: { facingMode: "environment" } })
      .then((opened) => {
        stream = opened;
        if (isGone || !video.current) return stop(opened);
        video.current.srcObject = opened;
        return video.current.play().then(look);
      })
      .catch(() => onProblem("The camera can't be used. Allow it for this page, or type the code."));
    return () => {
      isGone = true;
      window.clearTimeout(timer);
      if (stream) stop(stream);
    };
  }, [isLooking, onCode, onProblem]);
  return video;
}

function stop(stream: MediaStream): void {
  for (const track of stream.getTracks()) track.stop();
}
