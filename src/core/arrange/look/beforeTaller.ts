import type { FreePlace } from './freePlace';
import { type Level, middleOf, wide } from './levels';
import type { LookRoom } from './lookRoom';
import type { LookThing } from './lookThing';
import { carriedAlong, placeOf } from './settle';

const SLACK_MM = 1;
/** So much taller, at least, is what a thing may stand before; so much of its width may be hidden. */
export const TALLER = 1.3;
const MOST_HIDDEN = 0.6;

/**
 * A place before taller things where a board is full side by side: where least of them is hidden; those go back to the wall as
 * far as that takes. Null where it is not deep enough, or where all that stands there is as low.
 */
export function beforeTaller(
  room: LookRoom,
  levels: readonly Level[],
  thing: LookThing,
  things: readonly LookThing[],
): FreePlace | null {
  const { widthMm, heightMm, depthMm } = thing.size;
  const found = levels.flatMap((level) => {
    const ends = level.of?.box ?? { frontMm: 0, backMm: room.depthMm };
    const standing = level.standing.filter(({ kinds }) => !kinds.has('runner') && !kinds.has('rug'));
    const middles = standing.flatMap(({ box }) => [box.leftMm, middleOf(box), box.rightMm]);
    return middles.flatMap((middleMm) => {
      const own = { leftMm: middleMm - widthMm / 2, rightMm: middleMm + widthMm / 2 };
      const behind = standing.filter(
        ({ box }) => box.leftMm < own.rightMm - SLACK_MM && box.rightMm > own.leftMm + SLACK_MM,
      );
      const fits =
        own.leftMm >= level.leftMm - SLACK_MM &&
        own.rightMm <= level.rightMm + SLACK_MM &&
        behind.every(
          ({ size, box }) =>
            size.heightMm >= heightMm * TALLER &&
            ends.backMm - ends.frontMm >= depthMm + size.depthMm &&
            box.backMm <= ends.backMm + SLACK_MM,
        );
      if (!fits) return [];
      const hidden = Math.max(
        0,
        ...behind.map(({ box }) => (Math.min(box.rightMm, own.rightMm) - Math.max(box.leftMm, own.leftMm)) / wide(box)),
      );
      return hidden > MOST_HIDDEN ? [] : [{ level, ends, middleMm, behind, hidden }];
    });
  });
  const [best] = found.sort((a, b) => a.hidden - b.hidden);
  if (!best) return null;
  const { level, ends, middleMm, behind } = best;
  const backMm = ends.frontMm + depthMm;
  return {
    footMm: level.footMm,
    onId: level.of?.id ?? null,
    middleMm,
    depth: { frontMm: ends.frontMm, backMm },
    pushed: behind.flatMap((one) =>
      one.box.frontMm >= backMm
        ? []
        : carriedAlong(things, one, {
            ...placeOf(one),
            frontMm: Math.round((ends.backMm - one.size.depthMm) * 10) / 10,
          }),
    ),
  };
}
