/** What is larger than this on its longer side is shrunk before it is kept and sent, pixels: the server keeps no more. */
const LONGEST_PX = 2400;
/** The most that is looked at, and the most that is sent, bytes. */
const MOST_BYTES = 40 * 1024 * 1024;
const MOST_SENT_BYTES = 10 * 1024 * 1024;
const QUALITY = 0.9;
/** Kinds that every browser decodes: one of them that is not decoded is damaged. */
const KNOWN_KINDS: ReadonlySet<string> = new Set(['image/jpeg', 'image/png', 'image/webp', 'image/gif', 'image/avif']);

const megabytes = (bytes: number) => `${Math.round(bytes / 1024 / 1024)} MB`;

/** A picture fit to be kept on the device and sent, with its size as it is shown. */
export interface PreparedPhoto {
  blob: Blob;
  widthPx: number;
  heightPx: number;
  sizeBytes: number;
}

/**
 * Makes a picture fit to be kept and sent: large ones are shrunk.
 * @returns why not, with what would be accepted, where it cannot be taken
 */
export async function preparedPhoto(file: File): Promise<PreparedPhoto | string> {
  if (file.size > MOST_BYTES) return `${megabytes(file.size)}; accepted: photos of at most ${megabytes(MOST_BYTES)}`;
  if (!file.type.startsWith('image/')) return `${file.type || 'an unknown kind of file'}; accepted: photos`;
  const bitmap = await createImageBitmap(file).catch(() => null);
  if (!bitmap) {
    if (KNOWN_KINDS.has(file.type) || file.size > MOST_SENT_BYTES)
      return 'it cannot be decoded, it may be cut off or damaged; accepted: JPEG, PNG, WebP, AVIF';
    // The server knows kinds that a browser does not; it says how large it is.
    return { blob: file, widthPx: 1, heightPx: 1, sizeBytes: file.size };
  }
  const scale = Math.min(1, LONGEST_PX / Math.max(bitmap.width, bitmap.height));
  const widthPx = Math.max(1, Math.round(bitmap.width * scale));
  const heightPx = Math.max(1, Math.round(bitmap.height * scale));
  const blob = scale < 1 || file.size > MOST_SENT_BYTES ? await redrawn(bitmap, widthPx, heightPx) : file;
  bitmap.close();
  return { blob, widthPx, heightPx, sizeBytes: blob.size };
}

async function redrawn(bitmap: ImageBitmap, widthPx: number, heightPx: number): Promise<Blob> {
  const canvas = new OffscreenCanvas(widthPx, heightPx);
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, widthPx, heightPx);
  return canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY });
}
