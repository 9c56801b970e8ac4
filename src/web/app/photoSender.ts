import { del, get, keys, set } from '../sync/deviceStore';
import { ApiError, api } from './api';
import { alone } from './plainHttp';

const RETRY_MS = 3000;

/** A picture on its way: kept on the device until the server has it. */
export interface WaitingPhoto<K extends string = string> {
  id: string;
  kind: K;
  name: string;
  blob: Blob;
  atMs: number;
  /** The find or receipt that it is of, by its id. */
  about?: string | undefined;
}

/** A picture that could not be taken, by name, with what would be accepted. */
export interface RefusedPhoto<K extends string = string> {
  kind: K;
  name: string;
  reason: string;
}

/** What the server says of a picture that it has. */
export interface PhotoSize {
  widthPx: number;
  heightPx: number;
  sizeBytes: number;
}

/** A part of a page that adds pictures. */
export interface PhotoPage<K extends string> {
  changed(): void;
  /** What to do once the server has one; any page of the same scope may be asked. */
  kept(entry: WaitingPhoto<K>, size: PhotoSize): void;
}

/**
 * Sends the pictures of one scope one after the other, each kept on the device until the server has it. All parts of a
 * page share one sender; of several tabs one sends at a time, and none sends what another has sent.
 */
export class PhotoSender<K extends string = string> {
  waiting: readonly WaitingPhoto<K>[] = [];
  refused: readonly RefusedPhoto<K>[] = [];
  private readonly pages = new Set<PhotoPage<K>>();
  private readonly scope: string;
  private loaded: Promise<void> | null = null;
  private sending = false;
  private timer: ReturnType<typeof setTimeout> | null = null;

  /** @param scope whose pictures: a project's id, or `house` */
  constructor(scope: string) {
    this.scope = scope;
  }

  /** A part of a page joins; what an earlier visit left is sent from now on. Gives the way to leave. */
  attach(page: PhotoPage<K>): () => void {
    this.pages.add(page);
    this.loaded ??= this.load();
    void this.loaded.then(() => this.pump());
    return () => {
      this.pages.delete(page);
    };
  }

  /** Puts pictures on their way. */
  async add(photos: readonly WaitingPhoto<K>[]): Promise<void> {
    this.waiting = [...this.waiting, ...photos];
    this.changed();
    for (const photo of photos) await set(this.keyOf(photo.id), photo);
    void this.pump();
  }

  /** Shows what cannot be taken; only the newest of a kind are shown. */
  refuse(kind: K, refused: readonly RefusedPhoto<K>[]): void {
    this.refused = [...this.refused.filter((entry) => entry.kind !== kind), ...refused];
    this.changed();
  }

  /** Tries at once. */
  retry(): void {
    if (this.timer) clearTimeout(this.timer);
    this.timer = null;
    void this.pump();
  }

  private readonly keyOf = (id: string) => `photo:${this.scope}:${id}`;

  private changed(): void {
    for (const page of this.pages) page.changed();
  }

  private async load(): Promise<void> {
    const here = this.keyOf('');
    const found: WaitingPhoto<K>[] = [];
    // Earlier, all pictures of a scope were kept in one list.
    const list = `photos:${this.scope}`;
    for (const photo of (await get<WaitingPhoto<K>[]>(list)) ?? []) await set(this.keyOf(photo.id), photo);
    await del(list);
    for (const key of await keys()) {
      const entry = key.startsWith(here) ? await get<WaitingPhoto<K>>(key) : undefined;
      if (entry && !this.waiting.some(({ id }) => id === entry.id)) found.push(entry);
    }
    if (found.length === 0) return;
    this.waiting = [...found.sort((a, b) => a.atMs - b.atMs), ...this.waiting];
    this.changed();
  }

  private async pump(): Promise<void> {
    if (this.sending || this.timer !== null) return;
    this.sending = true;
    try {
      for (;;) {
        const [next] = this.waiting;
        if (!next || this.pages.size === 0) return;
        const isThrough = await alone(`euporia.photos.${this.scope}`, () => this.send(next));
        if (!isThrough) {
          this.timer = setTimeout(() => this.retry(), RETRY_MS);
          return;
        }
        this.waiting = this.waiting.filter(({ id }) => id !== next.id);
        this.changed();
      }
    } finally {
      this.sending = false;
    }
  }

  /** Sends one; false when nobody answers, so that it is tried again. */
  private async send(photo: WaitingPhoto<K>): Promise<boolean> {
    // Another tab may have sent it while this one waited for its turn.
    if ((await get(this.keyOf(photo.id))) === undefined) return true;
    try {
      const size = await api.putPhoto(photo.id, photo.name, photo.blob);
      const [page] = this.pages;
      // The page was left meanwhile: the server has the picture, the next visit says what it is for.
      if (!page) return false;
      page.kept(photo, size);
    } catch (error) {
      if (error instanceof ApiError && error.gone) return false;
      const field = error instanceof ApiError ? error.answer.fields?.[0] : undefined;
      const reason = field
        ? `${String(field.value)}; accepted: ${field.accepted}`
        : error instanceof Error
          ? error.message
          : 'refused';
      this.refused = [...this.refused, { kind: photo.kind, name: photo.name, reason }];
    }
    await del(this.keyOf(photo.id));
    return true;
  }
}

const senders = new Map<string, PhotoSender>();

/** The one sender of a scope on this page. */
export function photoSender<K extends string>(scope: string): PhotoSender<K> {
  const known = senders.get(scope) ?? new PhotoSender(scope);
  senders.set(scope, known);
  return known as unknown as PhotoSender<K>;
}
