import type { LabelTemplate, LabelTexts } from "#core/label/label-parts.ts";
import { type CodePicture, placedLabel } from "#core/label/placed-label.ts";

interface LabelPictureProps {
  template: LabelTemplate;
  texts: LabelTexts;
  code: CodePicture;
}

const MILLIMETERS_PER_POINT = 25.4 / 72;

/** A label as it will be printed, true to size on a screen that knows its own. */
export function LabelPicture({ template, texts, code }: LabelPictureProps) {
  const label = placedLabel(template, texts, code);
  const { widthMillimeters: width, heightMillimeters: height } = label;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width={`${width}mm`}
      height={`${height}mm`}
      role="img"
      aria-label={`Label: ${Object.values(texts).join(", ")}`}
      className="h-auto max-w-full border border-ink bg-white"
    >
      {label.texts.map(({ part, x, y, points, isStrong, text }) => (
        <text
          key={`${part} ${y}`}
          x={x}
          y={y}
          fontSize={points * MILLIMETERS_PER_POINT}
          className={`fill-black ${isStrong ? "font-semibold" : ""}`}
        >
          {text}
        </text>
      ))}
      {label.blocks.map(([x, y, w, h]) => (
        <rect key={`${x} ${y}`} x={x} y={y} width={w} height={h} className="fill-black" />
      ))}
    </svg>
  );
}
