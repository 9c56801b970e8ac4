import { formatLength } from '@core/kernel/formatLength';
import { completeMeasures } from '@core/surface/furnitureTemplate';
import { pieceDrawing } from '@core/surface/likenesses';
import { furnitureTemplates } from '@core/surface/templates';
import { DrawnShapes } from './DrawnShapes';
import type { DrawnPieceAsked } from './PieceDrawing';

/** A piece drawn to proportion; what is drawn of it is said at {@link DrawnPieceAsked}. */
export function DrawnPiece(props: DrawnPieceAsked) {
  const template = furnitureTemplates.find(props.templateId);
  if (!template) return null;
  const drawing = pieceDrawing(template, completeMeasures(template, props.measures), props.name ?? '');
  const most = Math.max(drawing.widthMm, drawing.heightMm);
  const withDimensions = props.units !== undefined;
  const margin = most * (withDimensions ? 0.16 : 0.03);
  const stroke = most * 0.006;
  const across = drawing.widthMm + margin * 1.4;
  const down = drawing.heightMm + margin * 1.5;
  // With its dimensions it takes the height it needs; small pictures stay square, so that lists line up.
  const height = withDimensions ? props.size * Math.min(1, down / across) : props.size;
  const font = most * 0.055;
  return (
    <svg
      viewBox={`${-margin} ${-margin * 0.4} ${across} ${down}`}
      width={props.size}
      height={height}
      role="img"
      aria-label={props.label}
      aria-hidden={props.label === ''}
    >
      <DrawnShapes shapes={drawing.shapes} colorOf={props.colorOf} stroke={stroke} marked={props.marked} />
      {props.letters &&
        drawing.labels.map((label) => (
          <g key={label.letter}>
            <circle
              cx={label.xMm}
              cy={label.yMm}
              r={font * 0.72}
              fill="var(--sheet)"
              stroke="var(--ink)"
              strokeWidth={stroke * 0.7}
              strokeDasharray={`${stroke * 2.4} ${stroke * 1.6}`}
            />
            <text
              x={label.xMm}
              y={label.yMm + font * 0.34}
              fontSize={font}
              fontWeight={700}
              textAnchor="middle"
              fill="var(--ink)"
            >
              {label.letter}
            </text>
          </g>
        ))}
      {props.units !== undefined &&
        drawing.dimensions.map((line) => {
          const vertical = line.fromX === line.toX;
          const off = margin * 0.42;
          const tick = margin * 0.13;
          const x1 = vertical ? line.fromX - off : line.fromX;
          const x2 = vertical ? line.toX - off : line.toX;
          const y1 = vertical ? line.fromY : line.fromY + off;
          const y2 = vertical ? line.toY : line.toY + off;
          const middleX = (x1 + x2) / 2;
          const middleY = (y1 + y2) / 2;
          return (
            <g
              key={`${line.fromX}-${line.fromY}-${line.toX}`}
              stroke="var(--ink-2)"
              strokeWidth={stroke * 0.8}
              fill="none"
            >
              <path
                d={
                  vertical
                    ? `M${x1} ${y1}V${y2}M${x1 - tick} ${y1}h${2 * tick}M${x1 - tick} ${y2}h${2 * tick}`
                    : `M${x1} ${y1}H${x2}M${x1} ${y1 - tick}v${2 * tick}M${x2} ${y1 - tick}v${2 * tick}`
                }
              />
              <text
                x={middleX}
                y={vertical ? middleY : middleY + font * 1.25}
                fontSize={font * 0.86}
                textAnchor="middle"
                stroke="none"
                fill="var(--ink-2)"
                transform={vertical ? `rotate(-90 ${middleX} ${middleY}) translate(0 ${-font * 0.35})` : undefined}
              >
                {formatLength(line.lengthMm, props.units ?? 'us')}
              </text>
            </g>
          );
        })}
    </svg>
  );
}
