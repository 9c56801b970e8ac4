import { substrates } from '../catalog/substrates';
import type { RecipeContext } from './recipeContext';
import type { RecipeFinding } from './recipeSentences';
import { mendings } from './setbacks.data';
import type { PlannedLayer } from './stack';
import type { ZonePlan } from './zonePlans';

/** What went wrong before with the same coating on the same surface, said once for each layer and problem. */
export function lessonFindings(
  recipeId: string,
  zones: readonly ZonePlan[],
  layers: readonly PlannedLayer[],
  context: RecipeContext,
): RecipeFinding[] {
  const surfaces = new Set(zones.filter((zone) => zone.zone.included).map((zone) => zone.substrate.id));
  const findings: RecipeFinding[] = [];
  const said = new Set<string>();
  for (const lesson of context.lessons) {
    const layer = layers.find((candidate) => candidate.coating.id === lesson.coatingId);
    if (!layer || lesson.recipeId === recipeId || !surfaces.has(lesson.substrateId)) continue;
    const code = 'lesson.learned';
    const place = `${layer.id} ${lesson.problem}`;
    if (said.has(place)) continue;
    said.add(place);
    findings.push({
      code,
      severity: 'note',
      where: { kind: 'layer', id: layer.id },
      figures: {
        problem: lesson.problem,
        name: mendings[lesson.problem].name.toLowerCase(),
        lesson: mendings[lesson.problem].lesson,
        coating: layer.coating.name,
        surface: substrates.find(lesson.substrateId)?.name ?? lesson.substrateId,
      },
    });
  }
  return findings;
}
