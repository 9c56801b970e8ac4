import { detailFound } from '../catalog/inspections';
import { conditionWorks, preparations } from '../catalog/preparations.data';
import type { Substrate } from '../catalog/substrate';
import { mayHoldLead, substrates } from '../catalog/substrates';
import { labFromHex } from '../color/lab';
import { type Condition, type PreparationKind, preparationKinds } from '../state/preparation';
import type { SurfaceState } from '../state/surfaceState';
import { completeMeasures } from '../surface/furnitureTemplate';
import { shapeForms } from '../surface/shapeForms';
import { shapeTexture, type ZoneShape } from '../surface/shapes';
import { furnitureTemplates } from '../surface/templates';
import { zone as usualZone } from '../surface/templates/parts';
import { type DetailKind, type Zone, zoneAreaM2 } from '../surface/zone';
import type { EnteredShape, RecipeBody, RecipePiece, ZoneEdit } from './recipeBody';
import type { PieceFacts, RecipeContext } from './recipeContext';
import type { RecipeFinding } from './recipeSentences';
import { factsOf, workpieceId } from './workpiece';

/** Nothing a stylist makes over is larger; beyond it a digit slipped. */
const LARGEST_ZONE_M2 = 100;

/** A zone of a recipe with its surface as it is now. */
export interface ZonePlan {
  key: string;
  pieceId: string;
  /** The find, or the piece of the recipe that is made. */
  workpieceId: string;
  zone: Zone;
  /** Like pieces made this way; areas are of one piece. */
  pieceCount: number;
  /** Geometric area × count × sides, m². */
  projectedAreaM2: number;
  /** The zone's one texture factor: its own, else its shape's, else the material's. */
  texture: number;
  /** projectedAreaM2 × texture. */
  areaM2: number;
  material: Substrate;
  /** The row that decides absorption and primer: the old finish, else the material. */
  substrate: Substrate;
  conditions: readonly Condition[];
  /** Works before the first layer, but for scuffing, which joints ask for. */
  works: readonly PreparationKind[];
  /** Those of them that the stylist left out: the surface stays as if they were not there. */
  leftOut: readonly PreparationKind[];
  /** The surface as it is now. */
  found: SurfaceState;
  /** The surface once prepared: stripped, washed free of wax. */
  present: SurfaceState;
  /** Whether the present color is the substrate's usual one because nobody picked it. */
  colorEstimated: boolean;
  /** Whether abrasion is off because lead is open or found. */
  noSand: boolean;
  /** Whether it is fiddly because the inspection found it so. */
  isCarved: boolean;
}

/** Whether abrasion of this piece's old finish is off: lead was found, or its age is open and nobody tested. */
export function isNoSand(piece: Pick<PieceFacts, 'finishId' | 'leadTest' | 'era'>): boolean {
  if (!mayHoldLead(piece.finishId)) return false;
  return piece.leadTest === 'positive' || (piece.era !== 'recent' && piece.leadTest === 'notTested');
}

function foundState(facts: PieceFacts, row: Substrate, material: Substrate, conditions: readonly Condition[]) {
  const old = row.layer === 'oldFinish';
  const state: SurfaceState = {
    substrateId: row.id,
    origin: old ? 'oldFinish' : 'material',
    film: row.film,
    sheen: old ? (row.sheen ?? facts.sheen) : row.hard ? 'gloss' : 'raw',
    age: 'cured',
    porous: row.porous,
    bleed: conditions.includes('stained') ? 'stain' : old && row.film !== 'none' ? 'none' : material.bleed,
    sealed: old,
    residue: conditions.includes('polished') ? 'polish' : 'none',
    productId: row.productId,
    overHard: row.hard,
    color: facts.color ?? labFromHex(row.usualColor),
  };
  return state;
}

/**
 * What preparing leaves: stripped down to the material, or washed free of wax with traces left.
 * @param works what is really done; what was left out leaves the surface as it is
 */
function preparedState(state: SurfaceState, material: Substrate, works: readonly PreparationKind[]): SurfaceState {
  const isStripped = works.includes('strip') && state.origin === 'oldFinish';
  const isDewaxed = works.includes('dewax');
  const residue = isStripped ? 'none' : isDewaxed ? 'traces' : state.residue;
  if (works.includes('strip') && !isStripped) return { ...state, sealed: false, residue };
  if (!isStripped && !(isDewaxed && state.film === 'wax')) return { ...state, residue };
  return {
    ...state,
    substrateId: material.id,
    origin: 'material',
    film: 'none',
    sheen: material.hard ? 'gloss' : 'raw',
    porous: material.porous,
    bleed: state.bleed === 'stain' ? 'stain' : material.bleed,
    sealed: false,
    residue,
    productId: null,
    overHard: material.hard,
    color: isStripped ? labFromHex(material.usualColor) : state.color,
  };
}

/** The shape that was entered, or null when its kind is not (any more) in the library. */
export function enteredShape(entered: EnteredShape): ZoneShape | null {
  const form = shapeForms.find((candidate) => candidate.kind === entered.kind);
  return form ? form.build(entered.values) : null;
}

function editedZone(zone: Zone, edit: ZoneEdit | undefined): Zone {
  if (!edit) return zone;
  const shape = edit.shape
    ? enteredShape(edit.shape)
    : edit.areaM2 === undefined
      ? null
      : { kind: 'custom' as const, areaM2: edit.areaM2 };
  return {
    ...zone,
    name: edit.name ?? zone.name,
    included: edit.included ?? zone.included,
    use: edit.use ?? zone.use,
    sides: edit.sides ?? zone.sides,
    detail: edit.detail ?? zone.detail,
    textureFactor: edit.textureFactor ?? zone.textureFactor,
    ...(shape === null
      ? { count: edit.count ?? zone.count }
      : { shape, count: edit.count ?? 1, textureFactor: edit.textureFactor ?? null }),
  };
}

const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';

/** The zones of a piece: its template's, then the stylist's own, each with its edits and a letter of its own. */
function zonesOf(piece: RecipePiece, found: DetailKind | null, findings: RecipeFinding[]): Zone[] {
  const template = furnitureTemplates.find(piece.templateId);
  const proposed = template ? template.zones(completeMeasures(template, piece.measures)) : [];
  // A carved piece is carved where it is seen; its top stays flat.
  const carved = (zone: Zone): Zone =>
    found === null || zone.detail !== 'flat' || zone.use === 'tableTop' ? zone : { ...zone, detail: found };
  const zones = proposed.map((zone) => editedZone(carved(zone), piece.zoneEdits[zone.id]));
  for (const own of piece.ownZones) {
    const shape = enteredShape(own.shape);
    if (shape === null) {
      findings.push({
        code: 'zone.unknownShape',
        severity: 'warn',
        where: { kind: 'zone', id: `${piece.id}/${own.id}` },
        figures: { zone: own.name, shape: own.shape.kind, accepted: shapeForms.map((form) => form.name).join(', ') },
      });
      continue;
    }
    const letter = LETTERS.split('').find((candidate) => !zones.some((zone) => zone.letter === candidate)) ?? '+';
    zones.push(editedZone(usualZone(own.id, letter, own.name, shape), piece.zoneEdits[own.id]));
  }
  return zones;
}

/** A work that was asked for and is not done, and why. */
interface Impossible {
  work: PreparationKind;
  reason: string;
}

/** What keeps a work from being done on a zone; null when nothing does. */
function againstWork(
  work: PreparationKind,
  zone: { substrate: Substrate; material: Substrate; conditions: readonly Condition[]; leadFound: boolean },
): string | null {
  const spoils = preparations[work].spoils?.[zone.material.id];
  if (spoils) return spoils;
  if (work === 'dewax' && zone.substrate.film !== 'wax' && !zone.conditions.includes('polished'))
    return 'there is no wax on it';
  if (work === 'strip' && zone.leadFound) return 'the test found lead: cover it, or leave it to certified people';
  return null;
}

/** What a surface asks for before its first layer, in order; scuffing is left to the joints. */
function worksOf(
  zone: {
    key: string;
    substrate: Substrate;
    material: Substrate;
    conditions: readonly Condition[];
    noSand: boolean;
    leadFound: boolean;
  },
  body: RecipeBody,
): { works: PreparationKind[]; impossible: Impossible[] } {
  const wanted = new Set<PreparationKind>(zone.substrate.prepare);
  for (const condition of zone.conditions) for (const work of conditionWorks[condition]) wanted.add(work);
  for (const chosen of body.preparations)
    if (chosen.zoneKeys === 'all' || chosen.zoneKeys.includes(zone.key)) wanted.add(chosen.kind);
  const stripped = wanted.has('strip') && zone.substrate.layer === 'oldFinish';
  if (stripped) for (const work of zone.material.prepare) wanted.add(work);
  wanted.delete('scuff');
  if (zone.noSand) {
    for (const work of wanted) if (preparations[work].abrasive) wanted.delete(work);
    wanted.delete('clean');
    wanted.add('wetClean');
  }
  const impossible: Impossible[] = [];
  for (const work of wanted) {
    const reason = againstWork(work, zone);
    if (reason === null) continue;
    wanted.delete(work);
    impossible.push({ work, reason });
  }
  return { works: preparationKinds.filter((kind) => wanted.has(kind)), impossible };
}

/** The zones of all pieces of a recipe, included or not, with findings for what cannot be used as entered. */
export function zonePlansOf(
  body: RecipeBody,
  context: RecipeContext,
): { zones: ZonePlan[]; findings: RecipeFinding[] } {
  const findings: RecipeFinding[] = [];
  const zones: ZonePlan[] = [];
  const impossible = new Map<string, Impossible & { key: string; zones: string[] }>();
  for (const piece of body.pieces) {
    const facts = factsOf(piece, context);
    const template = furnitureTemplates.find(piece.templateId);
    if (!template || !facts) {
      findings.push({
        code: template ? 'recipe.pieceMissing' : 'recipe.unknownTemplate',
        severity: template ? 'refuse' : 'warn',
        where: { kind: 'recipe', id: piece.id },
        figures: { template: piece.templateId, accepted: furnitureTemplates.ids.join(', ') },
      });
      if (!facts) continue;
    }
    const carved = detailFound(facts.inspected);
    for (const zone of zonesOf(piece, carved, findings)) {
      const edit = piece.zoneEdits[zone.id];
      const own: PieceFacts = {
        ...facts,
        materialId: edit?.materialId ?? zone.materialId ?? facts.materialId,
        finishId: edit?.finishId === undefined ? (zone.materialId ? null : facts.finishId) : edit.finishId,
        sheen: edit?.sheen ?? facts.sheen,
        color: edit?.color === undefined ? (zone.materialId ? null : facts.color) : edit.color,
      };
      const key = `${piece.id}/${zone.id}`;
      const material = substrates.find(own.materialId);
      const row = substrates.find(own.finishId ?? own.materialId);
      if (!row || !material) {
        const known = findings.some(
          (finding) => finding.code === 'recipe.unknownSubstrate' && finding.where.id === facts.id,
        );
        if (!known)
          findings.push({
            code: 'recipe.unknownSubstrate',
            severity: 'refuse',
            where: { kind: 'find', id: facts.id },
            figures: {
              substrate: material ? (own.finishId ?? own.materialId) : own.materialId,
              accepted: substrates.ids.join(', '),
            },
          });
        continue;
      }
      const conditions = edit?.conditions ?? [];
      const noSand = isNoSand(own);
      const leadFound = noSand && own.leadTest === 'positive';
      const planned = worksOf({ key, substrate: row, material, conditions, noSand, leadFound }, body);
      const { works } = planned;
      const leftOut = works.filter((work) => body.stepEdits[work]?.skipped);
      if (zone.included)
        for (const entry of planned.impossible) {
          const known = impossible.get(`${entry.work} ${entry.reason}`);
          if (known) known.zones.push(zone.name);
          else impossible.set(`${entry.work} ${entry.reason}`, { ...entry, key, zones: [zone.name] });
        }
      const found = foundState(own, row, material, conditions);
      const projectedAreaM2 = zoneAreaM2(zone);
      const measured = projectedAreaM2 > 0 && projectedAreaM2 <= LARGEST_ZONE_M2;
      if (zone.included && !measured)
        findings.push({
          code: projectedAreaM2 > LARGEST_ZONE_M2 ? 'zone.tooLarge' : 'zone.noArea',
          severity: 'warn',
          where: { kind: 'zone', id: key },
          figures: { zone: zone.name, most: LARGEST_ZONE_M2 },
        });
      const area = measured ? projectedAreaM2 : 0;
      const texture =
        zone.textureFactor ??
        shapeTexture(zone.shape) ??
        context.assumptions.number(`substrate.${material.id}.texture`);
      zones.push({
        key,
        pieceId: piece.id,
        workpieceId: workpieceId(piece),
        zone,
        pieceCount: piece.count,
        projectedAreaM2: area,
        texture,
        areaM2: area * texture,
        material,
        substrate: row,
        conditions,
        works,
        leftOut,
        found,
        present: preparedState(
          found,
          material,
          works.filter((work) => !leftOut.includes(work)),
        ),
        colorEstimated: own.color === null,
        noSand,
        isCarved: carved !== null && zone.detail === carved,
      });
    }
  }
  for (const { work, reason, key, zones: named } of impossible.values())
    findings.push({
      code: 'preparation.impossible',
      severity: 'warn',
      where: { kind: 'zone', id: key },
      figures: { work: preparations[work].title, zone: named.join(', '), reason },
    });
  return { zones, findings };
}
