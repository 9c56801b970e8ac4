import { substrates } from '../catalog/substrates';
import type { Step } from '../state/step';
import { mishaps } from './mishaps.data';
import type { Lesson, RecipeContext } from './recipeContext';
import type { RecipeFinding } from './recipeSentences';
import type { PlannedLayer } from './stack';
import { isSetback, wrongLesson, wrongName } from './wentWrong';
import type { ZonePlan } from './zonePlans';

/**
 * What went wrong before on the same surface: with the same coating, said once for each layer and problem; by hand at the
 * same kind of work, said once for each at the first step of it.
 */
export function lessonFindings(
  recipeId: string,
  zones: readonly ZonePlan[],
  layers: readonly PlannedLayer[],
  steps: readonly Step[],
  context: Pick<RecipeContext, 'lessons'>,
): RecipeFinding[] {
  const surfaces = new Map(
    zones.filter((zone) => zone.zone.included).map((zone) => [zone.key, zone.substrate.id] as const),
  );
  const known = new Set(surfaces.values());
  const findings = new Map<string, RecipeFinding>();
  for (const lesson of context.lessons) {
    if (lesson.recipeId === recipeId || !known.has(lesson.substrateId)) continue;
    const found = lesson.coatingId === null ? atWork(lesson, steps, surfaces) : withCoating(lesson, layers);
    const place = found && `${found.where.id} ${lesson.problem}`;
    if (found && place && !findings.has(place)) findings.set(place, found);
  }
  return [...findings.values()];
}

const wordsOf = ({ problem, substrateId }: Lesson) => ({
  problem,
  name: wrongName(problem).toLowerCase(),
  lesson: wrongLesson(problem),
  surface: substrates.find(substrateId)?.name ?? substrateId,
});

function withCoating(lesson: Lesson, layers: readonly PlannedLayer[]): RecipeFinding | null {
  const layer = layers.find(({ coating }) => coating.id === lesson.coatingId);
  if (!layer) return null;
  return {
    code: 'lesson.learned',
    severity: 'note',
    where: { kind: 'layer', id: layer.id },
    figures: { ...wordsOf(lesson), coating: layer.coating.name },
  };
}

function atWork(lesson: Lesson, steps: readonly Step[], surfaces: ReadonlyMap<string, string>): RecipeFinding | null {
  const { problem, substrateId } = lesson;
  if (isSetback(problem)) return null;
  const step = steps.find(
    ({ kind, zoneKeys, skipped }) =>
      !skipped && mishaps[problem].at.includes(kind) && zoneKeys.some((key) => surfaces.get(key) === substrateId),
  );
  if (!step) return null;
  return {
    code: 'lesson.atWork',
    severity: 'note',
    where: { kind: 'step', id: step.id },
    figures: { ...wordsOf(lesson), work: step.title },
  };
}
