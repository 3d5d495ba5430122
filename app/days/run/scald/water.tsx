import { extent } from "d3-array";
import { scaleLinear } from "d3-scale";
import { line } from "d3-shape";
import { TemperatureEntry } from "#app/days/run/post/temperature-entry.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { LOW_BATTERY, STATE_WORDS } from "#app/words/device-words.ts";
import { MINUTE, SECOND } from "#core/calendar/milliseconds.ts";
import type { ScaldNow } from "#core/day/run/scald-now.ts";
import type { DeviceStatus } from "#devices/attached/device-status.ts";

interface WaterProps {
  scald: ScaldNow;
  band: readonly [number, number];
  setCelsius: number;
  /** Hotter water damages skin, however short the dip. */
  skinCeiling: number;
  now: number;
  /** The probe in the bath; undefined where the farm has none. */
  probe: DeviceStatus | undefined;
  onRead: (celsius: number) => void;
}

/** How hot the bath is, who said so, and its last ten minutes against the band. */
export function Water(props: WaterProps) {
  const { band, setCelsius, skinCeiling, now, probe, onRead } = props;
  const { water, lately } = props.scald;
  const show = useShow();
  const isReading = probe?.state === "reading";
  const isTooHot = water !== undefined && water.celsius >= skinCeiling;
  return (
    <section aria-label="Water" className="yard-card grid gap-2 p-3">
      <div className="flex items-baseline justify-between gap-3">
        <p className="font-display text-4xl whitespace-nowrap">
          {water ? show.temperature(water.celsius) : "Not read yet"}
        </p>
        <p className="yard-soft text-right">
          {water && (
            <span className="block whitespace-nowrap">
              {isReading ? "probe" : "read"} {ago(now - water.at)}
            </span>
          )}
          <span className="whitespace-nowrap">set to {show.temperature(setCelsius)}</span>
        </p>
      </div>
      {isTooHot && (
        <p className="yard-stop px-3 py-2">
          Too hot: from {show.temperature(skinCeiling)} skin cooks and tears. Cool the bath before the next
          dip.
        </p>
      )}
      <ProbeTrouble probe={probe} />
      {lately.length > 1 && (isReading || !probe) && <LastTenMinutes lately={lately} band={band} now={now} />}
      <TemperatureEntry label="Water" onRead={onRead} />
    </section>
  );

  function ago(milliseconds: number): string {
    return milliseconds < 2 * MINUTE
      ? `${Math.max(0, Math.round(milliseconds / SECOND))} s ago`
      : `${show.minutes(Math.round(milliseconds / MINUTE))} ago`;
  }
}

/** A probe that is not to be gone by, or soon will not be. */
function ProbeTrouble({ probe }: Pick<WaterProps, "probe">) {
  if (!probe) return null;
  const { short, remedy } = STATE_WORDS[probe.state];
  if (probe.state !== "reading")
    return (
      <p role="alert" className="border-l-4 border-dawn px-3 text-sm">
        <strong>Probe {short}.</strong> {remedy} Until then, type the temperature.
      </p>
    );
  return probe.battery !== undefined && probe.battery < LOW_BATTERY ? (
    <p className="border-l-4 border-straw px-3 text-sm">The probe's battery is at {probe.battery} %.</p>
  ) : null;
}

const WIDTH = 340;
const HEIGHT = 44;

function LastTenMinutes({
  lately,
  band,
  now,
}: Pick<WaterProps, "band" | "now"> & { lately: ScaldNow["lately"] }) {
  const show = useShow();
  const [least, most] = extent([...lately.map(({ celsius }) => celsius), ...band]) as [number, number];
  const x = scaleLinear([now - 10 * MINUTE, now], [0, WIDTH]);
  const y = scaleLinear([least - 0.5, most + 0.5], [HEIGHT, 0]);
  const path = line<(typeof lately)[number]>(
    ({ at }) => x(at),
    ({ celsius }) => y(celsius),
  )(lately);
  return (
    <figure className="m-0">
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="block w-full"
        role="img"
        aria-label="Water over the last ten minutes"
      >
        <rect
          width={WIDTH}
          y={y(band[1])}
          height={y(band[0]) - y(band[1])}
          fill="var(--yard-ready)"
          opacity={0.3}
        />
        <path d={path ?? ""} fill="none" stroke="var(--yard-do)" strokeWidth={3} />
      </svg>
      <figcaption className="yard-soft text-sm">
        Last ten minutes; the band is {show.temperature(band[0])} to {show.temperature(band[1])}
      </figcaption>
    </figure>
  );
}
