import { del, get, keys } from '../sync/deviceStore';
import { keepPicture } from '../sync/pictures';
import { alone } from './plainHttp';
import { type PreparedPhoto, preparedPhoto } from './preparedPhoto';

/** A picture as an earlier version of the app left it on the device, ready to be queued. */
export interface OldPhoto extends PreparedPhoto {
  id: string;
  kind: string;
  name: string;
  atMs: number;
  about: string | null;
}

interface StoredOldPhoto {
  id: string;
  kind: string;
  name: string;
  blob: Blob;
  atMs: number;
  about?: string;
}

const taken = new Set<string>();

/**
 * Gives the pictures of a scope that an earlier version left, the oldest first, once; what one is called and what it is of
 * is as it was. They were kept in one list, or one by one.
 * @param scope whose: a project's id, or `house`
 */
export async function takeOldPhotos(scope: string, take: (old: OldPhoto) => void): Promise<void> {
  if (taken.has(scope)) return;
  taken.add(scope);
  await alone(`euporia.photos.${scope}`, async () => {
    const list = `photos:${scope}`;
    const places = (await keys()).filter((key) => key === list || key.startsWith(`photo:${scope}:`));
    const found: StoredOldPhoto[] = [];
    for (const place of places) {
      const kept = (await get<StoredOldPhoto | StoredOldPhoto[]>(place)) ?? [];
      found.push(...(Array.isArray(kept) ? kept : [kept]));
    }
    for (const { blob, about, ...old } of found.sort((a, b) => a.atMs - b.atMs)) {
      const prepared = await preparedPhoto(new File([blob], old.name, { type: blob.type || 'image/jpeg' }));
      const fit = typeof prepared === 'string' ? { blob, widthPx: 1, heightPx: 1, sizeBytes: blob.size } : prepared;
      await keepPicture(old.id, fit.blob);
      take({ ...old, ...fit, about: about ?? null });
    }
    for (const place of places) await del(place);
  });
}
