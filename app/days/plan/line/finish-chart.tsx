import { scaleLinear } from "d3-scale";
import { area } from "d3-shape";
import { useId } from "react";
import { Sheet } from "#app/ui/sheet.tsx";

import { useShow } from "#app/ui/use-show.tsx";
import { localHours } from "#core/calendar/farm-time.ts";
import type { LinePlan } from "#core/day/plan/line-plan.ts";
import { type CurvePoint, finishCurve } from "#core/processing-line/finish-curve.ts";

const WIDTH = 480;
const HEIGHT = 190;
const TOP = 46;
const BOTTOM = 26;
const MINUTE = 60_000;

/** When the last bird is in the chill tank: the curve of all replications, with the likely finish and 9 in 10 marked. */
export function FinishChart({ line, startAt }: { line: LinePlan; startAt: number }) {
  const show = useShow();
  const { likelyAt, nineInTenAt, oneInTenAt, answer } = line;
  const curve = finishCurve(answer.lastChills);
  const hours = (nineInTenAt.value - oneInTenAt.value) / 3_600_000;
  return (
    <Sheet heading="Finish time" beside={`from ${show.count(answer.replications)} simulated days`}>
      <p className="text-sm">
        Last bird in the chill tank likely by <b>{show.time(likelyAt.value)}</b>, 9 in 10 by{" "}
        <b>{show.time(nineInTenAt.value)}</b>. Eight days in ten finish within {show.minutes(hours * 60)} of
        each other.
      </p>
      {curve.length > 0 && <Curve curve={curve} line={line} startAt={startAt} />}
      {answer.stuckReplications > 0 && (
        <p className="text-sm font-semibold text-barn">
          {answer.stuckReplications} of {answer.replications} simulated days got stuck: no one was left who
          may do the next task.
        </p>
      )}
    </Sheet>
  );
}

function Curve({ curve, line, startAt }: { curve: readonly CurvePoint[]; line: LinePlan; startAt: number }) {
  const show = useShow();
  const id = useId();
  const at = (minute: number) => startAt + minute * MINUTE;
  const from = at(curve[0]!.minute);
  const to = at(curve.at(-1)!.minute);
  const x = scaleLinear([from, to], [0, WIDTH]);
  const y = scaleLinear([0, Math.max(...curve.map(({ share }) => share))], [HEIGHT - BOTTOM, TOP]);
  const path = area<CurvePoint>(
    ({ minute }) => x(at(minute)),
    HEIGHT - BOTTOM,
    ({ share }) => y(share),
  );
  const marks = [
    { at: line.likelyAt.value, words: `likely ${show.time(line.likelyAt.value)}`, row: 0 },
    { at: line.nineInTenAt.value, words: `9 in 10 by ${show.time(line.nineInTenAt.value)}`, row: 1 },
  ];
  const hours = localHours(from, to, show.timeZone);
  const every = [1, 2, 3, 6].find((step) => (hours.length / step) * 52 < WIDTH) ?? 12;
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-labelledby={id} className="block w-full">
      <title id={id}>{`${marks.map(({ words }) => words).join(", ")}`}</title>
      <path d={path(curve) ?? ""} className="fill-mist stroke-pine" />
      <line x2={WIDTH} y1={HEIGHT - BOTTOM} y2={HEIGHT - BOTTOM} className="stroke-ink" />
      {marks.map((mark) => {
        const isRight = x(mark.at) > WIDTH * 0.62;
        return (
          <g key={mark.words}>
            <line
              x1={x(mark.at)}
              x2={x(mark.at)}
              y1={mark.row * 20 + 6}
              y2={HEIGHT - BOTTOM}
              strokeDasharray={mark.row === 0 ? undefined : "5 4"}
              className="stroke-ink stroke-2"
            />
            <text
              x={x(mark.at) + (isRight ? -6 : 6)}
              y={mark.row * 20 + 18}
              textAnchor={isRight ? "end" : "start"}
              className="fill-ink text-sm font-semibold"
            >
              {mark.words}
            </text>
          </g>
        );
      })}
      {hours
        .filter(({ hour }) => hour % every === 0)
        .map(({ at: moment }) => (
          <text
            key={moment}
            x={Math.min(WIDTH - 18, Math.max(18, x(moment)))}
            y={HEIGHT - 8}
            textAnchor="middle"
            className="fill-soft font-mono text-sm"
          >
            {show.hour(moment)}
          </text>
        ))}
    </svg>
  );
}
