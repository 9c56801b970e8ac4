import type { Transaction } from './scope';

/** A picture as it is kept: turned upright, without any metadata, with its thumbnail. */
export interface StoredPhoto {
  mime: string;
  content: Buffer;
  thumbnail: Buffer;
  widthPx: number;
  heightPx: number;
}

/** Keeps a picture under an id made by the device; the same id again changes nothing. */
export async function storePhoto({ scope, manager }: Transaction, id: string, photo: StoredPhoto): Promise<void> {
  await manager.query(
    'insert into "photo_bytes" (studio_id, id, mime, content, thumbnail, width_px, height_px) values ($1, $2, $3, $4, $5, $6, $7) on conflict do nothing',
    [scope.studioId, id, photo.mime, photo.content, photo.thumbnail, photo.widthPx, photo.heightPx],
  );
}

/** Size of a stored picture, or null when there is none. */
export async function photoSize(
  { scope, manager }: Transaction,
  id: string,
): Promise<{ widthPx: number; heightPx: number; sizeBytes: number } | null> {
  const found: { widthPx: number; heightPx: number; sizeBytes: number }[] = await manager.query(
    'select width_px as "widthPx", height_px as "heightPx", length(content) as "sizeBytes" from "photo_bytes" where studio_id = $1 and id = $2',
    [scope.studioId, id],
  );
  return found[0] ?? null;
}

/** The bytes of a picture or of its thumbnail. */
export async function readPhoto(
  { scope, manager }: Transaction,
  id: string,
  size: 'full' | 'thumbnail',
): Promise<{ mime: string; content: Buffer } | null> {
  const column = size === 'full' ? 'content' : 'thumbnail';
  const found: { mime: string; content: Buffer }[] = await manager.query(
    `select mime, ${column} as content from "photo_bytes" where studio_id = $1 and id = $2`,
    [scope.studioId, id],
  );
  return found[0] ?? null;
}

/** Keeps the bytes of one picture under a second id, for a copied project. */
export async function copyPhotoBytes({ scope, manager }: Transaction, fromId: string, toId: string): Promise<void> {
  await manager.query(
    'insert into "photo_bytes" (studio_id, id, mime, content, thumbnail, width_px, height_px) select studio_id, $3, mime, content, thumbnail, width_px, height_px from "photo_bytes" where studio_id = $1 and id = $2',
    [scope.studioId, fromId, toId],
  );
}
