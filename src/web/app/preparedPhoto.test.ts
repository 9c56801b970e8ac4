import { beforeEach, describe, expect, it, vi } from 'vitest';
import { preparedPhoto } from './preparedPhoto';

/** What the browser says of the next picture: its size, or nothing where it cannot decode it. */
let decoded: { width: number; height: number } | null = null;
const drawn: { width: number; height: number }[] = [];
beforeEach(() => {
  drawn.length = 0;
});
vi.stubGlobal('createImageBitmap', async () => {
  if (!decoded) throw new Error('not decoded');
  return { ...decoded, close: () => undefined };
});
vi.stubGlobal(
  'OffscreenCanvas',
  class {
    constructor(width: number, height: number) {
      drawn.push({ width, height });
    }
    getContext = () => ({ drawImage: () => undefined });
    convertToBlob = async () => new Blob(['smaller'], { type: 'image/jpeg' });
  },
);

const file = (type = 'image/jpeg', bytes = 10) => {
  const made = new File(['x'.repeat(10)], 'a.jpg', { type });
  Object.defineProperty(made, 'size', { value: bytes });
  return made;
};

describe('a picture that is taken', () => {
  it('goes as it is where the server would keep it so', async () => {
    decoded = { width: 1200, height: 900 };
    const small = file();
    expect(await preparedPhoto(small)).toEqual({ blob: small, widthPx: 1200, heightPx: 900, sizeBytes: 10 });
    expect(drawn).toEqual([]);
  });

  it('is shrunk to 2,400 pixels on its longer side, so that it is quickly sent', async () => {
    decoded = { width: 3000, height: 4000 };
    expect(await preparedPhoto(file())).toMatchObject({ widthPx: 1800, heightPx: 2400, sizeBytes: 7 });
    expect(drawn).toEqual([{ width: 1800, height: 2400 }]);
    decoded = { width: 9000, height: 1 };
    expect(await preparedPhoto(file())).toMatchObject({ widthPx: 2400, heightPx: 1 });
  });

  it('that cannot be taken says why, and what would be', async () => {
    decoded = null;
    expect(await preparedPhoto(file('image/jpeg', 41 * 1024 * 1024))).toBe('41 MB; accepted: photos of at most 40 MB');
    expect(await preparedPhoto(file('text/plain'))).toBe('text/plain; accepted: photos');
    expect(await preparedPhoto(file(''))).toBe('an unknown kind of file; accepted: photos');
    expect(await preparedPhoto(file('image/png'))).toContain('cut off or damaged; accepted: JPEG, PNG, WebP, AVIF');
    expect(await preparedPhoto(file('image/tiff', 11 * 1024 * 1024))).toContain('cannot be decoded');
  });

  it('of a kind that only the server decodes is left to it', async () => {
    decoded = null;
    expect(await preparedPhoto(file('image/tiff'))).toMatchObject({ widthPx: 1, heightPx: 1, sizeBytes: 10 });
  });
});
