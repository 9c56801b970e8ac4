import { mayHoldLead } from '../catalog/substrates';
import type { RecipePiece } from './recipeBody';
import type { PieceFacts } from './recipeContext';
import type { PlannedLayer, StackEntry } from './stack';
import { readSurfaceTests } from './surfaceTests';
import type { ZonePlan } from './zonePlans';

/** Why a zone is tried out before the whole piece is risked. */
export type TrialReason = 'ownTest' | 'notKnown' | 'risky' | 'solventOnUnknown' | 'textureOnGlaze' | 'plasticLeaves';

/** How a reason reads after "because". */
export const trialWords: Readonly<Record<TrialReason, string>> = {
  ownTest: 'what it is, a test of yours told',
  notKnown: 'nobody knows how the two get on',
  risky: 'it is known to fail now and then',
  solventOnUnknown: 'a solvent may lift or craze what lies there',
  textureOnGlaze: 'a texture spray may let go of a glaze',
  plasticLeaves: 'plastic leaves shed paint where they bend',
};

/** Joints that hold for some and fail for others. */
const uncertainRules = new Set(['lead.noSand', 'waxOld.chalk', 'dewaxed.shellac', 'substrate.thickOldPaint']);
const glazed = new Set(['glazedCeramic', 'glass']);
/** Plastics that a hot solvent may craze. */
const solventShy = new Set(['hardPlastic', 'fauxLeaf', 'resin']);

/** Whether a home test of the stylist's own decided what the surface is, or that it may be scuffed. */
function isReleasedByTest(zone: ZonePlan, piece: RecipePiece | undefined, facts: PieceFacts | undefined): boolean {
  const oldFinish = zone.substrate.layer === 'oldFinish' ? zone.substrate.id : null;
  if (facts && facts.leadTest === 'negative' && facts.era !== 'recent' && mayHoldLead(oldFinish)) return true;
  return readSurfaceTests(piece?.tests ?? {}).some((reading) =>
    reading.finishId !== undefined ? reading.finishId === oldFinish : reading.materialId === zone.material.id,
  );
}

/**
 * Why a zone wants a trial before the whole is risked, or null when nothing speaks for one. The reason that the
 * stylist answers for, a home test of their own, comes first (common practice, no source).
 */
export function trialReason(
  zone: ZonePlan,
  entries: readonly StackEntry[],
  layers: ReadonlyMap<string, PlannedLayer>,
  of: { piece: RecipePiece | undefined; facts: PieceFacts | undefined },
): TrialReason | null {
  if (isReleasedByTest(zone, of.piece, of.facts)) return 'ownTest';
  if (entries.some(({ joint }) => joint.verdict === 'notKnown')) return 'notKnown';
  if (zone.substrate.risk >= 3 || entries.some(({ joint }) => uncertainRules.has(joint.ruleId))) return 'risky';
  const { id } = zone.material;
  if (id === 'fauxLeaf' && entries.length > 0) return 'plasticLeaves';
  for (const entry of entries) {
    const coating = layers.get(entry.layerId)?.coating;
    if (coating?.id === 'aerosolStone' && glazed.has(id)) return 'textureOnGlaze';
    const isFirst = entry.below === zone.present;
    const isUnknown = zone.substrate.layer === 'oldFinish' && zone.substrate.productId === null;
    if (isFirst && coating?.film === 'solvent' && (isUnknown || solventShy.has(id))) return 'solventOnUnknown';
  }
  return null;
}
