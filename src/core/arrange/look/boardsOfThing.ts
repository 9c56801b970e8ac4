import type { Board } from '../../surface/board';
import { sizeOf } from '../../surface/views';
import type { LookThing } from './lookThing';
import { likenessOfThing } from './thingView';

type Thing = Pick<
  LookThing,
  'template' | 'measures' | 'size' | 'placement' | 'kinds' | 'ownName' | 'name' | 'slot' | 'faceOf'
>;

/** Nothing is set on leaves, on what burns, into a vase as if it were a top, or on cloth on edge. */
const holdsNothing = ({ kinds, placement, template }: Thing): boolean =>
  kinds.has('stems') ||
  kinds.has('candle') ||
  kinds.has('vase') ||
  placement.stance === 'leans' ||
  // What hangs holds nothing, unless it is a shelf.
  (placement.stance === 'hangs' && template?.id !== 'shelf' && template?.boards === undefined);

/** Boards inside a thing as its kind has them, in the size that it has here; null where its kind has none. */
function inside(thing: Thing): Board[] | null {
  const { template, measures, size, placement } = thing;
  if (!template?.boards || placement.stance === 'lies') return null;
  const natural = sizeOf(template, measures);
  const up = size.heightMm / natural.heightMm;
  const across = size.widthMm / natural.widthMm;
  return template.boards(measures).map(({ topMm, thickMm, leftMm, rightMm }) => ({
    topMm: topMm * up,
    thickMm: thickMm * up,
    // Its side to the front one looks along the boards.
    leftMm: placement.turned ? 0 : leftMm * across,
    rightMm: placement.turned ? size.widthMm : rightMm * across,
  }));
}

/** Where something can stand on a thing: on its top, on the boards within it, on the tiers of a stand. */
export function boardsOfThing(thing: Thing): Board[] {
  if (holdsNothing(thing)) return [];
  const { widthMm, heightMm } = thing.size;
  const likeness = likenessOfThing(thing);
  // What has a handle above its tiers has no top.
  if (likeness?.boards)
    return likeness.boards.map(({ left, top, right, bottom }) => ({
      topMm: (1 - top) * heightMm,
      thickMm: (bottom - top) * heightMm,
      leftMm: left * widthMm,
      rightMm: right * widthMm,
    }));
  const within = inside(thing) ?? [];
  const thickMm = within.length > 0 ? (within[0]?.thickMm ?? heightMm) : heightMm;
  return [...within, { topMm: heightMm, thickMm, leftMm: 0, rightMm: widthMm }];
}
