import type { Problem } from '@core/acts/act';
import sharp from 'sharp';
import type { StoredPhoto } from '../persistence/photoBytes';

/** Longest side of a kept picture and of its thumbnail, in pixels. */
const LONGEST_PX = 2400;
const THUMBNAIL_PX = 360;
const KINDS = new Set(['jpeg', 'png', 'webp', 'gif', 'tiff']);
const ACCEPTED = 'a photo as JPEG, PNG, WebP, AVIF, GIF or TIFF, whole, at most 10 MB';

export type AcceptedPhoto = { ok: true; photo: StoredPhoto } | { ok: false; error: Problem };

/**
 * Makes an uploaded picture fit to keep: turned upright by its orientation tag, every tag (location too) left behind,
 * sized, as JPEG, with a thumbnail. What is no picture, is cut off or of a kind that cannot be decoded is refused by name.
 * @param keepsJpeg whether a JPEG that is as it would be kept stays byte by byte: a picture that was saved is not saved anew
 */
export async function acceptPhoto(
  name: string,
  bytes: Buffer,
  { keepsJpeg = false }: { keepsJpeg?: boolean } = {},
): Promise<AcceptedPhoto> {
  const refuse = (why: string): AcceptedPhoto => ({
    ok: false,
    error: { field: name || 'photo', value: why, accepted: ACCEPTED },
  });
  if (bytes.length === 0) return refuse('nothing in it');
  try {
    const open = () => sharp(bytes, { failOn: 'error', limitInputPixels: 120_000_000 });
    const facts = await open().metadata();
    const { format, compression } = facts;
    // AVIF is the one kind of its container that can be decoded here; the telephones' HEIC is another.
    const isAvif = format === 'heif' && compression === 'av1';
    if (!format || !(KINDS.has(format) || isAvif))
      return refuse(`a kind that cannot be decoded (${format ?? 'unknown'})`);
    const upright = () => open().rotate().flatten({ background: '#ffffff' }).toColorspace('srgb');
    const full = await upright()
      .resize({ width: LONGEST_PX, height: LONGEST_PX, fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: 84, mozjpeg: true })
      .toBuffer({ resolveWithObject: true });
    const thumbnail = await upright()
      .resize({ width: THUMBNAIL_PX, height: THUMBNAIL_PX, fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: 74 })
      .toBuffer();
    const { exif, xmp, iptc, icc, orientation = 1, width = 0, height = 0 } = facts;
    const isPlain = format === 'jpeg' && !exif && !xmp && !iptc && !icc && orientation === 1;
    const isSized = width === full.info.width && height === full.info.height;
    return {
      ok: true,
      photo: {
        mime: 'image/jpeg',
        content: keepsJpeg && isPlain && isSized ? bytes : full.data,
        thumbnail,
        widthPx: full.info.width,
        heightPx: full.info.height,
      },
    };
  } catch (error) {
    const message = error instanceof Error ? error.message : '';
    if (/pixel limit/i.test(message)) return refuse('more than 120 megapixels');
    return refuse(
      /premature|truncated|end of|corrupt/i.test(message) ? 'cut off or damaged' : 'not a picture that can be decoded',
    );
  }
}
