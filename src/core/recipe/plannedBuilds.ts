import { builds } from '../build';
import {
  type Build,
  type BuildMaterial,
  type BuildPlan,
  type BuildRemark,
  type BuildValues,
  type ChosenMaterial,
  completeBuild,
} from '../build/build';
import { type Consumable, consumables } from '../catalog/consumables';
import { stockFacts } from '../catalog/stockFacts';
import { bagOf, type PartBag, partsTimes, partsTogether } from '../cutting/part';
import { toMicro } from '../kernel/micro';
import { goesOn } from './goesOn';
import { partKey, partOf } from './partsToCut';
import { amountTerm, type SupplyTerm } from './pieceDemand';
import type { RecipeBody, RecipePiece } from './recipeBody';
import type { RecipeContext } from './recipeContext';
import type { RecipeFinding } from './recipeSentences';
import { supplyKey } from './supplyKey';
import { workpieceId } from './workpiece';

/** What is made of one piece of a recipe, computed. */
export interface PlannedBuild {
  piece: RecipePiece;
  build: Build;
  values: BuildValues;
  materials: ReadonlyMap<string, ChosenMaterial & { key: string }>;
  plan: BuildPlan;
}

/** Stands in a part's key for the layer that it has none of. */
export const BUILD_LAYER = 'build';

/** Everything that a recipe makes, with findings for what cannot be made as entered. */
export function plannedBuilds(
  body: RecipeBody,
  context: RecipeContext,
): { built: PlannedBuild[]; findings: RecipeFinding[] } {
  const built: PlannedBuild[] = [];
  const findings: RecipeFinding[] = [];
  for (const piece of body.pieces) {
    if (!piece.build) continue;
    const build = builds.find(piece.build.id);
    if (!build) {
      findings.push({
        code: 'build.unknown',
        severity: 'refuse',
        where: { kind: 'recipe', id: piece.id },
        figures: { build: piece.build.id, accepted: builds.all.map(({ name }) => name).join(', ') },
      });
      continue;
    }
    const planned = plannedBuild(piece, build, context);
    const { plan } = planned;
    built.push(planned);
    for (const remark of plan.remarks) findings.push(findingOf(piece, build, remark));
  }
  return { built, findings };
}

/**
 * One thing to make. Of a material that nobody chose it takes the usual kind, or the first that its parts go on: the skin
 * of a long shelf comes from a whole panel.
 */
function plannedBuild(piece: RecipePiece, build: Build, context: RecipeContext): PlannedBuild {
  const values = completeBuild(build, piece.build?.values ?? {});
  const chosenKind = ({ id, kindIds }: BuildMaterial): string | null => {
    const kindId = piece.build?.materials[id]?.kindId ?? null;
    return kindId !== null && kindIds.includes(kindId) ? kindId : null;
  };
  const kinds = new Map(build.materials.map((own) => [own.id, chosenKind(own) ?? own.kindIds[0] ?? '']));
  let planned = planOf(piece, build, values, kinds, context);
  for (const own of build.materials) {
    if (chosenKind(own) !== null || own.kindIds.length < 2 || partsGoOn(planned, own.id)) continue;
    for (const kindId of own.kindIds.slice(1)) {
      const other = planOf(piece, build, values, new Map(kinds).set(own.id, kindId), context);
      if (!partsGoOn(other, own.id)) continue;
      kinds.set(own.id, kindId);
      planned = other;
      break;
    }
  }
  return planned;
}

/** Whether all parts of a material are small enough for it, however long it is sold. */
function partsGoOn({ plan, materials }: PlannedBuild, id: string): boolean {
  const { kind, stock } = materials.get(id) ?? {};
  if (!kind || !stock) return true;
  const sold = { name: kind.name, stock, packs: kind.packs };
  return plan.parts
    .filter(({ material, count }) => material === id && count > 0)
    .every((part) => goesOn(part, sold, Number.POSITIVE_INFINITY));
}

/** A thing to make of given kinds of material. */
function planOf(
  piece: RecipePiece,
  build: Build,
  values: BuildValues,
  kinds: ReadonlyMap<string, string>,
  context: RecipeContext,
): PlannedBuild {
  const materials = new Map(
    build.materials.map(({ id }) => {
      const kindId = kinds.get(id) ?? '';
      const kind: Consumable = consumables.get(kindId);
      const card = piece.build?.materials[id]?.colorCardId ?? null;
      const key = supplyKey(kindId, kind.colored ? card : null, null);
      const stock = kind.cut ? stockFacts(kind.cut, context.stocks.get(key) ?? null) : null;
      return [id, { kind, stock, key }] as const;
    }),
  );
  const material = (id: string) => {
    const found = materials.get(id);
    if (!found) throw new Error(`${build.id}: no material "${id}"`);
    return found;
  };
  return { piece, build, values, materials, plan: build.plan({ values, material }) };
}

/** What making one of it takes of each supply: parts laid out with all else that is cut, and what is counted. */
export function termsOfBuild(recipeId: string, { piece, materials, plan }: PlannedBuild): SupplyTerm[] {
  const bags = new Map<string, PartBag>();
  plan.parts.forEach((part, n) => {
    const key = materials.get(part.material)?.key;
    if (key === undefined || part.count <= 0 || part.widthMm < 1 || part.lengthMm < 1) return;
    const one = partOf(part, partKey(recipeId, BUILD_LAYER, piece.id, n));
    bags.set(key, partsTogether(bags.get(key) ?? bagOf([]), partsTimes(bagOf([one]), part.count)));
  });
  const driver = { kind: 'build', pieceId: piece.id, zoneKey: null } as const;
  return [
    ...[...bags].map(([key, parts]): SupplyTerm => ({ supplyKey: key, micro: 0, parts, driver })),
    ...plan.needs.map(({ material, kindId, amount }) =>
      amountTerm(
        material === null ? supplyKey(kindId, null, null) : (materials.get(material)?.key ?? kindId),
        toMicro(amount),
        driver,
      ),
    ),
  ];
}

/** Remarks that only tell; all others warn. */
const notes: ReadonlySet<BuildRemark['code']> = new Set([
  'build.load',
  'build.usableDepth',
  'build.seams',
  'build.freshDays',
  'build.matWindow',
  'build.crop',
]);
/** Remarks on what must not be made that way. */
const refusals: ReadonlySet<BuildRemark['code']> = new Set(['build.flameTooNear']);

function findingOf(piece: RecipePiece, build: Build, { code, ...figures }: BuildRemark): RecipeFinding {
  return {
    code,
    severity: refusals.has(code) ? 'refuse' : notes.has(code) ? 'note' : 'warn',
    where: { kind: 'recipe', id: workpieceId(piece) },
    figures: { what: build.name, ...figures },
    // Each remark's code goes with its figures; put together again the types see only their mixture.
  } as RecipeFinding;
}
