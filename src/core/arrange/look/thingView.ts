import type { Lab } from '../../color/lab';
import type { CutOut } from '../../model/values/photoPoint';
import { boxOf, type Outline, type Point } from '../../surface/outline';
import { type FacedDrawing, facedDrawing } from '../../surface/prints/printedShapes';
import { aboveView, frontView } from '../../surface/views';
import type { LookThing } from './lookThing';

/** From which side a thing is seen, and whether as it is now or as it will be. */
export interface View {
  isAbove: boolean;
  isPresent: boolean;
}

/** A thing as its picture: cut along its edge, in the color that it must take. */
export interface ThingPicture {
  photoId: string;
  rings: CutOut['rings'];
  recoloredTo: Lab | null;
}

/** What a thing looks like: its own picture, its kind drawn to proportion, or a plain box where nothing is known. */
export type ThingView =
  | { kind: 'picture'; picture: ThingPicture }
  | { kind: 'drawing'; drawing: FacedDrawing; colorOf(zoneId: string): Lab | null }
  | { kind: 'box'; color: Lab | null };

/**
 * What a thing looks like from the front or from above, now or done. Its picture serves from the front, as it was taken:
 * not where it is turned or lies, and not for what will have several colors.
 */
export function thingView(thing: LookThing, { isAbove, isPresent }: View): ThingView {
  const { template, measures, cutOut, placement } = thing;
  const colorOf = isPresent ? thing.presentColorOf : thing.colorOf;
  const recoloredTo = isPresent ? null : thing.recoloredTo;
  const { photoId = null, rings = [] } = cutOut ?? {};
  const isAsTaken = !isAbove && !placement.turned && placement.stance !== 'lies';
  if (photoId !== null && isAsTaken && recoloredTo !== 'severalColors')
    return { kind: 'picture', picture: { photoId, rings, recoloredTo } };
  if (!template) return { kind: 'box', color: colorOf(null) };
  const drawing = isAbove ? aboveView(template, measures) : frontView(template, measures);
  return { kind: 'drawing', drawing: isPresent ? drawing : facedDrawing(drawing, thing.faceOf), colorOf };
}

/** The box around a cut-out in its picture, in shares of the picture. */
export function cutOutBox(rings: CutOut['rings']): { left: number; top: number; width: number; height: number } {
  const box = boxOf(outlineOf(rings));
  return box
    ? { left: box.left, top: box.top, width: box.right - box.left, height: box.bottom - box.top }
    : { left: 0, top: 0, width: 1, height: 1 };
}

/** A cut-out in a square of one by one, y down. */
export function unitCutOut(rings: CutOut['rings']): Outline {
  const { left, top, width, height } = cutOutBox(rings);
  return rings.map((ring) =>
    ring.map(({ x, y }): Point => [(x - left) / Math.max(1e-6, width), (y - top) / Math.max(1e-6, height)]),
  );
}

const outlineOf = (rings: CutOut['rings']): Outline => rings.map((ring) => ring.map(({ x, y }): Point => [x, y]));
