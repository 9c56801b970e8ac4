import { photoBytesEntity, type StoredPhotoBytes } from './entities';
import type { Transaction } from './scope';

/** A picture as it is kept: turned upright, without any metadata, with its thumbnail. */
export type StoredPhoto = Omit<StoredPhotoBytes, 'studioId' | 'id' | 'createdAt'>;

/** Keeps a picture under an id made by the device; the same id again changes nothing. */
export async function storePhoto({ scope, manager }: Transaction, id: string, photo: StoredPhoto): Promise<void> {
  await manager
    .createQueryBuilder()
    .insert()
    .into(photoBytesEntity)
    .values({ ...photo, studioId: scope.studioId, id })
    .orIgnore()
    .updateEntity(false)
    .execute();
}

/** Size of a stored picture, or null when there is none. */
export async function photoSize(
  { scope, manager }: Transaction,
  id: string,
): Promise<{ widthPx: number; heightPx: number; sizeBytes: number } | null> {
  // The size alone: the bytes themselves stay where they are.
  const found = await manager
    .createQueryBuilder(photoBytesEntity, 'b')
    .select('b.widthPx', 'widthPx')
    .addSelect('b.heightPx', 'heightPx')
    .addSelect('length(b.content)', 'sizeBytes')
    .where({ studioId: scope.studioId, id })
    .getRawOne<{ widthPx: number; heightPx: number; sizeBytes: number }>();
  return found ?? null;
}

/** The bytes of a picture or of its thumbnail. */
export async function readPhoto(
  { scope, manager }: Transaction,
  id: string,
  size: 'full' | 'thumbnail',
): Promise<{ mime: string; content: Buffer } | null> {
  const part = size === 'full' ? 'content' : 'thumbnail';
  const found = await manager.findOne(photoBytesEntity, {
    select: { mime: true, [part]: true },
    where: { studioId: scope.studioId, id },
  });
  return found && { mime: found.mime, content: found[part] };
}

/** Keeps the bytes of one picture under a second id, for a copied project. */
export async function copyPhotoBytes(transaction: Transaction, fromId: string, toId: string): Promise<void> {
  const { scope, manager } = transaction;
  const found = await manager.findOneBy(photoBytesEntity, { studioId: scope.studioId, id: fromId });
  if (!found) return;
  const { createdAt: _createdAt, ...photo } = found;
  await storePhoto(transaction, toId, photo);
}
