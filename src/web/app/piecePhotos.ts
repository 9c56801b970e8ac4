import { unknownPiece } from '@core/sourcing/newPiece';
import { colorsOfPhoto } from './photoColors';
import { type PhotoQueue, usePhotoSender } from './photoQueue';
import type { CommandQueue } from './useCommandQueue';

/**
 * Pictures of pieces of the house on their way: one that is said to be of a piece becomes its picture, any other a piece
 * of its own that waits to be sorted out.
 */
export function usePiecePhotos(run: CommandQueue['run'], around: Parameters<typeof unknownPiece>[2]): PhotoQueue {
  return usePhotoSender<'piece'>('house', 'piece', (entry) => {
    if (entry.about !== undefined) {
      run('editPiece', { id: entry.about, values: { photoId: entry.id } });
      return;
    }
    const id = crypto.randomUUID();
    const blank = unknownPiece(id, 'Photographed, not named yet', around);
    const add = (colors: Pick<typeof blank, 'color' | 'accent'>) =>
      run('addPieces', { pieces: [{ ...blank, ...colors, id, photoId: entry.id }] });
    // The colors only save picking them; without them the piece is there all the same.
    colorsOfPhoto(entry.blob)
      .then(([main, second]) =>
        add({ color: main?.lab ?? null, accent: second && second.share > 0.2 ? second.lab : null }),
      )
      .catch(() => add({ color: null, accent: null }));
  });
}
