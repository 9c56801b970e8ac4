import { type ThingKind, thingKindsOf } from '../arrange/look/thingKinds';
import type { Hazard } from '../catalog/coating';
import { coatings } from '../catalog/coatings';
import type { PieceRow } from '../model/rows';
import { overallSize } from '../plan/fitFindings';

/** How easily a thing is crushed: what carries others, what bends, what breaks. */
export const crushRisks = ['carries', 'soft', 'bends', 'breaks'] as const;
export type CrushRisk = (typeof crushRisks)[number];

export const crushWords: Readonly<Record<CrushRisk, string>> = {
  carries: 'carries others',
  soft: 'soft: fills the gaps',
  bends: 'is crushed: nothing on it',
  breaks: 'breaks: on top, wrapped',
};

/** By what a thing is made of; everything else carries others. Common practice, no source. */
const riskOfMaterial: Readonly<Record<string, CrushRisk>> = {
  glass: 'breaks',
  glazedCeramic: 'breaks',
  terracotta: 'breaks',
  candleWax: 'bends',
  paper: 'bends',
  inkjetPrint: 'bends',
  realLeaf: 'bends',
  fauxLeaf: 'bends',
  polystyreneFoam: 'bends',
  wicker: 'bends',
  fabric: 'soft',
  leather: 'soft',
};

/** How easily a piece is crushed; one that is noted as fragile breaks, whatever it is made of. */
export const crushRiskOf = ({ materialId, fragile }: Pick<PieceRow, 'materialId' | 'fragile'>): CrushRisk =>
  fragile ? 'breaks' : (riskOfMaterial[materialId] ?? 'carries');

/** Its overall size, as it was measured, else as its kind is; mm, 0 where nothing is known. */
function sizeOf({ templateId, measures, widthMm, depthMm, heightMm }: PieceRow): [number, number, number] {
  const usual = overallSize(templateId, measures);
  return [widthMm ?? usual.width ?? 0, depthMm ?? usual.depth ?? 0, heightMm ?? usual.height ?? 0];
}

/** What is longer than this goes into no box of a house, mm; common practice, no source. */
const LONGEST_IN_A_BOX = 750;

/** Whether a piece stands by itself, since no box takes it. */
export const isTooLarge = (piece: PieceRow): boolean => Math.max(...sizeOf(piece)) > LONGEST_IN_A_BOX;

/** How heavy a thing is taken to be for packing: its weight in g, else by its size; 0 where nothing is known. */
function heaviness(piece: PieceRow): number {
  if (piece.weightG !== null) return piece.weightG;
  const [width, depth, height] = sizeOf(piece);
  // A thing of a house weighs some hundred grams a liter, air in it counted: for the order only.
  return ((width * Math.max(depth, 10) * height) / 1e6) * 150;
}

/**
 * The order in which things go into a box: what carries others first, the heaviest of it at the bottom; soft things
 * around; what is crushed then; what breaks on top. Of the same, by name.
 */
export function packingOrder<P extends PieceRow>(pieces: readonly P[]): P[] {
  const at = (piece: P) => crushRisks.indexOf(crushRiskOf(piece));
  return [...pieces].sort(
    (a, b) => at(a) - at(b) || heaviness(b) - heaviness(a) || a.name.localeCompare(b.name) || (a.id < b.id ? -1 : 1),
  );
}

/** Whether it shines without a flame, as its name says. */
const isFlameless = ({ name }: Pick<PieceRow, 'name'>): boolean => thingKindsOf(name, null).has('flameless');

/** What batteries may be in. */
const withCells = ['flameless', 'stringLights', 'clock'] as const satisfies readonly ThingKind[];

/** What a thing must not be stored by, and how it is put away. Common practice, no source. */
const notes: readonly { holds(piece: PieceRow): boolean; text: string }[] = [
  {
    holds: (piece) => piece.materialId === 'candleWax' || (piece.kind === 'candle' && !isFlameless(piece)),
    text: 'no attic in summer, no car: wax bends in heat; apart from cloth and paper',
  },
  {
    holds: ({ kind, templateId }) => kind === 'lamp' || templateId === 'lampBase',
    text: 'bulb out and wrapped by itself, cord loosely coiled',
  },
  {
    holds: ({ name }) => thingKindsOf(name, null).has('stringLights'),
    text: 'wound loosely around a card',
  },
  {
    holds: ({ name }) => withCells.some((kind) => thingKindsOf(name, null).has(kind)),
    text: 'batteries out, where it has any: they leak; button cells where no child reaches',
  },
  { holds: ({ materialId }) => materialId === 'fabric', text: 'washed and quite dry, in a closed bag against moths' },
  { holds: ({ materialId }) => materialId === 'paper' || materialId === 'inkjetPrint', text: 'flat, dry and dark' },
  { holds: ({ materialId }) => materialId === 'fauxLeaf', text: 'stems laid straight, apart from heat' },
  {
    holds: ({ materialId }) => materialId === 'realLeaf',
    text: 'dried only, airy, away from flames; what is fresh is composted',
  },
  { holds: ({ materialId }) => materialId === 'wicker', text: 'dry, or it molds' },
  { holds: ({ materialId }) => materialId === 'ferrousMetal', text: 'dry, or it rusts' },
  { holds: ({ materialId }) => materialId === 'terracotta', text: 'emptied, dry and out of the frost, or it splits' },
];

/** What is to be minded when a piece is put away. */
export const storageNotes = (piece: PieceRow): string[] =>
  notes.filter(({ holds }) => holds(piece)).map(({ text }) => text);

const notesOfHazards: Readonly<Partial<Record<Hazard, string>>> = {
  waterborne: 'keep from frost',
  aerosol: 'never above 50 °C / 122 °F, never in a car',
  spirit: 'cool, away from flames',
  oil: 'cool, away from flames',
  wax: 'cool, away from flames',
};

/**
 * Where the rest of a coating must not stand: what holds water is spoilt by frost (labels of waterborne paints), what is
 * under pressure bursts in heat (class words of pressurized containers, GHS H229). Empty for what stands anywhere.
 */
export function storageNoteOfSupply(kindId: string): string {
  const hazard = coatings.find(kindId)?.hazard;
  return (hazard && notesOfHazards[hazard]) ?? '';
}
