import { keys } from './deviceStore';

/** How many pictures wait on this device, by whose they are: a project's id, or `house`. */
export type PhotosLeft = ReadonlyMap<string, number>;

/** Pictures are kept one by one until the server has them, each under `photo:<whose>:<its id>`. */
export async function photosLeft(): Promise<PhotosLeft> {
  const left = new Map<string, number>();
  for (const key of await keys()) {
    const [kind, scope = '', id] = key.split(':');
    if (kind === 'photo' && id !== undefined) left.set(scope, (left.get(scope) ?? 0) + 1);
  }
  return left;
}
