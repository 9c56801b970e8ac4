import type { Tax } from '../pricing/priceStory';
import type { ProjectRows, SourceRow } from './rows';

/** What a place is called; empty for none, or for one that is not among the rows. */
export const sourceName = (sources: readonly SourceRow[], id: string | null): string =>
  (id === null ? undefined : sources.find((source) => source.id === id))?.name ?? '';

/** The tax that a place charges: its own, else the project's. */
export const taxAt = (rows: Pick<ProjectRows, 'sources' | 'project'>, sourceId: string | null): Tax =>
  (sourceId === null ? undefined : rows.sources.find((source) => source.id === sourceId))?.tax ?? rows.project.tax;
