import { sameValue } from '../kernel/sameValue';
import { plainStory } from '../pricing/priceStory';
import { completeMeasures, type Measures } from '../surface/furnitureTemplate';
import { furnitureTemplates } from '../surface/templates';
import type { PieceRow } from './houseRows';
import type { FindRow, ProjectRows } from './rows';

/** What a find that is a piece of the stash takes from the piece: one truth, whichever screen changes it. */
export const sharedFields = [
  'name',
  'templateId',
  'kind',
  'materialId',
  'finishId',
  'sheen',
  'color',
  'era',
  'leadTest',
  'cordCondition',
] as const;

/** The measures of a template with a piece's overall size in them, as far as it is known; mm. */
export function measuresOf(piece: PieceRow, known: Measures): Measures {
  const template = furnitureTemplates.find(piece.templateId);
  if (!template) return known;
  const measures = completeMeasures(template, known);
  const { width, depth, height } = template.overall;
  if (piece.widthMm !== null) measures[width] = piece.widthMm;
  if (piece.depthMm !== null && depth !== null) measures[depth] = piece.depthMm;
  if (piece.heightMm !== null) measures[height] = piece.heightMm;
  return measures;
}

/** A piece of the stash as a find of a project: ours already, free, as many as there are. */
export function findFromPiece(id: string, piece: PieceRow): FindRow {
  return overlaid(
    {
      id,
      version: 1,
      name: piece.name,
      source: '',
      state: 'owned',
      kind: piece.kind,
      templateId: piece.templateId,
      measures: {},
      materialId: piece.materialId,
      finishId: piece.finishId,
      sheen: piece.sheen,
      color: piece.color,
      era: piece.era,
      leadTest: piece.leadTest,
      cordCondition: piece.cordCondition,
      story: plainStory({ state: 'free' }),
      repairMinutes: 0,
      note: '',
      reason: '',
      pieceId: piece.id,
    },
    piece,
  );
}

function overlaid(find: FindRow, piece: PieceRow): FindRow {
  const shared = Object.fromEntries(sharedFields.map((field) => [field, piece[field]]));
  return {
    ...find,
    ...shared,
    measures: measuresOf(piece, find.measures),
    story: find.state === 'owned' ? { ...find.story, pieces: piece.count, usable: piece.count } : find.story,
  };
}

const known = new WeakMap<FindRow, { piece: PieceRow; find: FindRow }>();

/**
 * Rows whose finds that are pieces of the stash say what the piece says. The same find and piece give the same object
 * again, so that what was computed from it holds.
 */
export function withPieces(rows: ProjectRows): ProjectRows {
  if (rows.pieces.length === 0) return rows;
  const pieces = new Map(rows.pieces.map((piece) => [piece.id, piece]));
  let changed = false;
  const finds = rows.finds.map((find) => {
    const piece = find.pieceId === null ? undefined : pieces.get(find.pieceId);
    if (!piece) return find;
    const before = known.get(find);
    if (before?.piece === piece) {
      changed ||= before.find !== find;
      return before.find;
    }
    const after = overlaid(find, piece);
    const same = sameValue(after, find) ? find : after;
    known.set(find, { piece, find: same });
    // What was made from a piece is not laid over once more.
    known.set(same, { piece, find: same });
    changed ||= same !== find;
    return same;
  });
  return changed ? { ...rows, finds } : rows;
}
