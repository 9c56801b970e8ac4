import { laborKey } from '../../technique';
import type { PlannedBuild } from '../plannedBuilds';
import { workpieceId } from '../workpiece';
import type { ZonePlan } from '../zonePlans';
import type { StepBook } from './stepBook';

/** The step of a work on what is made. */
export const buildStepId = (pieceId: string, workId: string): string => `build:${pieceId}:${workId}`;

/** The works of what is made, in their order: those before anything is coated, or those that wait for the coats. */
export function buildWorks(
  book: StepBook,
  built: readonly PlannedBuild[],
  zones: readonly ZonePlan[],
  afterCoats: boolean,
): void {
  for (const { piece, build, plan } of built)
    for (const work of plan.works.filter((entry) => entry.afterCoats === afterCoats)) {
      const id = buildStepId(piece.id, work.id);
      const rateKey = laborKey({ each: work.rate });
      const minutes = work.units * book.number(rateKey);
      book.next(
        {
          id,
          kind: work.kind,
          title:
            built.length > 1
              ? `${build.name}: ${work.title.charAt(0).toLowerCase()}${work.title.slice(1)}`
              : work.title,
          hint: work.hint,
          zoneKeys: zones.filter((zone) => zone.pieceId === piece.id).map((zone) => zone.key),
          runMinutes: book.runEach(id, workpieceId(piece), piece.count, rateKey, minutes),
          tools: [...work.tools],
          place: work.place,
          splittable: work.kind !== 'glue',
        },
        work.waitHours,
      );
    }
}
