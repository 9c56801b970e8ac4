import type { Lab } from '../../color/lab';
import type { LookPieceRow, PieceRow, SlotRole, SlotRow } from '../../model/rows';
import type { CutOut } from '../../model/values/photoPoint';
import type { OptionModel } from '../../plan/model/optionModel';
import type { Board } from '../../surface/board';
import type { FurnitureTemplate, Measures } from '../../surface/furnitureTemplate';
import type { ZoneFace } from '../../surface/prints/printedShapes';
import type { Size } from '../../surface/views';
import type { ThingKind } from './thingKinds';

/** Where a thing is: from the left end of the spot, above its base, from its front edge; mm. */
export interface ThingBox {
  leftMm: number;
  rightMm: number;
  footMm: number;
  topMm: number;
  frontMm: number;
  backMm: number;
}

/** A piece of a look with all that is known of it. */
export interface LookThing {
  id: string;
  placement: LookPieceRow;
  name: string;
  /** What the piece itself is called, however the look calls it: cautions go by this. */
  ownName: string;
  /** The slot that it fills; null for what no slot asks for. */
  slot: SlotRow | null;
  /** The way that fills its slot; null while nothing does. */
  model: OptionModel | null;
  piece: PieceRow | null;
  role: SlotRole | null;
  template: FurnitureTemplate | null;
  measures: Measures;
  /** As it stands: turned, lying, or as somebody sized it. */
  size: Size;
  /** False while only its kind's usual size, or the slot's wish, is known. */
  isMeasured: boolean;
  /** False while nothing was found for it. */
  isFound: boolean;
  /** False while it still looks as it did before its makeover. */
  isDone: boolean;
  /** The color that a zone will have, and the one that it has now; null where nobody knows it. */
  colorOf(zoneId: string | null): Lab | null;
  presentColorOf(zoneId: string | null): Lab | null;
  /** Its main color as it will be. */
  color: Lab | null;
  /** What lies on a zone beside its color once it is done: a paper, letters; null where nothing does. */
  faceOf(zoneId: string): ZoneFace | null;
  /** The picture that is shown of it. */
  photoId: string | null;
  /** Its edge in the picture of it; null while nobody cut it out. */
  cutOut: CutOut | null;
  /** The color that its picture must take to show it done; null where it is right as it is. */
  recoloredTo: Lab | 'severalColors' | null;
  weightG: number | null;
  kinds: ReadonlySet<ThingKind>;
  /** Where something can stand on it, above its own foot and from its own left end, the lowest first; none where nothing can. */
  boards: readonly Board[];
  box: ThingBox;
}

/** Whether a thing is only described in its look: no piece, no way and no offer stands behind it. */
export const isDescribed = ({ model, piece }: Pick<LookThing, 'model' | 'piece'>): boolean =>
  model === null && piece === null;

/** Where a thing of some size is. */
export function boxAt(place: Pick<LookPieceRow, 'xMm' | 'footMm' | 'frontMm'>, size: Size): ThingBox {
  return {
    leftMm: place.xMm,
    rightMm: place.xMm + size.widthMm,
    footMm: place.footMm,
    topMm: place.footMm + size.heightMm,
    frontMm: place.frontMm,
    backMm: place.frontMm + size.depthMm,
  };
}

/** A thing somewhere else; everything else of it stays. */
export function thingAt(thing: LookThing, place: Partial<LookPieceRow>): LookThing {
  const placement = { ...thing.placement, ...place };
  return { ...thing, placement, box: boxAt(placement, thing.size) };
}

/** Whether two boxes have room in common; a touch is none. */
export function meets(a: ThingBox, b: ThingBox): boolean {
  const slack = 1;
  return (
    Math.min(a.rightMm, b.rightMm) - Math.max(a.leftMm, b.leftMm) > slack &&
    Math.min(a.topMm, b.topMm) - Math.max(a.footMm, b.footMm) > slack &&
    Math.min(a.backMm, b.backMm) - Math.max(a.frontMm, b.frontMm) > slack
  );
}
