import { addressOf } from '@contract/addresses';

/** Where the server gives a kept picture. */
export const photoAddress = (photoId: string, size: 'full' | 'thumbnail') => addressOf('readPhoto', { photoId, size });
