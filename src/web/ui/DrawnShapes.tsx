import { hexFromLab, type Lab, labFromHex } from '@core/color/lab';
import type { DrawnShape } from '@core/surface/drawing';
import { type Ink, inks } from '@core/surface/inks.data';

/** A color made a little lighter or darker, so that faces tell apart. */
function shaded(color: Lab, shade: number): string {
  return hexFromLab({ ...color, L: Math.max(4, Math.min(98, color.L + shade * 0.55)) });
}

const bare = labFromHex('#eef0ec');
const inkColors = new Map<Ink, Lab>((Object.keys(inks) as Ink[]).map((ink) => [ink, labFromHex(inks[ink])]));
const colorOfInk = (ink: Ink): Lab => inkColors.get(ink) ?? bare;

/** How much darker a line is than the zone that it lies on. */
const LINE_SHADE = -26;

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
    const { zoneId, shade, ink } = shape;
    const color =
      ink !== undefined ? colorOfInk(ink) : zoneId === null ? colorOfInk('open') : (props.colorOf(zoneId) ?? bare);
    const marked = props.marked !== undefined && props.marked !== null && props.marked === zoneId;
    const key = `${shape.kind}-${zoneId}-${index}`;
    if (shape.kind === 'line')
      return (
        <polyline
          key={key}
          points={shape.points.map((point) => point.join(',')).join(' ')}
          fill="none"
          stroke={shaded(color, shade + (ink === undefined ? LINE_SHADE : 0))}
          strokeWidth={Math.max(shape.thickMm, stroke * 0.7)}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      );
    const edge = shape.isSoft && !marked ? 'none' : marked ? 'var(--tape)' : 'var(--ink)';
    const common = { fill: shaded(color, shade), stroke: edge, strokeWidth: marked ? stroke * 3 : stroke };
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
