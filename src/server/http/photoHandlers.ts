import type { OpenAPIHono } from '@hono/zod-openapi';
import { photoSize, readPhoto, storePhoto } from '../persistence/photoBytes';
import { acceptPhoto } from '../usecases/acceptPhoto';
import { errorAnswer } from './guard';
import { type HandlerContext, readingFor } from './handlerContext';
import { getPhoto, putPhoto } from './projectRoutes';

/** Pictures: their bytes, kept once under their id. */
export function photoHandlers(app: OpenAPIHono, handling: HandlerContext): void {
  const reader = (device: string | undefined) => readingFor(handling, device);
  app.openapi(putPhoto, async (context) => {
    const { photoId } = context.req.valid('param');
    const { name } = context.req.valid('query');
    const transaction = reader(context.req.header('x-device'));
    const known = await photoSize(transaction, photoId);
    if (known) return context.json(known, 200);
    const accepted = await acceptPhoto(name, Buffer.from(await context.req.arrayBuffer()));
    if (!accepted.ok) return errorAnswer(context, 'fields.refused', { fields: [accepted.error] }) as never;
    await storePhoto(transaction, photoId, accepted.photo);
    const { widthPx, heightPx, content } = accepted.photo;
    return context.json({ widthPx, heightPx, sizeBytes: content.length }, 200);
  });

  app.openapi(getPhoto, async (context) => {
    const { photoId, size } = context.req.valid('param');
    const photo = await readPhoto(reader(context.req.header('x-device')), photoId, size);
    if (!photo) return errorAnswer(context, 'notFound') as never;
    context.header('Content-Type', photo.mime);
    context.header('Cache-Control', 'private, max-age=31536000, immutable');
    context.header('Cross-Origin-Resource-Policy', 'same-origin');
    return context.body(new Uint8Array(photo.content)) as never;
  });
}
