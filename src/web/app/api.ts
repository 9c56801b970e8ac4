// First of all: this module makes an id when it is loaded, also where the page came without TLS.
import './plainHttp';
import { addresses, addressOf, type EndpointName, type PlacesOf } from '@contract/addresses';
import type { RefusedAnswer } from '@contract/answers';
import type { AnswerOf, Request } from '@contract/endpoints';
import type { HouseRows, ProjectRows } from '@core/model/rows';
import { forgetKept, orKept } from '../sync/deviceStore';
import { putPersonHere } from '../ui/devicePerson';
import { putTabInto, studioLookedAt, studioOfTab } from '../ui/tabStudio';
import { gate } from './gate/gate';
import { saveBlob } from './saveFile';
import { noteServerClock } from './serverClock';
import type { ProjectLocale } from './words';

/** A refusal of the server as an error; `gone` says that nobody answered and that trying again makes sense. */
export class ApiError extends Error {
  readonly answer: RefusedAnswer;
  readonly status: number;
  constructor(status: number, answer: RefusedAnswer) {
    super(answer.sentence);
    this.status = status;
    this.answer = answer;
  }
  get gone(): boolean {
    // Whoever has to sign in first sends it again afterwards.
    if (this.answer.code === 'signIn.required') return true;
    return this.status === 0 || this.status === 503 || this.status === 502 || this.status === 429;
  }
  /** Somebody answered that everybody is at work: it goes on in a moment, and nothing is wrong. */
  get busy(): boolean {
    return this.answer.code === 'server.busy';
  }
}

const silence: RefusedAnswer = {
  code: 'database.gone',
  sentence: 'Euporia does not answer just now. Try it again in a moment.',
};

/** This device's name for the record of acts. */
export const deviceName = (() => {
  const known = localStorage.getItem('euporia.device');
  if (known) return known;
  const made = crypto.randomUUID();
  localStorage.setItem('euporia.device', made);
  return made;
})();

/**
 * Takes over the studio that an answer is of, where none was said so far or the one that was is not there any more. An
 * answer that was asked for in a studio which the tab has left meanwhile says nothing of where it is now.
 */
function adoptStudio(said: string | null, askedIn: string | null): void {
  if (said !== null && said !== studioOfTab() && askedIn === studioOfTab()) putTabInto(said);
}

/** How long an answer may take before the page says that nobody answers, in milliseconds. */
const READ_LIMIT_MS = 20_000;
const WRITE_LIMIT_MS = 60_000;
/** Files and photos take their time. */
const FILE_LIMIT_MS = 600_000;
/** A studio with thousands of pictures takes more of it. */
const STUDIO_LIMIT_MS = 30 * 60_000;

const answered = new Set<() => void>();
/** Tells whenever the server gave what it was asked for, or opened a line. */
export function onAnswered(listener: () => void): () => void {
  answered.add(listener);
  return () => answered.delete(listener);
}
/** The server is there: it answered, or opened a line to hear of changes by. */
export function serverIsThere(): void {
  for (const listener of answered) listener();
}

/** How a call is made, beside what it asks. */
interface CallOptions {
  /** The studio that it is of, where that is not the one that the tab is in. */
  studioId?: string | null;
  headers?: Readonly<Record<string, string>>;
  /** What is sent as it is, instead of a body of JSON. */
  picture?: Blob;
  signal?: AbortSignal;
  limitMs?: number;
}

/** Sends a request to an endpoint; whatever is no good answer is thrown. */
async function send<N extends EndpointName>(name: N, asked: Request<N>, options: CallOptions = {}): Promise<Response> {
  const { headers = {}, picture, signal, limitMs } = options;
  // All that may be asked, whatever the endpoint: its own part is in the type of what was given.
  const { query, body } = asked as { query?: object; body?: unknown };
  const { places } = asked as { places: { [P in PlacesOf<N>]: string } };
  const { method } = addresses[name];
  const limit = AbortSignal.timeout(limitMs ?? (method === 'get' ? READ_LIMIT_MS : WRITE_LIMIT_MS));
  const studio = options.studioId ?? studioOfTab();
  const visit = gate.visit();
  let response: Response;
  const askedMs = Date.now();
  try {
    response = await fetch(addressOf(name, places, query), {
      method: method.toUpperCase(),
      signal: signal ? AbortSignal.any([signal, limit]) : limit,
      headers: {
        'x-device': deviceName,
        ...(studio === null ? {} : { 'x-studio': studio }),
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
        ...headers,
      },
      ...(picture ? { body: picture } : body === undefined ? {} : { body: JSON.stringify(body) }),
    });
  } catch {
    throw new ApiError(0, silence);
  }
  adoptStudio(response.headers.get('x-studio'), studio);
  const person = response.headers.get('x-person');
  if (person !== null) putPersonHere(person);
  noteServerClock(response.headers.get('x-now'), askedMs, Date.now());
  if (response.ok || response.status === 304) {
    serverIsThere();
    return response;
  }
  let answer = silence;
  try {
    answer = (await response.json()) as RefusedAnswer;
  } catch {
    // Something between us answered; treat it as silence.
  }
  // What was asked before somebody came in, and is refused late, asks nobody to come in again.
  if (answer.code === 'signIn.required' && gate.visit() === visit) gate.wantSignIn();
  // Once somebody has given the pass phrase the same is asked again.
  if (answer.code === 'confirm.required' && (await gate.confirm())) return send(name, asked, options);
  throw new ApiError(response.status, answer);
}

/**
 * The body of an answer, of the form that its endpoint promises; one that is cut off on its way is as if nobody had
 * answered. That the server keeps its promises is held in its tests, so the page need not look through every answer.
 */
async function read<N extends EndpointName>(response: Response): Promise<AnswerOf<N>> {
  try {
    return (await response.json()) as AnswerOf<N>;
  } catch {
    throw new ApiError(0, silence);
  }
}

/** Asks an endpoint and reads its answer. */
const call = async <N extends EndpointName>(name: N, asked: Request<N>, options?: CallOptions): Promise<AnswerOf<N>> =>
  read<N>(await send(name, asked, options));

export interface Snapshot {
  rows: ProjectRows;
  tag: string;
}

/** The studio's shared rows with the units, money and clock to show them in. */
export interface HouseSnapshot {
  rows: HouseRows;
  locale: ProjectLocale;
  studioId: string;
  tag: string;
}

/** Shown in where the studio has no project yet. */
const firstLocale: ProjectLocale = {
  units: 'us',
  currency: 'USD',
  timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
};

/** The state that an answer says it is of. */
const stateOf = (response: Response) => (response.headers.get('etag') ?? '').replace(/^W\//, '').replaceAll('"', '');

/** Whether an error says that nobody answered: not that somebody has to sign in first. */
const isSilence = (error: unknown): boolean =>
  error instanceof ApiError && error.gone && !error.busy && error.answer.code !== 'signIn.required';
/** What the server answers; without a connection what it answered last on this device, in the studio of this tab. */
function orLast<T>(what: string, answer: () => Promise<T>): Promise<T> {
  const asked = studioOfTab();
  // Where the tab was in none yet, the answer tells which it is.
  return orKept(() => `${asked ?? studioLookedAt()}:${what}`, answer, isSilence);
}

/** The calls that the page makes. */
export const api = {
  me: () => orLast('me', () => call('whoAmI', {})),
  setUp: (body: Request<'setUp'>['body']) => call('setUp', { body }),
  signIn: (body: Request<'signIn'>['body']) => call('signIn', { body }),
  enterByCode: (body: Request<'useCode'>['body']) => call('useCode', { body }),
  async signOut() {
    const answer = await call('signOut', { body: {} });
    await forgetKept();
    await globalThis.caches?.delete('thumbnails');
    return answer;
  },
  confirm: (passPhrase: string) => call('confirm', { body: { passPhrase } }),
  setPassPhrase: (body: Request<'setPassPhrase'>['body']) => call('setPassPhrase', { body }),
  makeCode: () => call('makeCode', { body: {} }),
  sessions: () => call('listSessions', {}),
  endSession: (sessionId: string) => call('endSession', { places: { sessionId }, body: {} }),
  people: () => call('listPeople', {}),
  addPerson: (body: Request<'addPerson'>['body']) => call('addPerson', { body }),
  inviteAgain: (personId: string) => call('inviteAgain', { places: { personId }, body: {} }),
  removePerson: (personId: string) => call('removePerson', { places: { personId }, body: {} }),
  /** Saves a file that the server makes, where the pass phrase may be asked for first. */
  async saveExport<N extends 'exportProject' | 'exportHouse' | 'exportStudio'>(
    name: N,
    asked: Request<N>,
  ): Promise<void> {
    const response = await send(name, asked, { limitMs: FILE_LIMIT_MS });
    const said = response.headers.get('content-disposition') ?? '';
    const [, coded, plain] = /filename\*=UTF-8''(\S+)|filename="([^"]+)"/.exec(said) ?? [];
    saveBlob(coded === undefined ? (plain ?? 'euporia') : decodeURIComponent(coded), await response.blob());
  },
  links: (projectId: string) => call('listLinks', { places: { projectId } }),
  share: (projectId: string, body: Request<'shareProject'>['body']) =>
    call('shareProject', { places: { projectId }, body }),
  endLink: (projectId: string, linkId: string) => call('endLink', { places: { projectId, linkId }, body: {} }),
  sheet: (secret: string) => call('readSheet', { body: { secret } }),
  sheetPhoto: async (secret: string, photoId: string) =>
    (await send('readSheetPhoto', { body: { secret, photoId } })).blob(),
  studios: () => call('listStudios', {}),
  /** Opens another studio, or an empty one, and begins anew in it: all that the page knows is of the one it leaves. */
  async enterStudio(studioId: string | null): Promise<void> {
    const { studios } =
      studioId === null
        ? await call('beginEmpty', { body: {} })
        : await call('openStudio', { places: { studioId }, body: {} });
    const open = studios.find(({ isOpen }) => isOpen);
    if (open) putTabInto(open.id);
    window.location.assign('/');
  },
  /** Brings a file in as a studio of its own, and begins anew in it. */
  async bringStudio(file: Blob): Promise<void> {
    const { studios } = await call(
      'importStudio',
      {},
      { picture: file, headers: { 'content-type': 'application/zip' }, limitMs: STUDIO_LIMIT_MS },
    );
    const open = studios.find(({ isOpen }) => isOpen);
    if (open) putTabInto(open.id);
    window.location.assign('/');
  },
  /** Looks for this very address in another studio, in this tab only. */
  lookInStudio(studioId: string): void {
    putTabInto(studioId);
    window.location.reload();
  },

  projects: () => orLast('projects', () => call('listProjects', { query: { limit: 200 } })),
  /** A project's rows, or null when they are still those of `tag`. */
  async snapshot(projectId: string, tag: string | null): Promise<Snapshot | null> {
    const known: CallOptions = tag === null ? {} : { headers: { 'if-none-match': `W/"${tag}"` } };
    const response = await send('readSnapshot', { places: { projectId } }, known);
    if (response.status === 304) return null;
    // The start page asks for no project's rows: what reads them comes with the first.
    const { presentRows } = await import('@core/formats/project/presentRows');
    return { rows: presentRows(await read<'readSnapshot'>(response)), tag: stateOf(response) };
  },
  /** @param studioId the studio that it is of; that of the tab where nothing is said */
  command: (command: Request<'runCommand'>['body'], studioId: string | null = null) =>
    call('runCommand', { body: command }, { studioId }),
  /** Sends a picture; the server keeps it upright, without tags, with a thumbnail. */
  putPhoto: (photoId: string, name: string, picture: Blob, studioId: string | null = null) =>
    call(
      'putPhoto',
      { places: { photoId }, query: { name: name.slice(0, 200) } },
      { picture, headers: { 'content-type': picture.type || 'image/jpeg' }, limitMs: FILE_LIMIT_MS, studioId },
    ),
  bills: () => orLast('bills', () => call('listBills', { query: { limit: 200 } })),
  /** Copies a project: as it is, or for the next season with its slots open again. */
  copyProject: (projectId: string, body: Request<'copyProject'>['body']) =>
    call('copyProject', { places: { projectId }, body }),
  house: () =>
    orLast('house', async (): Promise<HouseSnapshot> => {
      const response = await send('readHouse', {});
      const { studioId, locale, ...rows } = await read<'readHouse'>(response);
      return { rows, studioId, locale: locale ?? firstLocale, tag: stateOf(response) };
    }),
  /** Pieces as they are asked for; without a connection those that were seen last, where no words narrow them. */
  pieces: (query: Request<'listPieces'>['query']) =>
    query?.words
      ? call('listPieces', { query })
      : orLast(`pieces:${JSON.stringify(query)}`, () => call('listPieces', { query })),
  fits: (projectId: string, slotId: string, page: { limit: number; offset: number }) =>
    call('rankForSlot', { places: { projectId, slotId }, query: page }),
  risers: (query: Request<'listRisers'>['query']) => call('listRisers', { query }),
  panels: () => call('readPanels', {}),
  previewHouse: (body: Request<'previewHouseImport'>['body']) => call('previewHouseImport', { body }),
  /** Notes a long work; sent again under the same id, it is noted once. */
  startJob: (body: Request<'startJob'>['body']) => call('startJob', { body }, { limitMs: FILE_LIMIT_MS }),
  jobs: () => call('listJobs', {}),
  job: (jobId: string) => call('readJob', { places: { jobId } }),
  cancelJob: (jobId: string) => call('cancelJob', { places: { jobId }, body: {} }),
};
