import type { LookThing } from '@core/arrange/look/lookThing';
import { type PhotoShape, photoShapes } from '@core/arrange/photo/photoShapes';
import { roomCamera } from '@core/arrange/photo/roomCamera';
import type { PhotoPlane } from '@core/model/entities/look';
import type { PhotoRow } from '@core/model/rows';
import { transfer } from 'comlink';
import { photoWorker } from '../../app/cutOut/photoWorker';
import { bitmapOf } from '../../app/cutOut/useCutOut';

/** The pictures that pieces are cut from, each once. */
const sourcesOf = (shapes: readonly PhotoShape[]) =>
  Promise.all(
    [...new Set(shapes.flatMap((shape) => (shape.kind === 'picture' ? shape.picture.photoId : [])))].map(
      async (photoId) => ({ photoId, bitmap: await bitmapOf(photoId) }),
    ),
  );

/** The picture of a room with a look in it, in full, as a PNG. */
export async function composedPhoto(
  photo: PhotoRow,
  plane: PhotoPlane,
  things: readonly LookThing[],
  roomDepthMm: number,
): Promise<Blob> {
  const bitmap = await bitmapOf(photo.id);
  const size = { widthPx: bitmap.width, heightPx: bitmap.height };
  const camera = roomCamera(plane, size);
  const marks = plane.recolored.map(({ points, lab }) => ({
    points: points.map(({ x, y }) => [x * size.widthPx, y * size.heightPx] as const),
    lab,
  }));
  const shapes = camera ? photoShapes(things, camera, roomDepthMm) : [];
  const sources = await sourcesOf(shapes);
  const handed = [bitmap, ...sources.map((source) => source.bitmap)];
  return photoWorker().compose(bitmap, marks, shapes, transfer(sources, handed));
}
