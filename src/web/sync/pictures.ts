import { showFromServer, showLocal } from '../ui/localPictures';
import { del, get, keys, set } from './deviceStore';
import type { OutboxEntry } from './rowsAfter';

/** Pictures of this device that the server does not have yet, each under this and its id. */
const PICTURE = 'picture:';
/** One that no command speaks of is let go of when it is so old, ms: the command may be just on its way here. */
const FORGOTTEN_MS = 60 * 60_000;

interface KeptPicture {
  blob: Blob;
  atMs: number;
}

/** Keeps a picture on the device until the server has it, and shows it from there. */
export async function keepPicture(id: string, blob: Blob): Promise<void> {
  showLocal(id, blob);
  await set(`${PICTURE}${id}`, { blob, atMs: Date.now() } satisfies KeptPicture);
}

/** The bytes of a picture that is kept here; null where it is not any more. */
export async function keptPicture(id: string): Promise<Blob | null> {
  return (await get<KeptPicture>(`${PICTURE}${id}`))?.blob ?? null;
}

/** Lets go of a picture that the server has, or that nobody wants. */
export async function letPictureGo(id: string): Promise<void> {
  showFromServer(id);
  await del(`${PICTURE}${id}`);
}

/** Shows the pictures that commands bring, which an earlier visit or another tab may have put there. */
export async function showPicturesOf(entries: readonly OutboxEntry[]): Promise<void> {
  for (const { picture } of entries) {
    const blob = picture ? await keptPicture(picture.id) : null;
    if (picture && blob) showLocal(picture.id, blob);
  }
}

/** Lets go of pictures that no command brings any more. */
export async function forgetPictures(spokenOf: ReadonlySet<string>): Promise<void> {
  for (const key of await keys()) {
    if (!key.startsWith(PICTURE)) continue;
    const id = key.slice(PICTURE.length);
    const kept = spokenOf.has(id) ? undefined : await get<KeptPicture>(key);
    if (kept && Date.now() - kept.atMs > FORGOTTEN_MS) await letPictureGo(id);
  }
}
