import type { OpenAPIHono } from '@hono/zod-openapi';
import { photoSize, readPhoto, storePhoto } from '../persistence/photoBytes';
import { acceptPhoto } from '../usecases/acceptPhoto';
import { Refusal, refused } from '../usecases/answer';
import { type HandlerContext, readingFor } from './handlerContext';
import { type Found, serve } from './routes';

/** Pictures: their bytes, kept once under their id. */
export function photoHandlers(app: OpenAPIHono<Found>, handling: HandlerContext): void {
  serve(app, 'putPhoto', async ({ places: { photoId }, query: { name }, sender, context }) => {
    const transaction = readingFor(handling, sender);
    const known = await photoSize(transaction, photoId);
    if (known) return known;
    const accepted = await acceptPhoto(name, Buffer.from(await context.req.arrayBuffer()));
    if (!accepted.ok) throw new Refusal(refused('fields.refused', { fields: [accepted.error] }));
    await storePhoto(transaction, photoId, accepted.photo);
    const { widthPx, heightPx, content } = accepted.photo;
    return { widthPx, heightPx, sizeBytes: content.length };
  });

  serve(app, 'readPhoto', async ({ places: { photoId, size }, sender, context }) => {
    const photo = await readPhoto(readingFor(handling, sender), photoId, size);
    if (!photo) throw new Refusal(refused('notFound'));
    context.header('Content-Type', photo.mime);
    context.header('Cache-Control', 'private, max-age=31536000, immutable');
    context.header('Cross-Origin-Resource-Policy', 'same-origin');
    return context.body(new Uint8Array(photo.content));
  });
}
