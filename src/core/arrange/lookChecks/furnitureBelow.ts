import { levelsOf, share } from '../look/lookRoom';
import type { LookThing, ThingBox } from '../look/lookThing';
import { type HungBlock, hungBlocks } from './hungBlocks';
import type { LookFacts } from './lookCheck';
import { inches, standing } from './where';

/** What something on the wall hangs over: its width, its top above the spot's base, and what it is called. */
export interface Below {
  widthMm: number;
  topMm: number;
  leftMm: number;
  kind: 'surface' | 'mantel' | 'bed' | 'furniture';
  name: string;
}

/** Things narrower than this are no furniture that art is held against. */
const LEAST_FURNITURE_MM = inches(24);

/** What is lower lies on the floor. */
const LEAST_HEIGHT_MM = inches(6);

/** What reaches so little higher than the foot of something lies below it all the same. */
const NEAR_MM = inches(2);

/** A head end reaches so much higher than the mattress, as it is drawn (common practice, no source). */
const HEAD_OF_MATTRESS = 1.7;

const surfaces: ReadonlySet<string> = new Set(['console', 'sideboard', 'cabinetTop', 'shelfRun', 'tieredTray']);

/**
 * The furniture beneath a stretch of wall; null where art hangs by itself. Over a television or a monitor it is the screen
 * that it hangs over.
 */
export function furnitureBelow(
  facts: Pick<LookFacts, 'kind' | 'room' | 'spot' | 'isAbove' | 'things'>,
  box: Pick<ThingBox, 'leftMm' | 'rightMm' | 'footMm'>,
): Below | null {
  const below = furnitureItself(facts, box);
  const screens = standing(facts).filter(
    ({ kinds, box: other }) =>
      kinds.has('display') &&
      other.topMm <= box.footMm + NEAR_MM &&
      share(box.leftMm, box.rightMm, other.leftMm, other.rightMm),
  );
  return below && { ...below, topMm: Math.max(below.topMm, ...screens.map((one) => one.box.topMm)) };
}

function furnitureItself(
  facts: Pick<LookFacts, 'kind' | 'room' | 'spot' | 'isAbove' | 'things'>,
  box: Pick<ThingBox, 'leftMm' | 'rightMm' | 'footMm'>,
): Below | null {
  const { kind, room, spot } = facts;
  if (facts.isAbove) return null;
  if (kind.id === 'mantel') return { widthMm: room.widthMm, topMm: 0, leftMm: 0, kind: 'mantel', name: spot.name };
  if (surfaces.has(kind.id)) {
    const { topMm, leftMm, rightMm } = levelsOf(room).findLast(
      (board) => board.topMm <= box.footMm + NEAR_MM && share(box.leftMm, box.rightMm, board.leftMm, board.rightMm),
    ) ?? { topMm: 0, leftMm: 0, rightMm: room.widthMm };
    return { widthMm: rightMm - leftMm, topMm, leftMm, kind: 'surface', name: spot.name };
  }
  if (kind.id === 'bedWall') {
    const bedMm = spot.measures.bedWidthMm ?? inches(60);
    const left = (room.widthMm - bedMm) / 2;
    if (box.leftMm < left + bedMm && box.rightMm > left)
      return {
        widthMm: bedMm,
        topMm: (spot.measures.mattressHeightMm ?? inches(25)) * HEAD_OF_MATTRESS,
        leftMm: left,
        kind: 'bed',
        name: 'the bed',
      };
  }
  const below = standing(facts)
    .filter(
      ({ box: other, size }) =>
        size.widthMm >= LEAST_FURNITURE_MM &&
        size.heightMm >= LEAST_HEIGHT_MM &&
        other.topMm <= box.footMm + NEAR_MM &&
        other.leftMm < box.rightMm &&
        box.leftMm < other.rightMm,
    )
    .sort((a, b) => b.size.widthMm - a.size.widthMm)[0];
  if (!below) return null;
  const { size, box: own, name } = below;
  return { widthMm: size.widthMm, topMm: own.topMm, leftMm: own.leftMm, kind: 'furniture', name };
}

/** What hangs together over furniture, and what it is called together. */
export interface HungOver extends HungBlock {
  first: LookThing;
  below: Below;
  name: string;
  about: readonly string[];
}

/** All that hangs over something that art is held against. */
export const hungOver = (facts: LookFacts): HungOver[] =>
  hungBlocks(facts).flatMap(({ things, box }): HungOver[] => {
    const below = furnitureBelow(facts, box);
    const [first] = things;
    if (!below || !first) return [];
    const name = things.length === 1 ? first.name : 'What hangs there';
    return [{ things, box, first, below, name, about: things.map(({ id }) => id) }];
  });
