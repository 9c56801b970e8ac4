import type { DoneAnswer, ProjectListAnswer, RefusedAnswer } from '@contract/answers';
import type { Command } from '@contract/commands';
import type { ProjectRows } from '@core/plan/rows';

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
  async importFile(file: unknown, mode: 'copy' | 'update'): Promise<{ projectId: string; name: string }> {
    return (await post('/api/projects/import', { mode, file })).json();
  },
};
