import { scaleLinear } from "d3-scale";
import { area } from "d3-shape";
import { useId } from "react";
import { ChartFrame, XLabels } from "#app/ui/chart-frame.tsx";
import { FoldedSheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { localHours } from "#core/calendar/farm-time.ts";
import { HOUR, MINUTE } from "#core/calendar/milliseconds.ts";
import type { LinePlan } from "#core/day/plan/line-plan.ts";
import { type CurvePoint, finishCurve } from "#core/processing-line/finish-curve.ts";

const HEIGHT = 190;
const TOP = 46;
const FLOOR = HEIGHT - 26;

/** When the last bird is in the chill tank: the curve of all replications, with the likely finish and 9 in 10 marked. */
export function FinishChart({ line, startAt }: { line: LinePlan; startAt: number }) {
  const show = useShow();
  const { likelyAt, nineInTenAt, oneInTenAt, answer } = line;
  const curve = finishCurve(answer.lastChills);
  const hours = (nineInTenAt.value - oneInTenAt.value) / HOUR;
  return (
    <FoldedSheet
      id="finish"
      heading="Finish time"
      beside={`9 in 10 by ${show.time(nineInTenAt.value)}, from ${show.count(answer.replications)} simulated days`}
    >
      <p className="text-sm">
        Last bird in the chill tank likely by <b>{show.time(likelyAt.value)}</b>, 9 in 10 by{" "}
        <b>{show.time(nineInTenAt.value)}</b>. Eight days in ten finish within {show.minutes(hours * 60)} of
        each other.
      </p>
      {curve.length > 0 && (
        <ChartFrame>
          {(width) => <Curve curve={curve} line={line} startAt={startAt} width={width} />}
        </ChartFrame>
      )}
      {answer.stuckReplications > 0 && (
        <p className="text-sm font-semibold text-barn">
          {answer.stuckReplications} of {answer.replications} simulated days got stuck: no one was left who
          may do the next task.
        </p>
      )}
    </FoldedSheet>
  );
}

interface CurveProps {
  curve: readonly CurvePoint[];
  line: LinePlan;
  startAt: number;
}

function Curve({ curve, line, startAt, width }: CurveProps & { width: number }) {
  const show = useShow();
  const id = useId();
  const at = (minute: number) => startAt + minute * MINUTE;
  const from = at(curve[0]!.minute);
  const to = at(curve.at(-1)!.minute);
  const x = scaleLinear([from, to], [0, width]);
  const y = scaleLinear([0, Math.max(...curve.map(({ share }) => share))], [FLOOR, TOP]);
  const path = area<CurvePoint>(
    ({ minute }) => x(at(minute)),
    FLOOR,
    ({ share }) => y(share),
  ).digits(1);
  const likely = `likely ${show.time(line.likelyAt.value)}`;
  const nineInTen = `9 in 10 by ${show.time(line.nineInTenAt.value)}`;
  const hours = localHours(from, to, show.timeZone);
  const every = [1, 2, 3, 6].find((step) => (hours.length / step) * 52 < width) ?? 12;
  return (
    <svg viewBox={`0 0 ${width} ${HEIGHT}`} role="img" aria-labelledby={id} className="block w-full">
      <title id={id}>{`${likely}, ${nineInTen}`}</title>
      <path d={path(curve) ?? ""} className="fill-mist stroke-pine" />
      <line x2={width} y1={FLOOR} y2={FLOOR} className="stroke-ink" />
      <Mark x={x(line.likelyAt.value)} width={width} words={likely} row={0} />
      <Mark x={x(line.nineInTenAt.value)} width={width} words={nineInTen} row={1} />
      <XLabels
        y={HEIGHT - 8}
        width={width}
        labels={hours
          .filter(({ hour }) => hour % every === 0)
          .map((one) => ({ x: x(one.at), words: show.hour(one.at) }))}
      />
    </svg>
  );
}

/** A line down to the axis with its words beside it, on whichever side there is room. */
function Mark({ x, width, words, row }: { x: number; width: number; words: string; row: 0 | 1 }) {
  const isRight = x > width * 0.62;
  return (
    <g transform={`translate(${x} ${row * 20})`}>
      <line
        y1={6}
        y2={FLOOR - row * 20}
        strokeDasharray={row === 0 ? undefined : "5 4"}
        className="stroke-ink stroke-2"
      />
      <text
        x={isRight ? -6 : 6}
        y={18}
        textAnchor={isRight ? "end" : "start"}
        className="fill-ink text-sm font-semibold"
      >
        {words}
      </text>
    </g>
  );
}
