import { buffer } from 'node:stream/consumers';
import yauzl from 'yauzl';
import { Refusal, refused } from './answer';

/** More parts than that no studio has: 200 projects and their pictures. */
const MOST_PARTS = 200_000;

/** A ZIP archive that lies in a file; its parts are read one by one. */
export interface Archive {
  names: readonly string[];
  /**
   * The bytes of a part.
   * @throws Refusal where it is larger than `most`, or damaged
   */
  read(name: string, most: number): Promise<Buffer>;
  close(): void;
}

const unreadable = (why: string) =>
  new Refusal(
    refused('fields.refused', {
      fields: [{ field: 'the file', value: why.slice(0, 120), accepted: 'a studio that Euporia saved, whole' }],
    }),
  );

/**
 * Opens a ZIP archive.
 * @throws Refusal where it is none, is cut off, or has a part with a name that leads out of it
 */
export async function openArchive(path: string): Promise<Archive> {
  const zip = await new Promise<yauzl.ZipFile>((done, failed) =>
    yauzl.open(path, { lazyEntries: true, autoClose: false }, (error, file) =>
      error || !file ? failed(unreadable(error?.message ?? 'no archive')) : done(file),
    ),
  );
  const entries = new Map<string, yauzl.Entry>();
  try {
    await new Promise<void>((done, failed) => {
      zip.on('error', (error: Error) => failed(unreadable(error.message)));
      zip.on('end', () => done());
      zip.on('entry', (entry: yauzl.Entry) => {
        if (entries.size >= MOST_PARTS) return failed(unreadable(`more than ${MOST_PARTS} parts`));
        if (!entry.fileName.endsWith('/')) entries.set(entry.fileName, entry);
        zip.readEntry();
      });
      zip.readEntry();
    });
  } catch (error) {
    zip.close();
    throw error;
  }
  return {
    names: [...entries.keys()],
    async read(name, most) {
      const entry = entries.get(name);
      if (!entry) throw unreadable(`${name} is not there`);
      if (entry.uncompressedSize > most)
        throw new Refusal(
          refused('fields.refused', {
            fields: [{ field: name, value: entry.uncompressedSize, accepted: `at most ${most} bytes` }],
          }),
        );
      const stream = await new Promise<NodeJS.ReadableStream>((done, failed) =>
        zip.openReadStream(entry, (error, opened) =>
          error || !opened ? failed(unreadable(`${name}: ${error?.message ?? 'damaged'}`)) : done(opened),
        ),
      );
      try {
        return await buffer(stream);
      } catch (error) {
        throw unreadable(`${name}: ${error instanceof Error ? error.message : 'damaged'}`);
      }
    },
    close: () => zip.close(),
  };
}
