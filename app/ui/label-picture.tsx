import { type LabelTemplate, type LabelTexts, labelLayout } from "#core/label/label-parts.ts";
import type { CodePicture } from "#workers/labels/code-picture.ts";

interface LabelPictureProps {
  template: LabelTemplate;
  texts: LabelTexts;
  code: CodePicture;
}

const MILLIMETERS_PER_POINT = 25.4 / 72;
const MARGIN = 2;
const STRONG: ReadonlySet<string> = new Set(["product", "net-weight", "total-price"]);

/** A label as it will be printed, true to size on a screen that knows its own. */
export function LabelPicture({ template, texts, code }: LabelPictureProps) {
  const { widthMillimeters: width, heightMillimeters: height } = template;
  const layout = labelLayout(template, texts);
  let y = MARGIN;
  const lines = layout.lines.map((line) => {
    const size = line.points * MILLIMETERS_PER_POINT;
    const place = { ...line, size, y: y + size };
    y += size * 1.25;
    return place;
  });
  const side = layout.codeMillimeters;
  const scale = side / code.width;
  const left = width - MARGIN - side;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width={`${width}mm`}
      height={`${height}mm`}
      role="img"
      aria-label={`Label: ${Object.values(texts).join(", ")}`}
      className="max-w-full border border-ink bg-white"
    >
      {lines.map((line) => (
        <text
          key={`${line.part} ${line.y}`}
          x={MARGIN}
          y={line.y}
          fontSize={line.size}
          className={`fill-black ${STRONG.has(line.part) ? "font-semibold" : ""}`}
        >
          {line.text}
        </text>
      ))}
      {texts.code !== undefined && (
        <>
          <g transform={`translate(${left} ${MARGIN}) scale(${scale})`}>
            {code.blocks.map(([x, by, w, h]) => (
              <rect key={`${x} ${by}`} x={x} y={by} width={w} height={h} className="fill-black" />
            ))}
          </g>
          <text
            x={left}
            y={MARGIN + Math.min(side, code.height * scale) + template.letterPoints * MILLIMETERS_PER_POINT}
            fontSize={template.letterPoints * MILLIMETERS_PER_POINT}
            className="fill-black font-mono font-semibold"
          >
            {texts.code}
          </text>
        </>
      )}
    </svg>
  );
}
