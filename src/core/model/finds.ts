import { linesInForce, standingSettlements } from '../pricing/ledger';
import { completeMeasures, type Measures } from '../surface/furnitureTemplate';
import { furnitureTemplates } from '../surface/templates';
import type { RowOf } from './entities';
import type { Row } from './entity';
import type { StoredRows } from './rows';

type PieceRow = RowOf<'pieces'>;
type SightingRow = RowOf<'sightings'>;

export const findStates = ['seen', 'bought', 'promised', 'owned', 'passed', 'returned', 'sold'] as const;
export type FindState = (typeof findStates)[number];

/** What a find takes from its piece: one truth, whichever screen changes it. */
export const pieceFields = [
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
  'measures',
  'repairMinutes',
  'count',
  'counted',
  'freshDays',
  'inspected',
  'sorted',
  'inHouse',
  'borrowedFrom',
  'backBy',
] as const satisfies readonly (keyof PieceRow)[];
type PieceField = (typeof pieceFields)[number];

/** A find: a piece as a project sees it, with what the ledger says of it. Its id and version are the sighting's. */
export type FindRow = Row & Omit<SightingRow, 'state'> & Pick<PieceRow, PieceField> & { state: FindState };

/** The most of a piece that there may be: so many where they were counted, else nobody knows an end. */
export const mostOf = ({ count, counted }: Pick<PieceRow, 'count' | 'counted'>): number =>
  counted ? count : Number.POSITIVE_INFINITY;

/** The measures of a template with a piece's overall size in them, as far as it is known; mm. */
export function measuresOf(
  piece: Pick<PieceRow, 'templateId' | 'inHouse' | 'widthMm' | 'depthMm' | 'heightMm'>,
  known: Measures,
): Measures {
  const template = furnitureTemplates.find(piece.templateId);
  const isMeasured = piece.widthMm !== null || piece.depthMm !== null || piece.heightMm !== null;
  if (!template || !(piece.inHouse || isMeasured)) return known;
  const measures = completeMeasures(template, known);
  const { width, depth, height } = template.overall;
  if (piece.widthMm !== null && width !== null) measures[width] = piece.widthMm;
  if (piece.depthMm !== null && depth !== null) measures[depth] = piece.depthMm;
  if (piece.heightMm !== null) measures[height] = piece.heightMm;
  return measures;
}

/** The find that a sighting and its piece make. */
export function findOf(sighting: SightingRow, piece: PieceRow, state: FindState): FindRow {
  const own = Object.fromEntries(pieceFields.map((field) => [field, piece[field]])) as Pick<PieceRow, PieceField>;
  // Not spread one after the other: the engine of the server would make a shape of its own for every find.
  return Object.assign({}, sighting, own, { measures: measuresOf(piece, piece.measures), state });
}

/** What the books say of pieces: sold, bought, ordered, or taken back after they were bought. */
function statesByLedger(ledger: StoredRows['ledger']): ReadonlyMap<string, FindState> {
  const states = new Map<string, FindState>();
  for (const { kind, subject } of linesInForce(ledger))
    if (subject.kind === 'piece' && kind === 'payment') states.set(subject.id, 'returned');
  for (const { kind, subject } of standingSettlements(ledger))
    if (subject.kind === 'piece' && states.get(subject.id) !== 'bought')
      states.set(subject.id, kind === 'payment' ? 'bought' : 'promised');
  for (const { kind, subject } of linesInForce(ledger))
    if (subject.kind === 'piece' && kind === 'saleIncome') states.set(subject.id, 'sold');
  return states;
}

const known = new WeakMap<SightingRow, { piece: PieceRow; state: FindState; find: FindRow }>();

/**
 * Stored rows with their finds. The same sighting, piece and state give the same object again, so that what was
 * computed from it holds. A sighting whose piece is not among the rows makes no find.
 */
export function withFinds<R extends StoredRows>(rows: R): R & { finds: FindRow[] } {
  const pieces = new Map(rows.pieces.map((piece) => [piece.id, piece]));
  const settled = statesByLedger(rows.ledger);
  const finds = rows.sightings.flatMap((sighting): FindRow[] => {
    const piece = pieces.get(sighting.pieceId);
    if (!piece) return [];
    const booked = settled.get(piece.id);
    const state = sighting.state === 'owned' && booked !== 'sold' ? 'owned' : (booked ?? sighting.state);
    const before = known.get(sighting);
    if (before?.piece === piece && before.state === state) return [before.find];
    const find = findOf(sighting, piece, state);
    known.set(sighting, { piece, state, find });
    return [find];
  });
  const before = (rows as { finds?: FindRow[] }).finds;
  const same = before?.length === finds.length && finds.every((find, n) => find === before[n]);
  return { ...rows, finds: same ? before : finds };
}
