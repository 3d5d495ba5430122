import type { Post } from "#app/days/run/post/use-post.ts";
import { STATION_WORDS } from "#app/words/words.ts";
import { isBeforeChill, STATIONS, type Station } from "#core/processing-line/line-station.ts";

/** More dots than this are a number: no one counts them from across a yard. */
const MOST_DOTS = 18;
/** So many birds before a station are a jam. */
const JAM = 5;

/** Where everybody stands and where the birds are: in hand, and waiting. */
export function StationColumns({ post }: { post: Post }) {
  const { forecast, progress } = post;
  const stations = STATIONS.filter(isBeforeChill);
  const people = whoIsWhere(post);
  return (
    <section
      aria-label="Stations"
      className="grid grid-cols-2 md:flex"
      style={{ border: "1px solid var(--yard-edge)" }}
    >
      {stations.map((station) => {
        const { inHand = 0, waiting = 0 } = forecast?.birdsAt[station] ?? {};
        const isJam = waiting >= JAM && station !== "cones";
        return (
          <Column key={station} title={STATION_WORDS[station]} line={people(station)} isJam={isJam}>
            <Dots count={inHand} color="var(--yard-do)" label="in hand" />
            {waiting > 0 && (
              <>
                <p>
                  {waiting} {waiting === 1 ? "waits" : "wait"}
                </p>
                <Dots count={waiting} color="var(--yard-soft)" label="waiting" isHollow />
              </>
            )}
          </Column>
        );
      })}
      <Column title="Chill" line={`${progress.toGo} to go`} isJam={false}>
        <Dots count={progress.done} color="var(--yard-ready)" label="in the chill" />
      </Column>
    </section>
  );
}

interface ColumnProps {
  title: string;
  line: string;
  isJam: boolean;
  children: React.ReactNode;
}

function Column({ title, line, isJam, children }: ColumnProps) {
  return (
    <div
      className={`grid min-w-0 grow basis-0 content-start gap-2 p-3 ${isJam ? "yard-stop" : ""}`}
      style={{ borderRight: "1px solid var(--yard-edge)" }}
    >
      <h2 className="text-lg font-semibold">{title}</h2>
      <p className={isJam ? "" : "yard-soft"}>{line}</p>
      {children}
    </div>
  );
}

interface DotsProps {
  count: number;
  color: string;
  label: string;
  isHollow?: boolean;
}

function Dots({ count, color, label, isHollow = false }: DotsProps) {
  if (count > MOST_DOTS)
    return (
      <p className="font-mono text-3xl" style={{ color }}>
        {count}
      </p>
    );
  return (
    <p className="flex flex-wrap gap-1" role="img" aria-label={`${count} ${label}`}>
      {Array.from({ length: count }, (_, index) => (
        <span
          key={index}
          className="size-5 rounded-full"
          style={{ border: `4px solid ${color}`, background: isHollow ? undefined : color }}
        />
      ))}
    </p>
  );
}

/** Who stands at a station: as was tapped, else as was planned. */
function whoIsWhere({ facts, reading }: Post): (station: Station) => string {
  const moved = new Map<string, string>();
  for (const { kind, person, word } of facts)
    if (kind === "stands" && word !== undefined) moved.set(person, word);
  const placed = reading.crew.map(({ name, stations }) => ({
    name,
    at: moved.has(name) ? [moved.get(name)!] : (stations as readonly string[]),
  }));
  const planned = new Set(reading.crew.map(({ name }) => name));
  const come = [...moved].filter(([name]) => !planned.has(name)).map(([name, at]) => ({ name, at: [at] }));
  const all = [...placed, ...come];
  return (station) =>
    all
      .filter(({ at }) => at.includes(station))
      .map(({ name }) => name)
      .join(", ");
}
