/** Where the server gives a kept picture. */
export const photoAddress = (id: string, size: 'full' | 'thumbnail') => `/api/photos/${id}/${size}`;
