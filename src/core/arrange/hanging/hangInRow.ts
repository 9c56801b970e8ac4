import type { LookRoom } from '../look/lookRoom';
import type { LookThing } from '../look/lookThing';
import { type Place, placeOf } from '../look/settle';
import { hungRow, type RowSpacing } from './hungRow';

/** At which height a row hangs: every middle at one height, every foot on one line, or all as they hang. */
export type RowHeight =
  | { kind: 'middles'; aboveBaseMm: number }
  | { kind: 'feet'; aboveBaseMm: number }
  | { kind: 'asTheyHang' };

/** Places for things in a row; or by how much the row is too wide. */
export type HungInRow =
  | { fits: true; gapMm: number; marginMm: number; places: Place[] }
  | { fits: false; missingMm: number };

/**
 * Things hung in a row over a stretch of the spot, in the order in which they hang now.
 * @param stretch from where to where, mm from the left end; null for the whole spot
 */
export function hangInRow(
  things: readonly LookThing[],
  room: Pick<LookRoom, 'widthMm'>,
  spacing: RowSpacing,
  height: RowHeight,
  stretch: { fromMm: number; toMm: number } | null = null,
): HungInRow {
  const { fromMm, toMm } = stretch ?? { fromMm: 0, toMm: room.widthMm };
  const ordered = [...things].sort((a, b) => a.box.leftMm - b.box.leftMm);
  const row = hungRow(
    ordered.map(({ size }) => size.widthMm),
    toMm - fromMm,
    spacing,
  );
  if (!row.fits) return row;
  return {
    fits: true,
    gapMm: row.gapMm,
    marginMm: row.marginMm,
    places: ordered.map((thing, n) => ({
      ...placeOf(thing),
      xMm: fromMm + (row.places[n]?.leftMm ?? 0),
      footMm: footOf(thing, height),
      onId: null,
    })),
  };
}

function footOf({ placement, size }: LookThing, height: RowHeight): number {
  switch (height.kind) {
    case 'middles':
      return height.aboveBaseMm - size.heightMm / 2;
    case 'feet':
      return height.aboveBaseMm;
    case 'asTheyHang':
      return placement.footMm;
    default:
      return height satisfies never;
  }
}
