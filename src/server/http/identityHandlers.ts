import type { WhoAnswer } from '@contract/identity';
import type { OpenAPIHono } from '@hono/zod-openapi';
import type { Context, MiddlewareHandler } from 'hono';
import { deleteCookie, getCookie, setCookie } from 'hono/cookie';
import type { Session } from '../persistence/people';
import { Refusal, refused } from '../usecases/answer';
import { type Asker, type Identity, type LetIn, SESSION_MS } from '../usecases/identity';
import { photoBySecret, sharedLinks, shareProject, sheetBySecret, unshare } from '../usecases/share';
import { type HandlerContext, readingFor } from './handlerContext';
import { type Found, type Sender, serve } from './routes';

/** How a device keeps its token: out of reach of scripts, never sent from another site. */
export interface Cookies {
  /** Whether the page is served over TLS: then the cookie never leaves it. */
  isSecure: boolean;
  /** Whether a proxy of one's own says from where somebody asks. */
  trustsProxy: boolean;
}

const nameOf = ({ isSecure }: Cookies) => (isSecure ? '__Host-euporia' : 'euporia');
const cookieOf = ({ isSecure }: Cookies) =>
  ({ path: '/', httpOnly: true, sameSite: 'Strict', secure: isSecure }) as const;

/** Finds out who asks, by the cookie of their device. */
export function whoAsks(identity: Identity, cookies: Cookies): MiddlewareHandler<Found> {
  return async (context, next) => {
    const asker = await identity.askerOf(getCookie(context, nameOf(cookies)));
    context.set('asker', asker);
    // A device notes whose work it keeps: what somebody typed goes out in their name.
    if (asker.kind !== 'stranger') context.header('x-person', asker.kind === 'person' ? asker.session.person.id : '');
    return next();
  };
}

/**
 * From where somebody asks, for counting tries: what the server itself sees; behind a proxy of one's own what that one
 * saw, which is the last that its header names.
 */
const fromOf = (context: Context, { trustsProxy }: Cookies): string => {
  const forwarded = context.req.header('x-forwarded-for')?.split(',').at(-1)?.trim();
  if (trustsProxy && forwarded) return forwarded.slice(0, 80);
  const { incoming } = (context.env ?? {}) as { incoming?: { socket?: { remoteAddress?: string } } };
  return incoming?.socket?.remoteAddress ?? 'unknown';
};

/** Who is signed in; whoever asks without being so is told to. */
function sessionOf({ asker }: Sender): Session {
  if (asker.kind !== 'person') throw new Refusal(refused('notFound'));
  return asker.session;
}

/** Coming in, going out, further devices and further people. */
export function identityHandlers(
  app: OpenAPIHono<Found>,
  handling: HandlerContext & { cookies: Cookies; address: string | null },
): void {
  const { identity, studios, cookies, address, environment, plan } = handling;
  const who = async (asker: Asker): Promise<WhoAnswer> => ({
    ...(await identity.who(asker)),
    address: asker.kind === 'stranger' ? null : address,
  });
  const keep = (context: Context, { token, session }: LetIn) => {
    context.header('x-person', session.person.id);
    setCookie(context, nameOf(cookies), token, { ...cookieOf(cookies), maxAge: SESSION_MS / 1000 });
    return who({ kind: 'person', session });
  };
  /** A code is told with where it is given. */
  const withAddress = async <T extends object>(told: Promise<T>) => ({ ...(await told), address });
  serve(app, 'whoAmI', ({ sender }) => who(sender.asker));
  serve(app, 'setUp', async ({ body, context }) =>
    keep(context, await identity.setUp(studios.openId, { ...body, from: fromOf(context, cookies) })),
  );
  serve(app, 'signIn', async ({ body, context }) =>
    keep(context, await identity.signIn({ ...body, from: fromOf(context, cookies) })),
  );
  serve(app, 'useCode', async ({ body, context }) =>
    keep(context, await identity.useCode({ ...body, from: fromOf(context, cookies) })),
  );
  serve(app, 'signOut', async ({ sender, context }) => {
    const session = sessionOf(sender);
    await identity.endSession(session, session.id);
    deleteCookie(context, nameOf(cookies), cookieOf(cookies));
    return who({ kind: 'stranger' });
  });
  serve(app, 'confirm', async ({ body, sender }) => {
    await identity.confirm(sessionOf(sender), body.passPhrase);
    return who(sender.asker);
  });
  serve(app, 'setPassPhrase', async ({ body, sender }) => {
    await identity.setPassPhrase(sessionOf(sender), body.passPhrase, body.present);
    return { ...(await who(sender.asker)), hasPassPhrase: true };
  });
  serve(app, 'makeCode', ({ sender }) => withAddress(identity.makeCode(sessionOf(sender).person)));
  serve(app, 'listSessions', async ({ sender }) => ({ sessions: await identity.sessions(sessionOf(sender)) }));
  serve(app, 'endSession', async ({ places: { sessionId }, sender }) => {
    const session = sessionOf(sender);
    await identity.endSession(session, sessionId);
    return { sessions: await identity.sessions(session) };
  });
  serve(app, 'listPeople', async ({ sender }) => ({
    people: await identity.people(sessionOf(sender).person.studioId),
  }));
  serve(app, 'addPerson', ({ body, sender }) => withAddress(identity.invite(sessionOf(sender).person.studioId, body)));
  serve(app, 'inviteAgain', ({ places: { personId }, sender }) =>
    withAddress(identity.inviteAgain(sessionOf(sender).person.studioId, personId)),
  );
  serve(app, 'shareProject', async ({ places: { projectId }, body, sender }) => {
    const by = sender.asker.kind === 'person' ? sender.asker.session.person.name : '';
    const made = await shareProject(readingFor(handling, sender), projectId, { ...body, by }, environment);
    return { ...made, address };
  });
  serve(app, 'listLinks', ({ places: { projectId }, sender }) =>
    sharedLinks(readingFor(handling, sender), projectId, environment),
  );
  serve(app, 'endLink', ({ places: { projectId, linkId }, sender }) =>
    unshare(readingFor(handling, sender), projectId, linkId, environment),
  );
  serve(app, 'readSheet', ({ body, context }) =>
    identity.opened(fromOf(context, cookies), () => sheetBySecret(handling, body.secret, plan)),
  );
  serve(app, 'readSheetPhoto', async ({ body, context }) => {
    const photo = await identity.opened(fromOf(context, cookies), () => photoBySecret(handling, body));
    context.header('Content-Type', photo.mime);
    return context.body(new Uint8Array(photo.content));
  });
  serve(app, 'removePerson', async ({ places: { personId }, sender }) => {
    const { studioId } = sessionOf(sender).person;
    await identity.remove(studioId, personId);
    return { people: await identity.people(studioId) };
  });
}
