import { substrates } from '../catalog/substrates';
import type { Substrate } from '../catalog/substrates.data';
import { labFromHex } from '../color/lab';
import type { Finding } from '../kernel/finding';
import type { SurfaceState } from '../state/surfaceState';
import { completeMeasures } from '../surface/furnitureTemplate';
import { furnitureTemplates } from '../surface/templates';
import { type Zone, zoneAreaM2 } from '../surface/zone';
import type { RecipeBody, RecipePiece } from './recipeBody';
import type { PieceFacts, RecipeContext } from './recipeContext';

/** A zone of a recipe with its surface as it is now. */
export interface ZonePlan {
  key: string;
  pieceId: string;
  findId: string;
  zone: Zone;
  /** Like pieces made this way; areas are of one piece. */
  pieceCount: number;
  /** Geometric area × count × sides, m². */
  projectedAreaM2: number;
  /** The zone's one texture factor: its shape's if it has one, else the substrate's. */
  texture: number;
  /** projectedAreaM2 × texture. */
  areaM2: number;
  /** The row that decides absorption and primer: the old finish, else the material. */
  substrate: Substrate;
  present: SurfaceState;
  /** Whether the present color is the substrate's usual one because nobody picked it. */
  colorEstimated: boolean;
  /** Whether abrasion is off because lead is open or found. */
  noSand: boolean;
}

/** Whether abrasion of this piece's old finish is off: lead was found, or its age is open and nobody tested. */
export function isNoSand(piece: PieceFacts): boolean {
  if (piece.finishId === null) return false;
  return piece.leadTest === 'positive' || (piece.era !== 'recent' && piece.leadTest === 'notTested');
}

function presentState(piece: PieceFacts, row: Substrate): { state: SurfaceState; estimated: boolean } {
  const color = piece.color ?? labFromHex(row.usualColor);
  const old = row.layer === 'oldFinish';
  return {
    estimated: piece.color === null,
    state: {
      substrateId: row.id,
      film: row.film,
      sheen: old ? (row.id === 'glossyVarnish' ? 'gloss' : piece.sheen) : row.hard ? 'gloss' : 'raw',
      age: 'cured',
      porous: row.porous,
      bleed: row.bleed,
      sealed: old,
      productId: null,
      overHard: row.hard,
      color,
    },
  };
}

function editedZone(zone: Zone, piece: RecipePiece): Zone {
  const edit = piece.zoneEdits[zone.id];
  if (!edit) return zone;
  const { areaM2, ...rest } = edit;
  return {
    ...zone,
    ...rest,
    ...(areaM2 === undefined ? {} : { shape: { kind: 'custom' as const, areaM2 }, count: 1 }),
  };
}

/** The zones of all pieces of a recipe, included or not, with findings for what cannot be used as entered. */
export function zonePlansOf(body: RecipeBody, context: RecipeContext): { zones: ZonePlan[]; findings: Finding[] } {
  const findings: Finding[] = [];
  const zones: ZonePlan[] = [];
  for (const piece of body.pieces) {
    const template = furnitureTemplates.find(piece.templateId);
    const facts = context.pieces.get(piece.findId);
    if (!template || !facts) {
      findings.push({
        code: template ? 'recipe.pieceMissing' : 'recipe.unknownTemplate',
        severity: 'refuse',
        where: { kind: 'recipe', id: piece.id },
        figures: { template: piece.templateId, accepted: furnitureTemplates.ids.join(', ') },
      });
      continue;
    }
    const row = substrates.find(facts.finishId ?? facts.materialId);
    if (!row) {
      findings.push({
        code: 'recipe.unknownSubstrate',
        severity: 'refuse',
        where: { kind: 'find', id: facts.id },
        figures: { substrate: facts.finishId ?? facts.materialId, accepted: substrates.ids.join(', ') },
      });
      continue;
    }
    const { state, estimated } = presentState(facts, row);
    for (const proposed of template.zones(completeMeasures(template, piece.measures))) {
      const zone = editedZone(proposed, piece);
      const projectedAreaM2 = zoneAreaM2(zone);
      const texture = zone.textureFactor ?? context.assumptions.number(`substrate.${row.id}.texture`);
      const key = `${piece.id}/${zone.id}`;
      if (zone.included && !(projectedAreaM2 > 0)) {
        findings.push({
          code: 'zone.noArea',
          severity: 'warn',
          where: { kind: 'zone', id: key },
          figures: { zone: zone.name },
        });
      }
      zones.push({
        key,
        pieceId: piece.id,
        findId: piece.findId,
        zone,
        pieceCount: piece.count,
        projectedAreaM2,
        texture,
        areaM2: projectedAreaM2 * texture,
        substrate: row,
        present: state,
        colorEstimated: estimated,
        noSand: isNoSand(facts),
      });
    }
  }
  return { zones, findings };
}
