import { Recent } from '@core/kernel/recent';
import type { ProjectRows } from '@core/model/rows';

/** Projects that are worked on at the same time on one server, at most so many of them are remembered. */
const MOST_KNOWN = 16;

interface Known {
  tag: string;
  rows: ProjectRows;
}

/**
 * The rows of projects as they were read or written last, each with the tag of the state that they are of. Whoever
 * holds a project's lock asks with the tag that stands in the database: what another server wrote since is never taken
 * for the present state, it is read anew.
 */
export class KnownProjects {
  private readonly known = new Recent<string, Known>(MOST_KNOWN);

  /** The rows of a project in just this state; null when they have to be read. */
  take(projectId: string, tag: string): ProjectRows | null {
    const entry = this.known.get(projectId);
    return entry?.tag === tag ? entry.rows : null;
  }

  /** Remembers a state that was read, or is committed. */
  keep(projectId: string, tag: string, rows: ProjectRows): void {
    this.known.keep(projectId, { tag, rows });
  }
}
