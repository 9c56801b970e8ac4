import { localDate } from '../calendar/zonedTime';
import type { PieceRow, ProjectRows } from '../model/rows';
import type { Plan, PlannedFill } from '../plan/computePlan';
import { nameOfOption } from '../plan/nameOfOption';
import { usableMsOf } from '../plan/usableSince';
import { standingSettlements } from '../pricing/ledger';
import { newPiece } from '../sourcing/newPiece';
import { originOf } from '../sourcing/origins';
import { packingOrder, storageNotes } from './packing';

/** A thing of the project that can be put away, or stays where it stands. */
export interface ThingToStore {
  /** The piece; a new one for what was bought new or made, which the house does not know yet. */
  piece: PieceRow;
  isNew: boolean;
  /** The option that a new piece comes of; null for what is a piece already. */
  optionId: string | null;
  /** What it serves here, and where it stands; empty for what serves nowhere. */
  slotName: string;
  spotName: string;
  /** What is to be minded. */
  notes: string[];
  /** Local date before which it is not wrapped, since its finish still cures; null where nothing does. */
  curesUntil: string | null;
  /** Whether it is still to be worked on, beyond setting it in its place. */
  isUnfinished: boolean;
}

/**
 * All that can be put away, in the order in which it is packed: what fills the slots and is ours, what was bought and
 * serves nowhere, what was bought new and what was made, which become pieces of the house. What is borrowed goes back, and
 * what was put away already is not told again.
 * @param newId the id of the new piece that an option becomes, asked once for each
 */
export function thingsToStore(plan: Plan, newId: (optionId: string) => string): ThingToStore[] {
  const { rows, asOfMs } = plan;
  const { timeZone, units, currency } = rows.project;
  const today = localDate(asOfMs, timeZone);
  const pieces = new Map(rows.pieces.map((piece) => [piece.id, piece]));
  const stored = new Set(rows.looseEnds.flatMap(({ about }) => (about.kind === 'stored' ? [about.id] : [])));
  const things = new Map<string, ThingToStore>();
  const spotName = (spotId: string) => rows.spots.find(({ id }) => id === spotId)?.name ?? '';
  const add = (piece: PieceRow, fill: PlannedFill | null, optionId: string | null) => {
    const usableMs = fill === null ? null : usableMsOf(plan.model, fill, asOfMs);
    const usableOn = usableMs === null ? null : localDate(usableMs, timeZone);
    things.set(piece.id, {
      piece,
      isNew: optionId !== null,
      optionId,
      slotName: fill?.model.slot.name ?? '',
      spotName: fill === null ? '' : spotName(fill.model.slot.spotId),
      notes: storageNotes(piece),
      curesUntil: usableOn !== null && usableOn > today ? usableOn : null,
      isUnfinished: fill !== null && fill.model.recipe !== null && fill.model.hands.work.likely > 0,
    });
  };
  for (const fill of plan.chosen) {
    const { model, count } = fill;
    if (originOf(plan, fill) === 'lent') continue;
    for (const { pieceId, state } of model.finds) {
      const piece = pieces.get(pieceId);
      if (piece && isOurs(piece, state) && !isAway(piece)) add(piece, fill, null);
    }
    if (model.finds.length > 0 || stored.has(model.option.id) || !isHere(rows, fill)) continue;
    const name = nameOfOption(model);
    // What it is of is read from its name, as for anything that is noted by a line.
    const named = newPiece(newId(model.option.id), name, { units, currency, today });
    const own = { name, count: Math.max(1, count), standsAt: '', box: '', shelf: '', sorted: true };
    add({ ...named, version: 1, ...shapeOf(fill), ...own }, fill, model.option.id);
  }
  for (const find of rows.finds) {
    const piece = pieces.get(find.pieceId);
    if (find.state === 'bought' && !find.archived && piece && !things.has(piece.id) && !isAway(piece))
      add(piece, null, null);
  }
  const order = packingOrder([...things.values()].map(({ piece }) => piece));
  return order.flatMap(({ id }) => things.get(id) ?? []);
}

/** Whether a piece belongs to the studio. */
const isOurs = ({ borrowedFrom }: PieceRow, state: string): boolean =>
  borrowedFrom === '' && (state === 'bought' || state === 'owned');

/** Whether a piece was put away, or noted where it stands. */
const isAway = ({ inHouse, box, shelf, standsAt }: PieceRow): boolean =>
  inHouse && (box !== '' || shelf !== '' || standsAt !== '');

/** Whether what was bought new is paid, or what is made is done. */
function isHere({ ledger, stepRuns }: ProjectRows, { model }: PlannedFill): boolean {
  const paid = new Set(
    standingSettlements(ledger).flatMap(({ kind, subject }) => (kind === 'payment' ? subject.id : [])),
  );
  if (model.offers.length > 0) return model.offers.every(({ offer }) => paid.has(offer.id) && offer.rented === null);
  return model.isDone || stepRuns.some(({ optionId, state }) => optionId === model.option.id && state === 'done');
}

/** Kind, size and color of what was bought new or made. */
function shapeOf({ model }: PlannedFill): Partial<PieceRow> {
  const [first] = model.offers;
  if (first) {
    const { templateId, measures, color } = first.offer;
    return templateId === 'freeBox' ? { color } : { templateId, measures, color };
  }
  const [made] = model.recipe?.built ?? [];
  return made ? { templateId: made.piece.templateId, measures: made.piece.measures } : {};
}
