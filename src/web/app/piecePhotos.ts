import { unknownPiece } from '@core/sourcing/unknownPiece';
import type { OutboxEntry } from '../sync/rowsAfter';
import { colorsOfPhoto } from './photoColors';
import { type PhotoQueue, type TakenPhoto, useOldPhotos, useTaking } from './photoQueue';
import type { CommandQueue } from './useCommandQueue';

const isOfPiece = ({ command, picture }: OutboxEntry) =>
  picture !== undefined && (command.kind === 'editPiece' || command.kind === 'addPieces');

/**
 * Pictures of pieces of the house on their way: one that is said to be of a piece becomes its picture, any other a piece
 * of its own that waits to be sorted out.
 * @param queue through which they go
 */
export function usePiecePhotos(
  { run, entries }: Pick<CommandQueue, 'run' | 'entries'>,
  around: Parameters<typeof unknownPiece>[2],
): PhotoQueue {
  const take = ({ id: photoId, name, about, blob }: TakenPhoto) => {
    const picture = { id: photoId, name };
    if (about !== null) {
      run('editPiece', { id: about, values: { photoId } }, [], picture);
      return;
    }
    const id = crypto.randomUUID();
    const blank = unknownPiece(id, 'Photographed, not named yet', around);
    const add = (colors: Pick<typeof blank, 'color' | 'accent'>) =>
      run('addPieces', { pieces: [{ ...blank, ...colors, id, photoId }] }, [], picture);
    // The colors only save picking them; without them the piece is there all the same.
    colorsOfPhoto(blob)
      .then(([main, second]) =>
        add({ color: main?.lab ?? null, accent: second && second.share > 0.2 ? second.lab : null }),
      )
      .catch(() => add({ color: null, accent: null }));
  };
  useOldPhotos('house', take);
  return useTaking(entries.filter(isOfPiece), take);
}
