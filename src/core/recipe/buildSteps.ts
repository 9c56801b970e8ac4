import { isWaterborne } from '../catalog/coating';
import type { Step } from '../state/step';
import type { PlannedBuild } from './plannedBuilds';
import type { RecipeBody } from './recipeBody';
import type { RecipeContext } from './recipeContext';
import type { RecipeFinding } from './recipeSentences';
import type { ZoneStacks } from './stack';
import { buildWorks } from './steps/buildWorks';
import { layerSteps } from './steps/layerSteps';
import { hardwareOf, prepareSteps } from './steps/prepareSteps';
import { type Residue, type RunShare, type SideNeed, StepBook } from './steps/stepBook';
import { weatherFindings } from './steps/weatherFindings';
import { workpieceId } from './workpiece';
import type { ZonePlan } from './zonePlans';

export interface BuiltSteps {
  steps: Step[];
  /** Hands-on run minutes of each find, for one piece. */
  runs: RunShare[];
  /** Supplies beside the layers' own, of one piece. */
  needs: SideNeed[];
  /** What sessions leave behind, once for all pieces. */
  residues: readonly Residue[];
  /** What the air says against them; gathered when it is asked for. */
  findings(): RecipeFinding[];
}

/** Puts the stylist's own steps where they belong: what follows waits for them. */
function withOwnSteps(book: StepBook, first: string | undefined, zoneKeys: string[]): void {
  for (const own of book.body.ownSteps) {
    const index = book.steps.findIndex((step) => step.id === own.afterStepId);
    const at = index < 0 ? 0 : index + 1;
    const before = book.steps[index];
    const following = book.steps[at];
    book.add({
      id: own.id,
      kind: 'own',
      title: own.title,
      zoneKeys,
      runMinutes: book.isSkipped(own.id) ? 0 : own.minutes,
      source: { kind: 'you' },
      after: before ? [{ stepId: before.id, allowed: [{ fromHours: 0, toHours: null, extraSteps: [] }] }] : [],
    });
    const [step] = book.steps.splice(-1, 1);
    if (!step) continue;
    book.steps.splice(at, 0, step);
    following?.after.push({
      stepId: own.id,
      allowed: [{ fromHours: own.waitHours, toHours: null, extraSteps: [] }],
    });
    if (first !== undefined && step.runMinutes > 0) {
      const pieces = book.body.pieces.find((piece) => workpieceId(piece) === first)?.count ?? 1;
      book.runs.push({ workpieceId: first, stepId: own.id, minutes: step.runMinutes / pieces, spread: 0 });
    }
  }
}

/**
 * The ordered steps of a recipe: prepare, then every layer's coats from the bottom up with what must lie between them,
 * then reassemble. Minutes are of the studio's skill and without the overhead, which is added once over a plan.
 */
export function buildSteps(
  body: RecipeBody,
  zones: readonly ZonePlan[],
  stacked: ZoneStacks,
  context: RecipeContext,
  built: readonly PlannedBuild[],
): BuiltSteps {
  const book = new StepBook(body, context);
  const worked = zones.filter((zone) => (stacked.stacks.get(zone.key)?.length ?? 0) > 0);
  if (worked.length === 0 && built.length === 0)
    return { steps: [], runs: [], needs: [], residues: [], findings: () => [] };
  buildWorks(book, built, zones, false);
  if (worked.length > 0) prepareSteps(book, worked, zones, stacked);
  const last = layerSteps(book, worked, stacked);
  const hardware = hardwareOf(book, worked);
  if (last) {
    const { coating, supplyKey } = last.layer;
    const handle = book.drying(
      book.number(`coating.${coating.id}.handleHours`, [`supply:${supplyKey}`]),
      isWaterborne(coating),
    );
    book.last = { stepId: last.stepId, waitHours: handle };
  }
  if (hardware.minutes > 0 && last)
    book.next(
      {
        id: 'reassemble',
        kind: 'reassemble',
        title: hardware.isLamp
          ? 'Masking off, shade and bulb back, cord checked'
          : 'Knobs back, parts where their labels say',
        zoneKeys: worked.map((zone) => zone.key),
        runMinutes: hardware.half('reassemble'),
        tools: ['screwdriver'],
      },
      0,
    );
  buildWorks(book, built, zones, true);
  withOwnSteps(
    book,
    worked[0]?.workpieceId ?? (built[0] && workpieceId(built[0].piece)),
    worked.map((zone) => zone.key),
  );
  return {
    steps: book.steps,
    runs: book.runs,
    needs: book.needs,
    residues: book.residues,
    findings: () => weatherFindings(book),
  };
}
