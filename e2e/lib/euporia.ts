import { type ChildProcess, spawn } from 'node:child_process';
import { rmSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { freePort } from '../../scripts/lib/postgres.mjs';
import { temporaryFolder } from '../../scripts/lib/temporary.mjs';

export const ROOT = dirname(dirname(dirname(fileURLToPath(import.meta.url))));
const PATIENCE_MS = 180_000;
const MOST_PORTS = 4;

export interface StartSettings {
  /** Tree to start; the project itself by default. */
  root?: string;
  data?: string;
  port?: number;
  env?: Record<string, string>;
  args?: readonly string[];
  /** Program and arguments to run the start script through, for example as another user. */
  through?: readonly string[];
}

/** A running `npm start`, as a person at a terminal has it. */
export class Euporia {
  readonly address: string;
  readonly data: string;
  readonly port: number;
  private child: ChildProcess | null = null;
  private said = '';
  private readonly settings: StartSettings;

  private constructor(settings: StartSettings, data: string, port: number) {
    this.settings = settings;
    this.data = data;
    this.port = port;
    this.address = `http://127.0.0.1:${port}`;
  }

  /** Starts on a free port with data of its own, and waits until it says that it is ready. */
  static async start(settings: StartSettings = {}): Promise<Euporia> {
    const data = settings.data ?? temporaryFolder('euporia-journey');
    for (let tries = 1; ; tries += 1) {
      const euporia = new Euporia(settings, data, settings.port ?? (await freePort()));
      const code = await euporia.run(settings.args ?? []);
      if (code === null) return euporia;
      // Between finding a port and taking it somebody else may have taken it: another one is found then.
      const isTaken = settings.port === undefined && euporia.said.includes('EADDRINUSE');
      if (!isTaken || tries === MOST_PORTS) throw new Error(`npm start ended with ${code}:\n${euporia.said}`);
    }
  }

  /** Starts it once more on the same data and port. */
  async again(args: readonly string[] = this.settings.args ?? []): Promise<void> {
    const code = await this.run(args);
    if (code !== null) throw new Error(`npm start ended with ${code}:\n${this.said}`);
  }

  /** Runs the start script; gives null once it is ready, or the exit code when it ends before. */
  async run(args: readonly string[] = []): Promise<number | null> {
    const root = this.settings.root ?? ROOT;
    const [program = process.execPath, ...before] = [...(this.settings.through ?? []), process.execPath];
    this.said = '';
    const child = spawn(program, [...before, join(root, 'scripts/start.mjs'), ...args], {
      cwd: root,
      detached: true,
      stdio: ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, PORT: String(this.port), EUPORIA_DATA: this.data, ...this.settings.env },
    });
    this.child = child;
    return new Promise((done, fail) => {
      const timer = setTimeout(() => fail(new Error(`npm start is not ready:\n${this.said}`)), PATIENCE_MS);
      const hear = (chunk: Buffer) => {
        this.said += chunk.toString();
        if (this.said.includes('Euporia is ready')) {
          clearTimeout(timer);
          done(null);
        }
      };
      child.stdout?.on('data', hear);
      child.stderr?.on('data', hear);
      child.once('exit', (code) => {
        clearTimeout(timer);
        done(code ?? -1);
      });
    });
  }

  /** Everything it printed since it was started last. */
  get output(): string {
    return this.said;
  }

  get pid(): number {
    return this.child?.pid ?? 0;
  }

  /** Ctrl-C, and waits for the end; gives the exit code. */
  async interrupt(): Promise<number | null> {
    const { child } = this;
    if (!child?.pid || child.exitCode !== null) return child?.exitCode ?? null;
    const ended = new Promise<number | null>((done) => child.once('exit', done));
    process.kill(child.pid, 'SIGINT');
    return ended;
  }

  /** Ends it and removes its data. */
  async remove(): Promise<void> {
    await this.interrupt();
    rmSync(this.data, { recursive: true, force: true, maxRetries: 5 });
  }

  /** Has a long work done, to its end, and gives what came of it. */
  async work(kind: string, asked: object): Promise<unknown> {
    const id = crypto.randomUUID();
    const begun = await fetch(`${this.address}/api/jobs`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ id, kind, title: kind, asked }),
    });
    if (!begun.ok) throw new Error(`${kind}: ${await begun.text()}`);
    for (;;) {
      const work = (await this.json(`/api/jobs/${id}`)) as { state: string; result: unknown };
      if (work.state === 'done') return work.result;
      if (work.state !== 'waiting' && work.state !== 'working') throw new Error(`${kind}: ${JSON.stringify(work)}`);
      await new Promise((done) => setTimeout(done, 50));
    }
  }

  async json(path: string): Promise<unknown> {
    return (await fetch(`${this.address}${path}`)).json();
  }

  /** Does an act as another device does it; fails where it is refused. */
  async act(projectId: string, kind: string, payload: unknown): Promise<void> {
    const answer = await fetch(`${this.address}/api/commands`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ key: crypto.randomUUID(), projectId, kind, payload, expect: {} }),
    });
    if (!answer.ok) throw new Error(`${kind} was refused: ${await answer.text()}`);
  }
}
