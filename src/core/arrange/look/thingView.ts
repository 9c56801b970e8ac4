import type { Lab } from '../../color/lab';
import type { CutOut } from '../../model/values/photoPoint';
import { type Likeness, likenessAbove, likenessFront, likenessInstead } from '../../surface/likenesses';
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

/** The likeness of a thing by what it is called, where its kind of furniture says no more than a box, or less; null else. */
export function likenessOfThing({
  template,
  ownName,
  name,
  slot,
  faceOf,
}: Pick<LookThing, 'template' | 'ownName' | 'name' | 'slot' | 'faceOf'>): Likeness | null {
  const said = `${template?.id ?? ''}|${ownName || name}|${slot?.name ?? ''}`;
  let known = likenessByName.get(said);
  if (known === undefined) {
    const of = (words: string) => likenessInstead(template?.id ?? null, words);
    known = of(ownName || name) ?? (slot ? of(slot.name) : null);
    if (likenessByName.size > 2000) likenessByName.clear();
    likenessByName.set(said, known);
  }
  // A paper that lies on a zone is seen only on the drawing that has the zone.
  return known?.instead && template?.zones({}).some(({ id }) => faceOf(id) !== null) ? null : known;
}
const likenessByName = new Map<string, Likeness | null>();

/**
 * A thing's own picture, where it shows it as it stands: from the front, as it was taken, and not where it will have
 * several colors; null else.
 */
export function pictureOf(thing: LookThing, { isAbove, isPresent }: View): ThingPicture | null {
  const { cutOut, placement } = thing;
  if (cutOut === null || cutOut.photoId === null) return null;
  const recoloredTo = isPresent ? null : thing.recoloredTo;
  if (isAbove || placement.turned || placement.stance === 'lies' || recoloredTo === 'severalColors') return null;
  return { photoId: cutOut.photoId, rings: cutOut.rings, recoloredTo };
}

/** What a thing looks like from the front or from above, now or done. */
export function thingView(thing: LookThing, view: View): ThingView {
  const picture = pictureOf(thing, view);
  if (picture) return { kind: 'picture', picture };
  const { template, measures, size } = thing;
  const { isAbove, isPresent } = view;
  const colorOf = isPresent ? thing.presentColorOf : thing.colorOf;
  const likeness = likenessOfThing(thing);
  if (likeness) {
    const drawing = isAbove
      ? likenessAbove(likeness, size.widthMm, size.depthMm)
      : likenessFront(likeness, size.widthMm, size.heightMm);
    // All that is no ink of its own has the color of the piece.
    return { kind: 'drawing', drawing, colorOf: () => (isPresent ? colorOf(null) : thing.color) };
  }
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
