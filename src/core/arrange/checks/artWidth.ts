import { commonPractice } from '../../kernel/source';
import { placeInSketch, type SketchCheck } from '../sketchCheck';

/** Shares of what lies below, or of the wall: from where it is narrow, what is advised, from where it is wide. */
interface Span {
  least: number;
  advised: number;
  most: number;
}

/** Over a piece art or a mirror is two thirds to three quarters of its width; some hold from one half on. */
const overFurniture: Span = { least: 1 / 2, advised: 2 / 3, most: 3 / 4 };

/** Over a mantel it is half to two thirds. */
const spans: Readonly<Record<string, Span>> = {
  console: overFurniture,
  sideboard: overFurniture,
  bedWall: overFurniture,
  mantel: { least: 1 / 2, advised: 1 / 2, most: 2 / 3 },
};

/** On a wall with nothing below it is four sevenths to three quarters of the wall; some hold from one half on. */
const onWall: Span = { least: 1 / 2, advised: 4 / 7, most: 3 / 4 };

type Facts = Parameters<SketchCheck['check']>[0];
type Box = Facts['slots'][number]['box'];

/** The width that something on a wall is held against: the widest thing that stands below it, or the wall itself. */
function belowOnWall(facts: Facts, art: Box): { widthMm: number; span: Span; isWall: boolean } {
  const widths = facts.slots
    .filter(
      ({ slot, box, placed }) =>
        placed &&
        !slot.leftOut &&
        box !== art &&
        box.yMm + box.heightMm <= art.yMm + 1 &&
        box.xMm < art.xMm + art.widthMm &&
        art.xMm < box.xMm + box.widthMm,
    )
    .map(({ box }) => box.widthMm);
  return widths.length > 0
    ? { widthMm: Math.max(...widths), span: overFurniture, isWall: false }
    : { widthMm: facts.room.widthMm, span: onWall, isWall: true };
}

function below(facts: Facts, art: Box): { widthMm: number; span: Span; isWall: boolean } | null {
  if (facts.kind.id === 'wall') return belowOnWall(facts, art);
  const span = spans[facts.kind.id];
  if (!span) return null;
  const bedMm = facts.spot.measures.bedWidthMm ?? 60 * 25.4;
  return { widthMm: facts.kind.id === 'bedWall' ? bedMm : facts.room.widthMm, span, isWall: false };
}

/** What hangs above a console, sideboard, mantel or bed against the width below it; on a bare wall against the wall. */
export const artWidth: SketchCheck = {
  id: 'artWidth',
  source: commonPractice,
  check: (facts) =>
    facts.slots.flatMap(({ slot, box, placed }) => {
      if (!placed || slot.leftOut || slot.role !== 'anchor' || box.yMm <= 1 || slot.quantity > 1) return [];
      const against = below(facts, box);
      if (!against) return [];
      const { widthMm, span, isWall } = against;
      const share = box.widthMm / widthMm;
      const isNarrow = share < span.least - 0.005;
      if (!isNarrow && share <= span.most + 0.005) return [];
      return [
        {
          code: isNarrow ? 'sketch.artNarrow' : 'sketch.artWide',
          severity: 'note',
          where: placeInSketch(facts, slot.id),
          figures: {
            slot: slot.name,
            against: isWall ? 'the wall' : 'what lies below',
            leastMm: widthMm * span.advised,
            mostMm: widthMm * span.most,
          },
        },
      ];
    }),
};
