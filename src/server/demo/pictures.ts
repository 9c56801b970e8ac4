import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { ProjectFile } from '@core/formats/project/projectFile';
import { id, line } from '@core/model/fields';
import sharp from 'sharp';
import { z } from 'zod';
import { storePhoto } from '../persistence/photoBytes';
import type { Transaction } from '../persistence/scope';
import { acceptPhoto } from '../usecases/acceptPhoto';

/** The list of the demo's pictures: what each is drawn in, and what it is a picture of. */
const listed = z.array(
  z.strictObject({
    file: line(1, 80),
    project: line(1, 80),
    id,
    /** What a before photo is called, and the looks that stand in it. */
    before: line(1, 200).optional(),
    looks: z.array(id).optional(),
    /** The piece that it shows. */
    pieceId: id.optional(),
  }),
);
export type DemoPicture = z.output<typeof listed>[number];

/** What the folder of the demo lists. */
export const demoPictures = async (folder: string): Promise<readonly DemoPicture[]> =>
  listed.parse(JSON.parse(await readFile(join(folder, 'pictures.json'), 'utf8')));

/**
 * A demo project with its pictures: files carry none, so they are drawn and kept here, as if somebody had taken them.
 * @param folder where the drawings lie
 */
export async function withDemoPictures(
  transaction: Transaction,
  file: ProjectFile,
  folder: string,
  pictures: readonly DemoPicture[],
  nowMs: number,
): Promise<ProjectFile> {
  let { photos, looks, pieces } = file;
  for (const picture of pictures) {
    const drawn = await sharp(await readFile(join(folder, picture.file)))
      .png()
      .toBuffer();
    const taken = await acceptPhoto(picture.file, drawn);
    if (!taken.ok) throw new Error(`the demo’s picture ${picture.file} was refused: ${JSON.stringify(taken.error)}`);
    const { photo } = taken;
    await storePhoto(transaction, picture.id, photo);
    if (picture.before !== undefined) {
      const { widthPx, heightPx, content } = photo;
      const size = { widthPx, heightPx, sizeBytes: content.length };
      const row = {
        id: picture.id,
        version: 1,
        kind: 'before' as const,
        name: picture.before,
        shows: null,
        pair: null,
        ...size,
      };
      photos = [...photos, { ...row, atMs: nowMs }];
    }
    looks = looks.map((look) =>
      look.photo && picture.looks?.includes(look.id)
        ? { ...look, photo: { ...look.photo, photoId: picture.id } }
        : look,
    );
    pieces = pieces.map((piece) =>
      piece.id === picture.pieceId
        ? { ...piece, photoId: picture.id, cutOut: piece.cutOut && { ...piece.cutOut, photoId: picture.id } }
        : piece,
    );
  }
  return { ...file, photos, looks, pieces };
}
