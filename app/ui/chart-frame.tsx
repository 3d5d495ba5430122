import { type ReactNode, useEffect, useRef, useState } from "react";

/** A chart's width before its container is measured, and where no JavaScript runs: the browser scales it to fit. */
const UNMEASURED_WIDTH = 720;
/** Charts are redrawn in steps of so many pixels, so that dragging a window does not redraw them all the time. */
const WIDTH_STEP = 40;
const MIN_WIDTH = 280;
const MAX_WIDTH = 1200;

/** Draws a chart once, as wide as its container, so that its letters are the page's own size. */
export function ChartFrame({ children }: { children: (width: number) => ReactNode }) {
  const frame = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(UNMEASURED_WIDTH);
  useEffect(() => {
    const element = frame.current;
    if (!element) return;
    const measure = () => {
      const whole = Math.round(element.clientWidth / WIDTH_STEP) * WIDTH_STEP;
      if (element.clientWidth > 0) setWidth(Math.min(MAX_WIDTH, Math.max(MIN_WIDTH, whole)));
    };
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return <div ref={frame}>{children(width)}</div>;
}

interface XLabelsProps {
  /** Of the letters' feet. */
  y: number;
  width: number;
  labels: readonly { readonly x: number; readonly words: string }[];
}

/** Words below an axis; those that would run over an edge are left out. */
export function XLabels({ y, width, labels }: XLabelsProps) {
  return labels
    .filter(({ x }) => x > 20 && x < width - 20)
    .map(({ x, words }) => (
      <text key={words} x={x} y={y} textAnchor="middle" className="axis-label">
        {words}
      </text>
    ));
}

interface YLabelsProps {
  /** Of the letters' right end. */
  x: number;
  labels: readonly { readonly y: number; readonly words: string }[];
}

/** Words left of an axis. */
export function YLabels({ x, labels }: YLabelsProps) {
  return labels.map(({ y, words }) => (
    <text key={words} x={x} y={y} dy="0.32em" textAnchor="end" className="axis-label">
      {words}
    </text>
  ));
}
