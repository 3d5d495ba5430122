/** A short tune: tones in hertz, each for so long, seconds. */
interface Tune {
  readonly hertz: readonly number[];
  readonly seconds: number;
}

/** Each post has its own, so that whoever stands between two knows which one calls. */
const TUNES = {
  "cone-ready": { hertz: [523, 659], seconds: 0.16 },
  "try-feather": { hertz: [440], seconds: 0.25 },
  "lift-now": { hertz: [880, 880, 880], seconds: 0.12 },
  "ice-due": { hertz: [330, 247], seconds: 0.3 },
} as const satisfies Record<string, Tune>;

export type TuneName = keyof typeof TUNES;

let audio: AudioContext | undefined;

/** Plays a tune; silent where the browser has no sound or was not touched yet. */
export function playTune(name: TuneName): void {
  try {
    audio ??= new AudioContext();
    const { hertz, seconds } = TUNES[name];
    for (const [index, tone] of hertz.entries()) {
      const from = audio.currentTime + index * seconds * 1.4;
      const oscillator = audio.createOscillator();
      const volume = audio.createGain();
      oscillator.frequency.value = tone;
      volume.gain.setValueAtTime(0.25, from);
      volume.gain.exponentialRampToValueAtTime(0.001, from + seconds);
      oscillator.connect(volume).connect(audio.destination);
      oscillator.start(from);
      oscillator.stop(from + seconds);
    }
  } catch {
    // No sound here: color and words say the same.
  }
}
