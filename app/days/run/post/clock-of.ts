/** Seconds as a stopwatch has them: `1:04`; below zero with a minus. */
export function clockOf(seconds: number): string {
  const whole = Math.floor(Math.abs(seconds));
  const minutes = Math.floor(whole / 60);
  return `${seconds < 0 && whole > 0 ? "−" : ""}${minutes}:${String(whole % 60).padStart(2, "0")}`;
}
