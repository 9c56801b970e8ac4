import { addressOf } from '@contract/addresses';
import { inTabStudio } from './tabStudio';

/** Where the server gives a kept picture. */
export const photoAddress = (photoId: string, size: 'full' | 'thumbnail') =>
  inTabStudio(addressOf('readPhoto', { photoId, size }));
