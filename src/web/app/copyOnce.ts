import type { CopyKind } from '@contract/endpoints';
import { ApiError, api } from './api';

/** Ids of copies that were asked for and of which nobody knows whether they were made. */
const asked = new Map<string, string>();

/**
 * Copies a project. Asked again after nobody answered, it is the same copy: the id that was sent first is sent again, and
 * the server makes it once.
 * @throws Error with what the stylist is told
 */
export async function copyOnce(
  projectId: string,
  copy: { kind: CopyKind; name: string; room?: string },
): Promise<{ projectId: string }> {
  const what = JSON.stringify([projectId, copy]);
  const id = asked.get(what) ?? crypto.randomUUID();
  asked.set(what, id);
  try {
    const made = await api.copyProject(projectId, { id, ...copy });
    asked.delete(what);
    return made;
  } catch (error) {
    if (error instanceof ApiError && error.gone)
      throw new Error('Euporia does not answer. Press it again in a moment: it is copied once, however often you do.');
    asked.delete(what);
    throw error;
  }
}
