import { spotKindOf } from '../../catalog/spotKinds';
import type { LookPieceRow, LookRow, ProjectRows, SlotRow, SpotRow } from '../../model/rows';
import { baseHeightMm, lookRoom } from './lookRoom';
import type { LookThing } from './lookThing';
import { newPlacement } from './newLook';
import { layerOf, round } from './startingLook';

/**
 * A spot that is the top of furniture, with something put in that stands on the floor: from then on the spot is the wall
 * behind it and the floor before it, the furniture is a thing of each look, and all that stood on its top stands on that.
 */
export interface FloorShown {
  spot: SpotRow;
  slots: SlotRow[];
  looks: LookRow[];
  /** What was in its looks, where it is now. */
  lookPieces: LookPieceRow[];
}

/** Whether a spot is the top of furniture whose floor is not shown. */
export const isTopOfFurniture = (spot: SpotRow): boolean => spotKindOf(spot.kind).furniture !== undefined;

/** The wall that takes the place of a top: as wide as walls usually are, as high as the top and what is free above it. */
function wallOf(spot: SpotRow): SpotRow {
  const usual = spotKindOf('wall').usual;
  const { widthMm } = lookRoom(spot);
  return {
    ...spot,
    kind: 'wall',
    widthMm: widthMm > usual.widthMm ? widthMm : null,
    depthMm: null,
    heightMm: spot.heightMm === null ? null : spot.heightMm + baseHeightMm(spot),
    measures: {},
  };
}

/** The furniture whose top a spot is, as a thing of a look of that spot's wall. */
export function furnitureOf(spot: SpotRow, look: Pick<LookRow, 'id'>, id: string): LookPieceRow {
  const { widthMm, depthMm } = lookRoom(spot);
  const wall = lookRoom(wallOf(spot));
  return newPlacement(id, look.id, {
    name: spot.name,
    drawn: { templateId: spotKindOf(spot.kind).furniture ?? 'consoleTable', measures: {}, color: null },
    size: { widthMm, depthMm, heightMm: baseHeightMm(spot) },
    xMm: round((wall.widthMm - widthMm) / 2),
    frontMm: round(wall.depthMm - depthMm),
    layer: layerOf('stands', 0) - 1,
  });
}

/**
 * Shows the floor of a spot: what is marked, sketched and placed keeps its place in the room.
 * @param carriers the furniture of each look; what stood on the top stands on it, as high as its top is
 */
export function floorShown(
  rows: Pick<ProjectRows, 'slots' | 'looks' | 'lookPieces'>,
  spot: SpotRow,
  carriers: readonly LookPieceRow[],
): FloorShown {
  const wall = wallOf(spot);
  const [before, after] = [lookRoom(spot), lookRoom(wall)];
  const right = round((after.widthMm - before.widthMm) / 2);
  const up = baseHeightMm(spot);
  const back = after.depthMm - before.depthMm;
  const looks = rows.looks.filter(({ spotId }) => spotId === spot.id);
  const isHere = new Set(looks.map(({ id }) => id));
  return {
    spot: {
      ...wall,
      features: spot.features.map((one) => ({ ...one, xMm: one.xMm + right, yMm: one.yMm + up })),
    },
    slots: rows.slots
      .filter(({ spotId }) => spotId === spot.id)
      .map((slot) => ({
        ...slot,
        box: slot.box && { ...slot.box, xMm: slot.box.xMm + right, yMm: slot.box.yMm + up },
      })),
    looks: looks.map((look) => ({
      ...look,
      photo: look.photo && { ...look.photo, xMm: look.photo.xMm + right, heightAtMm: look.photo.heightAtMm + up },
    })),
    lookPieces: rows.lookPieces
      .filter(({ lookId }) => isHere.has(lookId))
      .map((piece) => {
        const carrier = piece.stance === 'hangs' ? undefined : carriers.find(({ lookId }) => lookId === piece.lookId);
        return {
          ...piece,
          xMm: round(piece.xMm + right),
          frontMm: round(piece.frontMm + back),
          footMm: round(piece.footMm + (carrier?.size?.heightMm ?? up)),
          onId: piece.onId ?? carrier?.id ?? null,
        };
      }),
  };
}

/** From so high on furniture stands on the floor rather than on a top (common practice, no source). */
const LEAST_FURNITURE_MM = 12 * 25.4;
/** A lamp taller than this stands on the floor (common practice, no source). */
const TALLEST_ON_TOP_MM = 44 * 25.4;
/** A rug narrower than this may lie on a top. */
const LEAST_RUG_MM = 24 * 25.4;

/** Whether a thing has its place on the floor, not on the top of furniture. */
export function standsOnFloor({ kinds, size, placement }: Pick<LookThing, 'kinds' | 'size' | 'placement'>): boolean {
  if (placement.stance === 'hangs') return false;
  if (kinds.has('onFloor')) return true;
  if (kinds.has('rug')) return size.widthMm >= LEAST_RUG_MM;
  if (kinds.has('lamp') || kinds.has('tree')) return size.heightMm > TALLEST_ON_TOP_MM;
  return (kinds.has('floorPiece') || kinds.has('seat')) && size.heightMm >= LEAST_FURNITURE_MM;
}

/** As wide as the top was said to be, within this share, a piece is taken to be the furniture whose top it is. */
const SAME_WIDTH = 0.25;
/** Furniture that has such a top is at least so high. */
const LEAST_TOP_MM = 20 * 25.4;

/** Whether a thing that is put in is the very furniture whose top the spot is. */
export function isFurnitureItself(spot: SpotRow, { kinds, size, template }: LookThing): boolean {
  const isTop = kinds.has('floorPiece') && !kinds.has('seat') && template?.id !== 'screen';
  const { widthMm } = spot;
  return (
    isTop &&
    size.heightMm >= LEAST_TOP_MM &&
    (widthMm === null || Math.abs(size.widthMm - widthMm) <= widthMm * SAME_WIDTH)
  );
}
