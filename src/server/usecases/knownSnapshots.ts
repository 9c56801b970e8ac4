import { promisify } from 'node:util';
import { gzip } from 'node:zlib';

const packed = promisify(gzip);

/** A snapshot as it is sent: JSON packed with gzip, and the tag of the state that it is of. */
export interface PackedSnapshot {
  bytes: Buffer<ArrayBuffer>;
  tag: string;
}

/** So much is remembered in all unless said otherwise, bytes. */
const MOST_BYTES = 64 * 1024 * 1024;

/**
 * Snapshots of projects as they were sent last, packed: many who look at one project are given the same, read and packed
 * once. The database says by its tag whether one still holds; whoever asks while it is being read waits for it.
 */
export class KnownSnapshots {
  private readonly known = new Map<string, { tag: string; coming: Promise<PackedSnapshot | null>; size: number }>();
  private size = 0;
  private readonly mostBytes: number;

  /** @param mostBytes so much is remembered in all */
  constructor(mostBytes = MOST_BYTES) {
    this.mostBytes = mostBytes;
  }

  /**
   * @param place whose snapshot it is
   * @param tag the state that stands in the database
   * @param read reads it, in that state or a later one; null where it is gone
   */
  async take(
    place: string,
    tag: string,
    read: () => Promise<{ body: string; tag: string } | null>,
  ): Promise<PackedSnapshot | null> {
    const before = this.known.get(place);
    if (before?.tag === tag) {
      // What was asked for last is forgotten last.
      this.known.delete(place);
      this.known.set(place, before);
      return before.coming;
    }
    this.forget(place);
    const coming = this.pack(read);
    const entry = { tag, coming, size: 0 };
    this.known.set(place, entry);
    try {
      const done = await coming;
      if (this.known.get(place) === entry) this.keep(place, entry, done);
      return done;
    } catch (error) {
      if (this.known.get(place) === entry) this.known.delete(place);
      throw error;
    }
  }

  private async pack(read: () => Promise<{ body: string; tag: string } | null>): Promise<PackedSnapshot | null> {
    const found = await read();
    return found && { bytes: (await packed(found.body)) as Buffer<ArrayBuffer>, tag: found.tag };
  }

  private keep(place: string, entry: { tag: string; size: number }, done: PackedSnapshot | null): void {
    if (!done) {
      this.known.delete(place);
      return;
    }
    // It may have been read in a later state than was asked for.
    entry.tag = done.tag;
    entry.size = done.bytes.length;
    this.size += entry.size;
    for (const other of this.known.keys()) {
      if (this.size <= this.mostBytes) break;
      this.forget(other);
    }
  }

  private forget(place: string): void {
    this.size -= this.known.get(place)?.size ?? 0;
    this.known.delete(place);
  }
}
