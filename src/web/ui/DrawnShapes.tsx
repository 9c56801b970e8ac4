import { hexFromLab, type Lab } from '@core/color/lab';
import type { FacedShape } from '@core/surface/prints/printedShapes';
import { shapeColor } from '@core/surface/shapeColor';

const pathOf = (rings: readonly (readonly (readonly [number, number])[])[]): string =>
  rings.map((ring) => `M${ring.map(([x, y]) => `${x} ${y}`).join('L')}Z`).join('');

/** The shapes of a drawing, each in the color of its zone or of its ink, within a drawing of millimeters. */
export function DrawnShapes(props: {
  shapes: readonly FacedShape[];
  colorOf: (zoneId: string) => Lab | null;
  /** The width of an edge, mm. */
  stroke: number;
  marked?: string | null | undefined;
}) {
  const { stroke } = props;
  return props.shapes.map((shape, index) => {
    if (shape.kind === 'rings')
      return <path key={index} d={pathOf(shape.rings)} fill={hexFromLab(shape.color)} fillRule="evenodd" />;
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

/** A drawing made as wide and as high as its thing is, with edges of one width however it is stretched. */
export function ScaledDrawing(props: {
  drawing: { widthMm: number; heightMm: number; shapes: readonly FacedShape[] };
  widthMm: number;
  heightMm: number;
  colorOf: (zoneId: string) => Lab | null;
  /** The width of an edge as it is seen, mm. */
  stroke: number;
}) {
  const { drawing } = props;
  const scaleX = props.widthMm / Math.max(1, drawing.widthMm);
  const scaleY = props.heightMm / Math.max(1, drawing.heightMm);
  return (
    <g transform={`scale(${scaleX} ${scaleY})`}>
      <DrawnShapes shapes={drawing.shapes} colorOf={props.colorOf} stroke={props.stroke / Math.sqrt(scaleX * scaleY)} />
    </g>
  );
}
