import { builds } from '../build';
import {
  type Build,
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
    const values = completeBuild(build, piece.build.values);
    const materials = new Map(
      build.materials.map(({ id, kindIds }) => {
        const chosen = piece.build?.materials[id];
        const kindId = chosen && kindIds.includes(chosen.kindId) ? chosen.kindId : (kindIds[0] ?? '');
        const kind: Consumable = consumables.get(kindId);
        const key = supplyKey(kindId, kind.colored ? (chosen?.colorCardId ?? null) : null, null);
        const stock = kind.cut ? stockFacts(kind.cut, context.stocks.get(key) ?? null) : null;
        return [id, { kind, stock, key }] as const;
      }),
    );
    const material = (id: string) => {
      const found = materials.get(id);
      if (!found) throw new Error(`${build.id}: no material "${id}"`);
      return found;
    };
    const plan = build.plan({ values, material });
    built.push({ piece, build, values, materials, plan });
    for (const remark of plan.remarks) findings.push(findingOf(piece, build, remark));
  }
  return { built, findings };
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
