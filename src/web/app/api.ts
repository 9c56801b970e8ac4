import {
  type DoneAnswer,
  doneAnswer,
  type ImportedAnswer,
  importedAnswer,
  type ProjectListAnswer,
  photoAnswer,
  projectListAnswer,
  type RefusedAnswer,
} from '@contract/answers';
import type { Command } from '@contract/command';
import {
  type FitAnswer,
  fitAnswer,
  type HouseImportProgress,
  type HouseImportRequest,
  type HousePanelsAnswer,
  type HousePreviewAnswer,
  housePanelsAnswer,
  housePreviewAnswer,
  type PiecePageAnswer,
  type PieceQuery,
  piecePageAnswer,
  type RiserAnswer,
  riserAnswer,
} from '@contract/house';
import { presentRows } from '@core/formats/project/presentRows';
import type { HouseRows, ProjectRows, StoredRows } from '@core/model/rows';
import type { z } from 'zod';
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
    return this.status === 0 || this.status === 503 || this.status === 502 || this.status === 429;
  }
  /** Somebody answered that everybody is at work: it goes on in a moment, and nothing is wrong. */
  get busy(): boolean {
    return this.answer.code === 'server.busy';
  }
}

const silence: RefusedAnswer = {
  code: 'database.gone',
  sentence: 'Euporia does not answer. What you typed is kept here and goes on when it is back.',
};

/** This device's name for the record of acts. */
export const deviceName = (() => {
  const known = localStorage.getItem('euporia.device');
  if (known) return known;
  const made = crypto.randomUUID();
  localStorage.setItem('euporia.device', made);
  return made;
})();

/** How long an answer may take before the page says that nobody answers, in milliseconds. */
const READ_LIMIT_MS = 20_000;
const WRITE_LIMIT_MS = 60_000;
/** Files and photos take their time. */
const FILE_LIMIT_MS = 600_000;

async function request(
  path: string,
  init: RequestInit = {},
  limitMs = init.body === undefined ? READ_LIMIT_MS : WRITE_LIMIT_MS,
): Promise<Response> {
  let response: Response;
  try {
    const limit = AbortSignal.timeout(limitMs);
    const signal = init.signal ? AbortSignal.any([init.signal, limit]) : limit;
    response = await fetch(path, { ...init, signal, headers: { 'x-device': deviceName, ...init.headers } });
  } catch {
    throw new ApiError(0, silence);
  }
  if (response.ok || response.status === 304) return response;
  let answer = silence;
  try {
    answer = (await response.json()) as RefusedAnswer;
  } catch {
    // Something between us answered; treat it as silence.
  }
  throw new ApiError(response.status, answer);
}

/**
 * The body of an answer, of the shape that its route promises; one that is cut off on its way is as if nobody had
 * answered. That the server keeps its promises is held in its tests, so the page need not look through every answer.
 */
async function read<S extends z.ZodType>(response: Response, _promised: S): Promise<z.output<S>> {
  return readRows<z.output<S>>(response);
}

/** The same for rows, whose forms stand in the model and not in an answer. */
async function readRows<T>(response: Response): Promise<T> {
  try {
    return (await response.json()) as T;
  } catch {
    throw new ApiError(0, silence);
  }
}

const post = (path: string, body: unknown, limitMs = WRITE_LIMIT_MS) =>
  request(
    path,
    { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) },
    limitMs,
  );

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

const queryText = (query: object) =>
  new URLSearchParams(
    Object.entries(query).flatMap(([key, value]) =>
      value === undefined || value === null || value === '' ? [] : [[key, String(value)]],
    ),
  ).toString();

/** The few calls the page makes. */
export const api = {
  async projects(): Promise<ProjectListAnswer> {
    return read(await request('/api/projects?limit=200'), projectListAnswer);
  },
  /** A project's rows, or null when they are still those of `tag`. */
  async snapshot(projectId: string, tag: string | null): Promise<Snapshot | null> {
    const response = await request(
      `/api/projects/${projectId}/snapshot`,
      tag === null ? {} : { headers: { 'if-none-match': `W/"${tag}"` }, cache: 'no-store' },
    );
    if (response.status === 304) return null;
    return {
      rows: presentRows(await readRows<StoredRows>(response)),
      tag: (response.headers.get('etag') ?? '').replace(/^W\//, '').replaceAll('"', ''),
    };
  },
  async command(command: Command): Promise<DoneAnswer> {
    return read(await post('/api/commands', command), doneAnswer);
  },
  /** Sends a picture; the server keeps it upright, without tags, with a thumbnail. */
  async putPhoto(id: string, name: string, blob: Blob): Promise<z.output<typeof photoAnswer>> {
    const response = await request(
      `/api/photos/${id}?name=${encodeURIComponent(name.slice(0, 200))}`,
      {
        method: 'PUT',
        headers: { 'content-type': blob.type || 'image/jpeg' },
        body: blob,
      },
      FILE_LIMIT_MS,
    );
    return read(response, photoAnswer);
  },
  /** Copies a project: as it is, or for the next season with its slots open again. */
  async copyProject(
    projectId: string,
    asked: { id: string; kind: 'duplicate' | 'nextSeason'; name: string },
  ): Promise<ImportedAnswer> {
    return read(await post(`/api/projects/${projectId}/copy`, asked), importedAnswer);
  },
  async house(): Promise<HouseSnapshot> {
    const response = await request('/api/house');
    const { studioId, locale, ...rows } = await readRows<
      HouseRows & { studioId: string; locale: ProjectLocale | null }
    >(response);
    return { rows, studioId, locale: locale ?? firstLocale, tag: response.headers.get('etag') ?? '' };
  },
  async pieces(query: PieceQuery, page: { limit: number; offset: number }): Promise<PiecePageAnswer> {
    return read(await request(`/api/house/pieces?${queryText({ ...query, ...page })}`), piecePageAnswer);
  },
  async fits(projectId: string, slotId: string, page: { limit: number; offset: number }): Promise<FitAnswer> {
    return read(await request(`/api/projects/${projectId}/slots/${slotId}/fits?${queryText(page)}`), fitAnswer);
  },
  async risers(asked: {
    gapMm: number;
    toleranceMm: number;
    widthMm?: number | null;
    depthMm?: number | null;
  }): Promise<RiserAnswer> {
    return read(await request(`/api/house/risers?${queryText(asked)}`), riserAnswer);
  },
  async panels(): Promise<HousePanelsAnswer> {
    return read(await request('/api/house/panels'), housePanelsAnswer);
  },
  async previewHouse(asked: HouseImportRequest): Promise<HousePreviewAnswer> {
    return read(await post('/api/house/import/preview', asked), housePreviewAnswer);
  },
  /** Brings a file into the house; `tell` hears how far it is. Aborting the signal cancels, and nothing is written. */
  async importHouse(
    asked: HouseImportRequest,
    tell: (progress: HouseImportProgress) => void,
    signal: AbortSignal,
  ): Promise<HouseImportProgress> {
    const response = await request(
      '/api/house/import',
      {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(asked),
        signal,
      },
      FILE_LIMIT_MS,
    );
    let last: HouseImportProgress = { state: 'failed', sentence: silence.sentence };
    let rest = '';
    const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader();
    for (;;) {
      const chunk = await reader?.read();
      if (!chunk || chunk.done) return last;
      const lines = `${rest}${chunk.value}`.split('\n');
      rest = lines.pop() ?? '';
      for (const line of lines) {
        if (line === '') continue;
        last = JSON.parse(line) as HouseImportProgress;
        tell(last);
      }
    }
  },
  /** `key` is one for one intent: sent again, it is not done again. */
  async importFile(file: unknown, mode: 'copy' | 'update', key: string): Promise<ImportedAnswer> {
    return read(await post('/api/projects/import', { key, mode, file }, FILE_LIMIT_MS), importedAnswer);
  },
};
