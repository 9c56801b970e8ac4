import { type Lab, labFromHex } from '../../color/lab';
import type { Outline, Point } from '../../surface/outline';
import { shapeColor } from '../../surface/shapeColor';
import type { LookThing } from '../look/lookThing';
import { restsOn } from '../look/settle';
import { seenPieceOf } from '../look/silhouette';
import { type ThingPicture, type ThingView, thingView } from '../look/thingView';
import { applied } from './homography';
import { type PictureCell, pictureCells } from './pictureCells';
import type { RoomCamera } from './roomCamera';

/** A shape of a picture, px: filled, a line, a soft shadow, or a piece's own picture. */
export type PhotoShape =
  /** `widthPx` is that of its edge, 0 for none; what lies in an odd number of its rings is filled. */
  | { kind: 'fill'; rings: Outline; color: Lab; widthPx: number }
  | { kind: 'line'; points: readonly Point[]; color: Lab; widthPx: number }
  /** Blurred so far. */
  | { kind: 'shadow'; rings: Outline; widthPx: number }
  | { kind: 'picture'; picture: ThingPicture; cells: readonly PictureCell[] };

const ROUND_STEPS = 28;
/** A thing on a surface darkens it so far around its foot, mm; one on a wall throws a shadow so far (choices for the eye). */
const CONTACT_MM = 14;
const THROWN_MM = 8;
const UNKNOWN: Lab = { L: 88, a: 0, b: 0 };

/** A round as points. */
const rounded = (cx: number, cy: number, rx: number, ry: number): Point[] =>
  Array.from({ length: ROUND_STEPS }, (_, n): Point => {
    const angle = (2 * Math.PI * n) / ROUND_STEPS;
    return [cx + rx * Math.cos(angle), cy + ry * Math.sin(angle)];
  });

/**
 * How far before the wall a thing is seen, mm: a round one where it is widest, any other by its front; what hangs stands
 * out by its own depth.
 */
function beforeWallMm({ box, size, template, placement }: LookThing, roomDepthMm: number): number {
  if (placement.stance === 'hangs') return size.depthMm;
  const front = roomDepthMm - box.frontMm;
  return Math.max(0, template?.plan === 'round' ? front - size.depthMm / 2 : front);
}

/** The shadow of a thing: around its foot on what it stands on, beside it on the wall. */
function shadowOf(thing: LookThing, camera: RoomCamera, roomDepthMm: number, pxPerMm: number): PhotoShape {
  const { box, size, template } = thing;
  if (!restsOn(thing)) {
    const at = (x: number, y: number) => applied(camera.wall, [x + THROWN_MM, y - THROWN_MM]);
    const rings = seenPieceOf(thing).outline.map((ring) => ring.map(([x, y]) => at(x, y)));
    return { kind: 'shadow', rings, widthPx: THROWN_MM * pxPerMm * 0.5 };
  }
  const middle = (box.leftMm + box.rightMm) / 2;
  const [wide, deep] = [size.widthMm / 2 + CONTACT_MM / 2, size.depthMm / 2 + CONTACT_MM / 2];
  const plan: readonly Point[] =
    template?.plan === 'round'
      ? rounded(0, 0, wide, deep)
      : [
          [-wide, -deep],
          [wide, -deep],
          [wide, deep],
          [-wide, deep],
        ];
  const from = roomDepthMm - (box.frontMm + box.backMm) / 2;
  const foot = plan.map(([x, out]) => applied(camera.planeBefore(Math.max(0, from + out)), [middle + x, box.footMm]));
  return { kind: 'shadow', rings: [foot], widthPx: CONTACT_MM * pxPerMm * 0.5 };
}

/**
 * The pieces of a look in a picture, at true size and as far before the wall as they stand, those behind first, each with
 * a soft shadow where it touches.
 * @param roomDepthMm from the front edge of the spot to its wall
 * @param isPresent in the colors that they have now
 */
export const photoShapes = (
  things: readonly LookThing[],
  camera: RoomCamera,
  roomDepthMm: number,
  isPresent = false,
): PhotoShape[] =>
  things.flatMap((thing) => {
    const map = camera.planeBefore(beforeWallMm(thing, roomDepthMm));
    const at = (xMm: number, upMm: number): Point => applied(map, [xMm, upMm]);
    const middle = (thing.box.leftMm + thing.box.rightMm) / 2;
    const here = at(middle, thing.box.footMm);
    const beside = at(middle + 1, thing.box.footMm);
    const pxPerMm = Math.max(0.01, Math.hypot(beside[0] - here[0], beside[1] - here[1]));
    const view = thingView(thing, { isAbove: false, isPresent });
    return [shadowOf(thing, camera, roomDepthMm, pxPerMm), ...viewShapes(view, thing, at, pxPerMm)];
  });

/** What a thing looks like, in the picture. */
function viewShapes(
  view: ThingView,
  { box, size }: LookThing,
  at: (xMm: number, upMm: number) => Point,
  pxPerMm: number,
): PhotoShape[] {
  const edge = Math.max(1, 0.9 * pxPerMm);
  switch (view.kind) {
    case 'picture': {
      const cells = pictureCells((x, y) => at(box.leftMm + x * size.widthMm, box.topMm - y * size.heightMm));
      return [{ kind: 'picture', picture: view.picture, cells }];
    }
    case 'box': {
      const corners = [
        at(box.leftMm, box.topMm),
        at(box.rightMm, box.topMm),
        at(box.rightMm, box.footMm),
        at(box.leftMm, box.footMm),
      ];
      return [{ kind: 'fill', rings: [corners], color: view.color ?? UNKNOWN, widthPx: edge }];
    }
    case 'drawing': {
      const { drawing, colorOf } = view;
      const [sx, sy] = [size.widthMm / Math.max(1, drawing.widthMm), size.heightMm / Math.max(1, drawing.heightMm)];
      const place = ([x, y]: readonly [number, number]): Point => at(box.leftMm + x * sx, box.topMm - y * sy);
      return drawing.shapes.map((shape): PhotoShape => {
        if (shape.kind === 'rings')
          return { kind: 'fill', rings: shape.rings.map((ring) => ring.map(place)), color: shape.color, widthPx: 0 };
        const color = shapeColor(shape, colorOf);
        if (shape.kind === 'line') {
          const widthPx = Math.max(1, shape.thickMm * sx * pxPerMm);
          return { kind: 'line', points: shape.points.map(place), color, widthPx };
        }
        const points = shape.kind === 'polygon' ? shape.points : rounded(shape.cx, shape.cy, shape.rx, shape.ry);
        return { kind: 'fill', rings: [points.map(place)], color, widthPx: shape.isSoft ? 0 : edge };
      });
    }
  }
}

/** The color of an edge in a picture. */
export const edgeInk = labFromHex('#1d2b3a');
