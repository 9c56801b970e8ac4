import ical from 'ical-generator';
import { MS_PER_MINUTE } from '../../kernel/units';
import type { BenchBlock } from '../../schedule/eveningsOf';

/** The sessions of a bench plan as a calendar file (RFC 5545): one event for each block, its steps in the text. */
export function benchCalendar(
  projectName: string,
  blocks: readonly BenchBlock[],
  rowNameOf: (rowId: string) => string,
  stampMs: number,
): string {
  const calendar = ical({
    prodId: { company: 'Euporia', product: 'Euporia', language: 'EN' },
    name: `${projectName}: the bench`,
  });
  for (const block of blocks) {
    if (block.end <= block.start) continue;
    const steps = block.tasks.map(({ job }) => `${job.title}, ${rowNameOf(job.task.rowId)}`);
    calendar.createEvent({
      id: `bench-${block.id.replace(/\s+/g, '-')}@euporia`,
      stamp: new Date(stampMs),
      start: new Date(block.start * MS_PER_MINUTE),
      end: new Date(block.end * MS_PER_MINUTE),
      summary:
        steps.length === 1 ? (steps[0] ?? '') : `${block.tasks[0]?.job.title ?? ''} and ${steps.length - 1} more`,
      description: steps.join('\n'),
    });
  }
  return calendar.toString();
}
