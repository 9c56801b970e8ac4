import type { DoneAnswer, ProjectListAnswer, RefusedAnswer } from '@contract/answers';
import type { Command } from '@contract/commands';
import type {
  FitAnswer,
  HouseImportProgress,
  HouseImportWish,
  HousePanelsAnswer,
  HousePreviewAnswer,
  PiecePageAnswer,
  PieceQuery,
  RiserAnswer,
} from '@contract/house';
import type { ProjectRows } from '@core/plan/rows';
import type { Rim } from './words';

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

async function request(path: string, init: RequestInit = {}): Promise<Response> {
  let response: Response;
  try {
    response = await fetch(path, { ...init, headers: { 'x-device': deviceName, ...init.headers } });
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

const post = (path: string, body: unknown) =>
  request(path, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });

export interface Snapshot {
  rows: ProjectRows;
  tag: string;
}

/** The studio's shared rows with the units, money and clock to show them in. */
export interface HouseSnapshot {
  rows: ProjectRows;
  rim: Rim;
  studioId: string;
  tag: string;
}

/** Shown in where the studio has no project yet. */
const firstRim: Rim = {
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
    return (await request('/api/projects?limit=200')).json();
  },
  /** A project's rows, or null when they are still those of `tag`. */
  async snapshot(projectId: string, tag: string | null): Promise<Snapshot | null> {
    const response = await request(
      `/api/projects/${projectId}/snapshot`,
      tag === null ? {} : { headers: { 'if-none-match': `W/"${tag}"` }, cache: 'no-store' },
    );
    if (response.status === 304) return null;
    return {
      rows: (await response.json()) as ProjectRows,
      tag: (response.headers.get('etag') ?? '').replace(/^W\//, '').replaceAll('"', ''),
    };
  },
  async command(command: Command): Promise<DoneAnswer> {
    return (await post('/api/commands', command)).json();
  },
  /** Sends a picture; the server keeps it upright, without tags, with a thumbnail. */
  async putPhoto(
    id: string,
    name: string,
    blob: Blob,
  ): Promise<{ widthPx: number; heightPx: number; sizeBytes: number }> {
    const response = await request(`/api/photos/${id}?name=${encodeURIComponent(name.slice(0, 200))}`, {
      method: 'PUT',
      headers: { 'content-type': blob.type || 'image/jpeg' },
      body: blob,
    });
    return response.json();
  },
  /** Copies a project: as it is, or for the next season with its slots open again. */
  async copyProject(
    projectId: string,
    wish: { id: string; kind: 'duplicate' | 'nextSeason'; name: string },
  ): Promise<{ projectId: string; name: string }> {
    return (await post(`/api/projects/${projectId}/copy`, wish)).json();
  },
  async house(): Promise<HouseSnapshot> {
    const response = await request('/api/house');
    const { studioId, rim, ...rows } = (await response.json()) as ProjectRows & { studioId: string; rim: Rim | null };
    return { rows, studioId, rim: rim ?? firstRim, tag: response.headers.get('etag') ?? '' };
  },
  async pieces(query: PieceQuery, page: { limit: number; offset: number }): Promise<PiecePageAnswer> {
    return (await request(`/api/house/pieces?${queryText({ ...query, ...page })}`)).json();
  },
  async fits(projectId: string, slotId: string, page: { limit: number; offset: number }): Promise<FitAnswer> {
    return (await request(`/api/projects/${projectId}/slots/${slotId}/fits?${queryText(page)}`)).json();
  },
  async risers(wish: {
    gapMm: number;
    toleranceMm: number;
    widthMm?: number | null;
    depthMm?: number | null;
  }): Promise<RiserAnswer> {
    return (await request(`/api/house/risers?${queryText(wish)}`)).json();
  },
  async panels(): Promise<HousePanelsAnswer> {
    return (await request('/api/house/panels')).json();
  },
  async previewHouse(wish: HouseImportWish): Promise<HousePreviewAnswer> {
    return (await post('/api/house/import/preview', wish)).json();
  },
  /** Brings a file into the house; `tell` hears how far it is. Aborting the signal cancels, and nothing is written. */
  async importHouse(
    wish: HouseImportWish,
    tell: (progress: HouseImportProgress) => void,
    signal: AbortSignal,
  ): Promise<HouseImportProgress> {
    const response = await request('/api/house/import', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(wish),
      signal,
    });
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
  async importFile(file: unknown, mode: 'copy' | 'update'): Promise<{ projectId: string; name: string }> {
    return (await post('/api/projects/import', { mode, file })).json();
  },
};
