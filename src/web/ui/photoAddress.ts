import { addressOf } from '@contract/addresses';
import { localPicture } from './localPictures';
import { inTabStudio } from './tabStudio';

const ofServer = (photoId: string, size: 'full' | 'thumbnail') =>
  inTabStudio(addressOf('readPhoto', { photoId, size }));

/** Where a picture is: on this device until the server has it, then there. */
export const photoAddress = (photoId: string, size: 'full' | 'thumbnail'): string =>
  localPicture(photoId)?.address ?? ofServer(photoId, size);

/**
 * The bytes of a picture, from wherever they are.
 * @throws Error where nobody gives them
 */
export async function photoBlob(photoId: string, size: 'full' | 'thumbnail'): Promise<Blob> {
  const local = localPicture(photoId);
  if (local) return local.picture;
  const answer = await fetch(ofServer(photoId, size));
  if (!answer.ok) throw new Error('the picture is not there');
  return answer.blob();
}
