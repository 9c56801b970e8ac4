import { type Lab, labFromHex } from '../../color/lab';
import type { Point } from '../../surface/outline';
import { shapeColor } from '../../surface/shapeColor';
import { frontView } from '../../surface/views';
import type { LookThing } from '../look/lookThing';
import { restsOn } from '../look/settle';
import { seenPieceOf } from '../look/silhouette';
import { applied, type Homography } from './homography';

/** A shape of a picture, px: filled, a line, or a soft shadow. */
export interface PhotoShape {
  kind: 'fill' | 'line' | 'shadow';
  points: readonly Point[];
  color: Lab;
  /** The width of a line, or how far a shadow is blurred; px. */
  widthPx: number;
}

const ink = labFromHex('#1d2b3a');
const black: Lab = { L: 0, a: 0, b: 0 };
const ROUND_STEPS = 28;
/** A thing on a surface darkens it so far before and beside its foot, mm; one on a wall throws a shadow so far (choices for the eye). */
const CONTACT_MM = 14;
const THROWN_MM = 8;

/** A round as points. */
const rounded = (cx: number, cy: number, rx: number, ry: number): Point[] =>
  Array.from({ length: ROUND_STEPS }, (_, n): Point => {
    const angle = (2 * Math.PI * n) / ROUND_STEPS;
    return [cx + rx * Math.cos(angle), cy + ry * Math.sin(angle)];
  });

/**
 * The pieces of a look in a picture, at true size in the plane of the wall, those behind first, each with a soft shadow
 * where it touches.
 * @param map from the spot to the picture
 * @param isPresent in the colors that they have now
 */
export function photoShapes(things: readonly LookThing[], map: Homography, isPresent = false): PhotoShape[] {
  return things.flatMap((thing) => {
    const { box, size, template, measures } = thing;
    const at = (xMm: number, upMm: number): Point => applied(map, [xMm, upMm]);
    const middle = (box.leftMm + box.rightMm) / 2;
    const here = at(middle, box.footMm);
    const beside = at(middle + 1, box.footMm);
    const pxPerMm = Math.max(0.01, Math.hypot(beside[0] - here[0], beside[1] - here[1]));
    const shadow: PhotoShape = restsOn(thing)
      ? {
          kind: 'shadow',
          color: black,
          widthPx: CONTACT_MM * pxPerMm * 0.5,
          points: rounded(middle, box.footMm, size.widthMm * 0.54, CONTACT_MM).map(([x, y]) => at(x, y)),
        }
      : {
          kind: 'shadow',
          color: black,
          widthPx: THROWN_MM * pxPerMm * 0.5,
          points: (seenPieceOf(thing).outline[0] ?? []).map(([x, y]) => at(x + THROWN_MM, y - THROWN_MM)),
        };
    const edge = Math.max(1, 0.9 * pxPerMm);
    const colorOf = isPresent ? thing.presentColorOf : thing.colorOf;
    if (!template) {
      const corners = [
        at(box.leftMm, box.topMm),
        at(box.rightMm, box.topMm),
        at(box.rightMm, box.footMm),
        at(box.leftMm, box.footMm),
      ];
      const color = colorOf(null) ?? { L: 88, a: 0, b: 0 };
      return [shadow, { kind: 'fill' as const, points: corners, color, widthPx: edge }];
    }
    const drawing = frontView(template, measures);
    const [sx, sy] = [size.widthMm / Math.max(1, drawing.widthMm), size.heightMm / Math.max(1, drawing.heightMm)];
    const place = ([x, y]: readonly [number, number]): Point => at(box.leftMm + x * sx, box.topMm - y * sy);
    return [
      shadow,
      ...drawing.shapes.map((shape): PhotoShape => {
        const color = shapeColor(shape, colorOf);
        if (shape.kind === 'line')
          return {
            kind: 'line',
            points: shape.points.map(place),
            color,
            widthPx: Math.max(1, shape.thickMm * sx * pxPerMm),
          };
        const points = shape.kind === 'polygon' ? shape.points : rounded(shape.cx, shape.cy, shape.rx, shape.ry);
        return { kind: 'fill', points: points.map(place), color, widthPx: shape.isSoft ? 0 : edge };
      }),
    ];
  });
}

/** The color of an edge in a picture. */
export const edgeInk = ink;
