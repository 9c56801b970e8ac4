import type { OpenAPIHono } from '@hono/zod-openapi';
import type { MiddlewareHandler } from 'hono';
import { Refusal, refused } from '../usecases/answer';
import { exportStudio } from '../usecases/exportStudio';
import { importStudio } from '../usecases/importStudio';
import type { Studios } from '../usecases/studios';
import type { HandlerContext } from './handlerContext';
import { type Found, serve } from './routes';

/**
 * A page says in which studio it was opened; what it says counts where there is such a one. One that does not know yet
 * is told.
 */
export function studioOfPage(studios: Studios): MiddlewareHandler<Found> {
  return async (context, next) => {
    // A picture or a file that the browser fetches by itself says it in its address.
    const said = context.req.header('x-studio') ?? context.req.query('studio');
    const asker = context.get('asker');
    // Who is signed in is in their own studio, whatever is said; a stranger is told of none.
    if (asker.kind === 'person') context.set('studioId', asker.session.person.studioId);
    else if (asker.kind === 'local' && said && isId(said) && (await studios.has(said))) context.set('studioId', said);
    const shown = context.get('studioId') ?? (asker.kind === 'local' ? studios.openId : undefined);
    if (shown !== undefined) context.header('x-studio', shown);
    return next();
  };
}

const isId = (text: string) => /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i.test(text);

/** Studios: which there are, opening another, beginning with an empty one. */
export function studioHandlers(app: OpenAPIHono<Found>, handling: HandlerContext): void {
  const { studios, actor, write, database, environment } = handling;
  const answer = async (openId = studios.openId, isOnly = false) => ({
    studios: (await studios.list(openId))
      .filter(({ id }) => !isOnly || id === openId)
      .map((studio) => ({ ...studio, isOpen: studio.id === openId })),
  });
  // Open to a page is the studio that it is in.
  serve(app, 'listStudios', ({ sender }) => answer(sender.studioId, sender.asker.kind === 'person'));
  serve(app, 'beginEmpty', async ({ sender }) => {
    await write(actor(sender), 'studios', () => studios.beginEmpty());
    return answer();
  });
  serve(app, 'openStudio', async ({ places: { studioId }, sender }) => {
    const isThere = await write(actor(sender), 'studios', () => studios.open(studioId));
    if (!isThere) throw new Refusal(refused('notFound'));
    return answer();
  });
  serve(app, 'exportStudio', async ({ sender, context }) => {
    const { name, stream } = await exportStudio(database, actor(sender), environment);
    const called =
      name
        .replace(/[^\p{L}\p{N}]+/gu, '-')
        .replace(/^-|-$/g, '')
        .toLowerCase() || 'studio';
    context.header('Content-Type', 'application/zip');
    context.header('Content-Disposition', `attachment; filename*=UTF-8''${encodeURIComponent(called)}.studio.zip`);
    return context.body(stream);
  });
  serve(app, 'importStudio', async ({ sender, context }) => {
    const { body } = context.req.raw;
    if (!body) throw new Refusal(refused('request.malformed'));
    const { device } = actor(sender);
    const studioId = await write(actor(sender), 'studios', () => importStudio(database, body, device, environment));
    await studios.open(studioId);
    return answer();
  });
}
