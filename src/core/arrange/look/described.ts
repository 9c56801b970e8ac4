import type { Lab } from '../../color/lab';
import { sameValue } from '../../kernel/sameValue';
import { measuresOf } from '../../model/finds';
import type { LookPieceRow, PieceRow, SlotRow } from '../../model/rows';
import type { CutOut } from '../../model/values/photoPoint';
import type { Plan } from '../../plan/computePlan';
import { finishedColor, presentColor } from '../../plan/finishedColor';
import type { OptionModel } from '../../plan/model/optionModel';
import { nameOfOption } from '../../plan/nameOfOption';
import { pieceKindOf } from '../../sourcing/pieceKindOf';
import { completeMeasures, type FurnitureTemplate, type Measures } from '../../surface/furnitureTemplate';
import { likenessInstead } from '../../surface/likenesses';
import type { ZoneFace } from '../../surface/prints/printedShapes';
import { furnitureTemplates } from '../../surface/templates';
import { usualSize } from '../../surface/usualSize';
import { zoneFacesOf } from './zoneFaces';

/** What a thing is made of, as far as drawing asks. */
export interface Described {
  name: string;
  template: FurnitureTemplate | null;
  measures: Measures;
  isMeasured: boolean;
  isFound: boolean;
  isDone: boolean;
  color: Lab | null;
  colorOf(zoneId: string | null): Lab | null;
  presentColorOf(zoneId: string | null): Lab | null;
  /** What lies on a zone beside its color once it is done; null where nothing does. */
  faceOf(zoneId: string): ZoneFace | null;
  photoId: string | null;
  cutOut: CutOut | null;
  /** What color the whole piece will have where its picture shows another; null where the picture is right. */
  recoloredTo: Lab | 'severalColors' | null;
  weightG: number | null;
  piece: PieceRow | null;
}

/** What is no round thing and has no known depth is taken to be so deep for its width (common practice, no source). */
const LIKELY_DEPTH = 0.6;
const SMALL_CLOTH_MM = 600;

/** What is set up against the wall is so thin, mm. */
const THIN_MM = 20;

/** What is not measured of a thing, as large as it is by what it is called, where its name says more than its kind. */
function usualByName(template: FurnitureTemplate, known: Measures, name: string): Measures {
  const { width, height, depth } = template.overall;
  const of = (id: string | null) => (id === null ? undefined : known[id]);
  const [wide, high, deep] = [of(width), of(height), of(depth)];
  const drawn = likenessInstead(template.id, name)?.usual;
  const usual =
    drawn && wide === undefined && high === undefined
      ? { ...drawn, depthMm: deep }
      : usualSize(name, {
          ...(wide !== undefined && { widthMm: wide }),
          ...(high !== undefined && { heightMm: high }),
          ...(deep !== undefined && { depthMm: deep }),
        });
  if (!usual) return known;
  return {
    ...known,
    [height]: usual.heightMm,
    ...(width !== null && { [width]: usual.widthMm }),
    ...(depth !== null && usual.depthMm !== undefined && { [depth]: usual.depthMm }),
  };
}

/**
 * Measures of a thing with what is likely where nobody said: something of no special kind is as deep as it is wide where
 * it is round, else a little less; what leans is thin.
 */
function likelyMeasures(template: FurnitureTemplate, given: Measures, name: string): Measures {
  const known = usualByName(template, given, name);
  const measures = completeMeasures(template, known);
  const { depth, width } = template.overall;
  const wide = width === null ? undefined : known[width];
  if (depth === null || known[depth] !== undefined || wide === undefined) return measures;
  const likeness = likenessInstead(template.id, name);
  if (likeness?.leans) return { ...measures, [depth]: THIN_MM };
  // A small cloth is a square: a napkin, a coaster.
  if (template.id === 'flatCloth' && wide < SMALL_CLOTH_MM) return { ...measures, [depth]: wide };
  if (template.id !== 'freeBox') return measures;
  if (likeness?.depthShare !== undefined) return { ...measures, [depth]: wide * likeness.depthShare };
  const isRound = likeness !== null && likeness.plan !== 'square';
  return { ...measures, [depth]: isRound ? wide : wide * LIKELY_DEPTH };
}

/** The edge of a piece in the picture that is shown of it; null while there is none, or where the picture is another one. */
const cutOutOf = (piece: PieceRow | null, photoId: string | null): CutOut | null =>
  photoId !== null && piece?.cutOut?.photoId === photoId ? piece.cutOut : null;

const noFace = () => null;

/** A thing that a way makes, buys or takes: the first of its parts, in the colors that its recipe gives. */
export function describedBy(plan: Plan, model: OptionModel, nth: number): Described | null {
  const { finds, offers, recipe } = model;
  const [find] = finds;
  const made = recipe?.built[0]?.piece;
  const offer = offers[0]?.offer;
  const of = find ?? offer ?? made;
  if (!of) return null;
  const template = furnitureTemplates.find(of.templateId) ?? null;
  const present = presentColor(model);
  const finished = finishedColor(model);
  const piece = plan.rows.pieces.find(({ id }) => id === find?.pieceId) ?? null;
  const workpiece = find?.id ?? made?.id;
  const photoId = find?.photoId ?? piece?.photoId ?? null;
  const last = (zoneId: string | null, at: 'present' | 'left'): Lab | null => {
    const zone = recipe?.zones.find((entry) => entry.workpieceId === workpiece && entry.zone.id === zoneId);
    if (!recipe || !zone) return null;
    return (at === 'left' ? recipe.stacks.get(zone.key)?.at(-1)?.leaves.color : null) ?? zone.present.color;
  };
  const faces = recipe && workpiece ? zoneFacesOf(plan.rows, recipe, workpiece, nth) : new Map<string, ZoneFace>();
  const zones = (recipe?.zones ?? []).filter(({ workpieceId }) => workpieceId === workpiece);
  const name = nameOfOption({ finds: find ? [find] : [], offers: find ? [] : offers, recipe });
  return {
    name,
    template,
    measures: template ? completeMeasures(template, usualByName(template, of.measures, name)) : {},
    isMeasured: Object.keys(of.measures).length > 0,
    isFound: true,
    isDone: recipe === null || model.isDone,
    color: finished,
    colorOf: (zoneId) => last(zoneId, 'left') ?? (recipe ? present : finished) ?? finished,
    presentColorOf: (zoneId) => last(zoneId, 'present') ?? present,
    faceOf: (zoneId) => faces.get(zoneId) ?? null,
    photoId,
    cutOut: cutOutOf(piece, photoId),
    recoloredTo:
      recipe === null || model.isDone
        ? null
        : recoloring(
            zones.map(({ zone, present: now }) => [now.color, last(zone.id, 'left')]),
            faces.size > 0,
          ),
    weightG: piece?.weightG ?? null,
    piece,
  };
}

/**
 * What color a picture of a piece must take to show it done: the one that all of it will have. A picture cannot tell its
 * zones apart, so that several colors, a paper or letters are drawn instead.
 * @param zones the color of each now and afterwards
 */
function recoloring(
  zones: readonly (readonly [now: Lab | null, later: Lab | null])[],
  hasFaces: boolean,
): Lab | 'severalColors' | null {
  if (hasFaces) return 'severalColors';
  const later = zones.flatMap(([, color]) => color ?? []);
  const [first] = later;
  if (!first || zones.every(([now, color]) => sameValue(now, color))) return null;
  return later.length === zones.length && later.every((color) => sameValue(color, first)) ? first : 'severalColors';
}

/** What somebody measured of a piece; what its kind usually has is not among it. */
function knownOf(piece: PieceRow): Measures {
  const all = measuresOf(piece, piece.measures);
  const depth = furnitureTemplates.find(piece.templateId)?.overall.depth ?? null;
  if (depth === null || piece.depthMm !== null || piece.measures[depth] !== undefined) return all;
  return Object.fromEntries(Object.entries(all).filter(([id]) => id !== depth));
}

/** A piece of the house as it is. */
export function describedAs(piece: PieceRow): Described {
  const template = furnitureTemplates.find(piece.templateId) ?? null;
  const only = () => piece.color;
  return {
    name: piece.name,
    template,
    measures: template ? likelyMeasures(template, knownOf(piece), piece.name) : {},
    isMeasured: piece.widthMm !== null || piece.heightMm !== null,
    isFound: true,
    isDone: true,
    color: piece.color,
    colorOf: only,
    presentColorOf: only,
    faceOf: noFace,
    photoId: piece.photoId,
    cutOut: cutOutOf(piece, piece.photoId),
    recoloredTo: null,
    weightG: piece.weightG,
    piece,
  };
}

/** A thing that is only described in the look, or not even that. */
export function describedHere(placement: LookPieceRow, slot: SlotRow | null, color: Lab | null): Described {
  // A slot that nothing fills yet is drawn as what it is called: a lamp, a bowl, a hamper.
  const called = placement.drawn?.templateId ?? pieceKindOf(placement.name || (slot?.name ?? ''))?.templateId ?? null;
  const template = called === null ? null : (furnitureTemplates.find(called) ?? null);
  const own = placement.drawn?.color ?? color;
  return {
    name: placement.name || slot?.name || template?.name || 'Something',
    template,
    measures: template ? likelyMeasures(template, placement.drawn?.measures ?? {}, placement.name) : {},
    isMeasured: placement.drawn !== null && Object.keys(placement.drawn.measures).length > 0,
    isFound: slot === null && placement.drawn !== null,
    isDone: true,
    color: own,
    colorOf: () => own,
    presentColorOf: () => own,
    faceOf: noFace,
    photoId: null,
    cutOut: null,
    recoloredTo: null,
    weightG: null,
    piece: null,
  };
}
