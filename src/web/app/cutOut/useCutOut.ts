import type { ThingPicture } from '@core/arrange/look/thingView';
import { useQueries, useQuery } from '@tanstack/react-query';
import { photoBlob } from '../../ui/photoAddress';
import { photoWorker } from './photoWorker';

/** The longest side of a cut-out as it is shown in a look; a saved picture cuts it anew, in full. */
const LOOK_PX = 800;

/** A picture as something that can be drawn. */
export async function bitmapOf(photoId: string): Promise<ImageBitmap> {
  return createImageBitmap(await photoBlob(photoId, 'full'));
}

/** A blob as an address that needs no giving back. */
const addressOf = (blob: Blob): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result));
    reader.onerror = () => reject(reader.error ?? new Error('the picture cannot be read'));
    reader.readAsDataURL(blob);
  });

const cutOutQuery = (picture: ThingPicture) => ({
  queryKey: ['cutOut', picture],
  queryFn: async () => addressOf(await photoWorker().cut(await bitmapOf(picture.photoId), picture, LOOK_PX)),
  staleTime: Number.POSITIVE_INFINITY,
  retry: 1,
});

/** The cut picture of a thing, as large as it is shown; null while it is made, or where it cannot be. */
export const useCutOut = (picture: ThingPicture): string | null => useQuery(cutOutQuery(picture)).data ?? null;

/** The same of several things, in their order. */
export const useCutOuts = (pictures: readonly ThingPicture[]): readonly (string | null)[] =>
  useQueries({ queries: pictures.map(cutOutQuery) }).map(({ data }) => data ?? null);
