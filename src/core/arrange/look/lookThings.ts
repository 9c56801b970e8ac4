import { sketchRoom } from '../../catalog/spotKind';
import { spotKindOf } from '../../catalog/spotKinds';
import type { LookPieceRow, LookRow, PieceRow, SlotRow, SpotRow, Stance } from '../../model/rows';
import type { Plan } from '../../plan/computePlan';
import type { OptionModel } from '../../plan/model/optionModel';
import type { FurnitureTemplate, Measures } from '../../surface/furnitureTemplate';
import { furnitureTemplates } from '../../surface/templates';
import { type Size, sizeOf } from '../../surface/views';
import { proposedSize } from '../sketchBoxes';
import { boardsOfThing } from './boardsOfThing';
import { type Described, describedAs, describedBy, describedHere } from './described';
import { lookRoom } from './lookRoom';
import { boxAt, type LookThing } from './lookThing';
import { thingKindsOf } from './thingKinds';

/** Which way fills the nth of a slot's quantity, as it is chosen; null where none does. */
function chosenFor(plan: Plan, slotId: string, nth: number): OptionModel | null {
  let before = 0;
  for (const { model, count } of plan.chosen) {
    if (model.slot.id !== slotId) continue;
    if (nth < before + count) return model;
    before += count;
  }
  return null;
}

/** Whether a mirror is round, by what was said of it or by its name. */
const isRound = (name: string, piece: PieceRow | null): boolean =>
  piece?.outline === 'round' || (piece?.outline !== 'square' && /\b(?:round|oval|sunburst)\b/i.test(name));

/** A frame that holds a mirror is drawn as one. */
function mirrorInFrame(measures: Measures): Pick<Described, 'template' | 'measures'> {
  const { openWidthMm = 0, openHeightMm = 0, mouldingMm = 0, depthMm = 0 } = measures;
  return {
    template: furnitureTemplates.get('mirror'),
    measures: {
      widthMm: openWidthMm + 2 * mouldingMm,
      heightMm: openHeightMm + 2 * mouldingMm,
      mouldingMm,
      edgeMm: depthMm,
    },
  };
}

/** A size as the thing stands: its side to the front where it is turned, on its back where it lies. */
function standing(size: Size, { turned, stance }: LookPieceRow, isFlat: boolean): Size {
  const { widthMm, heightMm, depthMm } = size;
  const turnedSize = turned ? { widthMm: depthMm, heightMm, depthMm: widthMm } : size;
  return stance === 'lies' && isFlat
    ? { widthMm: turnedSize.widthMm, heightMm: depthMm, depthMm: heightMm }
    : turnedSize;
}

/** The size of a thing by its kind; as wide as it was measured where its kind has no measure for that. */
function ownSize(template: FurnitureTemplate, { measures, piece }: Pick<Described, 'measures' | 'piece'>): Size {
  const size = sizeOf(template, measures);
  const widthMm = template.overall.width === null ? (piece?.widthMm ?? null) : null;
  return widthMm === null ? size : { ...size, widthMm };
}

/** What hangs or leans is so thin while nobody knows it, mm. */
const THIN_MM = 30;

/** A slot's size where nothing fills it: its box in the sketch, else its wish, else a modest share of the spot. */
function slotSize(spot: SpotRow, slot: SlotRow | null, stance: Stance): Size {
  const kind = spotKindOf(spot.kind);
  const room = sketchRoom(kind, spot);
  const deep = lookRoom(spot).depthMm;
  if (!slot) return { widthMm: 200, heightMm: 200, depthMm: Math.min(200, deep) };
  const proposed = slot.box ?? proposedSize(slot, room, kind.view);
  const middle = ({ minimumMm, maximumMm }: SlotRow['depth']) =>
    minimumMm !== null && maximumMm !== null ? (minimumMm + maximumMm) / 2 : (maximumMm ?? minimumMm);
  return kind.view === 'plan'
    ? { widthMm: proposed.widthMm, heightMm: middle(slot.height) ?? 150, depthMm: proposed.heightMm }
    : {
        widthMm: proposed.widthMm,
        heightMm: proposed.heightMm,
        depthMm:
          middle(slot.depth) ??
          (stance === 'hangs' || stance === 'leans'
            ? THIN_MM
            : Math.min(deep, Math.max(THIN_MM, proposed.widthMm * 0.6))),
      };
}

/**
 * A piece of a look with all that the plan knows of it: what fills its slot now, in the color that it will have; the
 * slot's wished size while nothing does.
 */
export function lookThing(plan: Plan, spot: SpotRow, placement: LookPieceRow): LookThing {
  const { rows } = plan;
  const slot = rows.slots.find(({ id }) => id === placement.slotId) ?? null;
  const model =
    slot === null
      ? null
      : ((placement.optionId === null ? null : plan.model.option(placement.optionId)) ??
        chosenFor(plan, slot.id, placement.nth));
  const housePiece = rows.pieces.find(({ id }) => id === placement.pieceId) ?? null;
  const card = rows.colorCards.find(({ id }) => id === slot?.colorCardIds[0])?.lab ?? null;
  const of =
    (model && describedBy(plan, model, placement.nth)) ??
    (housePiece ? describedAs(housePiece) : describedHere(placement, slot, card));
  // What is only called so has the size that its slot wants, not that of its kind.
  const hasSize = of.template !== null && (of.isFound || placement.drawn !== null);
  const own = of.template && hasSize ? ownSize(of.template, of) : slotSize(spot, slot, placement.stance);
  const size = placement.size ?? standing(own, placement, of.template?.plan === 'flat');
  const name = placement.name || of.name;
  // A name given in the look does not make another thing of a piece that is known.
  const ownName = model || housePiece ? of.name : name;
  const kinds = thingKindsOf(`${ownName} ${slot?.name ?? ''}`, of.template?.id ?? null);
  const asMirror = kinds.has('mirror') && of.template?.id === 'pictureFrame';
  const thing = {
    id: placement.id,
    placement,
    slot,
    model,
    role: slot?.role ?? null,
    ...of,
    ...(asMirror ? mirrorInFrame(of.measures) : {}),
    ...(kinds.has('mirror') && isRound(name, of.piece)
      ? { measures: { ...(asMirror ? mirrorInFrame(of.measures) : of).measures, round: 1 } }
      : {}),
    name,
    ownName,
    weightG: placement.weightG ?? of.weightG,
    size,
    kinds,
    box: boxAt(placement, size),
  };
  return { ...thing, boards: boardsOfThing(thing) };
}

/**
 * The pieces of a look, those behind first.
 * @param pieces its rows; those that are stored where nothing is said
 */
export function lookThings(
  plan: Plan,
  look: LookRow,
  pieces: readonly LookPieceRow[] = plan.rows.lookPieces,
): LookThing[] {
  const spot = plan.rows.spots.find(({ id }) => id === look.spotId);
  if (!spot) return [];
  return behindFirst(pieces.filter(({ lookId }) => lookId === look.id)).map((placement) =>
    lookThing(plan, spot, placement),
  );
}

/** Pieces by their layers, those behind first; what stands on or in something is never behind it. */
export function behindFirst(pieces: readonly LookPieceRow[]): LookPieceRow[] {
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  const known = new Map<string, number>();
  const layerOf = (piece: LookPieceRow, depth = 0): number => {
    const before = known.get(piece.id);
    if (before !== undefined) return before;
    const below = depth > pieces.length ? undefined : byId.get(piece.onId ?? '');
    const layer = below ? Math.max(piece.layer, layerOf(below, depth + 1) + JUST_BEFORE) : piece.layer;
    known.set(piece.id, layer);
    return layer;
  };
  return [...pieces].sort((a, b) => layerOf(a) - layerOf(b) || a.layer - b.layer || (a.id < b.id ? -1 : 1));
}
/** Less than from one layer to the next, however many stand on each other. */
const JUST_BEFORE = 1e-4;
