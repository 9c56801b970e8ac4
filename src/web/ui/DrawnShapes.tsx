import { hexFromLab, type Lab } from '@core/color/lab';
import type { DrawnShape } from '@core/surface/drawing';
import { shapeColor } from '@core/surface/shapeColor';

/** The shapes of a drawing, each in the color of its zone or of its ink, within a drawing of millimeters. */
export function DrawnShapes(props: {
  shapes: readonly DrawnShape[];
  colorOf: (zoneId: string) => Lab | null;
  /** The width of an edge, mm. */
  stroke: number;
  marked?: string | null | undefined;
}) {
  const { stroke } = props;
  return props.shapes.map((shape, index) => {
    const { zoneId } = shape;
    const fill = hexFromLab(shapeColor(shape, props.colorOf));
    const marked = props.marked !== undefined && props.marked !== null && props.marked === zoneId;
    const key = `${shape.kind}-${zoneId}-${index}`;
    if (shape.kind === 'line')
      return (
        <polyline
          key={key}
          points={shape.points.map((point) => point.join(',')).join(' ')}
          fill="none"
          stroke={fill}
          strokeWidth={Math.max(shape.thickMm, stroke * 0.7)}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      );
    const edge = shape.isSoft && !marked ? 'none' : marked ? 'var(--tape)' : 'var(--ink)';
    const common = { fill, stroke: edge, strokeWidth: marked ? stroke * 3 : stroke };
    return shape.kind === 'polygon' ? (
      <polygon
        key={key}
        points={shape.points.map((point) => point.join(',')).join(' ')}
        {...common}
        strokeLinejoin="round"
      />
    ) : (
      <ellipse key={key} cx={shape.cx} cy={shape.cy} rx={shape.rx} ry={shape.ry} {...common} />
    );
  });
}
