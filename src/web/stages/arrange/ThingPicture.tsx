import type { PieceRow } from '@core/model/rows';
import { PiecePicture } from '../../app/cutOut/PiecePicture';
import { usePiecePhotos } from '../../app/piecePhotos';
import { useCommands, useLocale, useStatus } from '../../app/projectStore';
import { localToday } from '../../app/today';

/** The picture of a piece of the look. */
export function ThingPicture({ piece, photoId }: { piece: PieceRow; photoId: string | null }) {
  const { run } = useCommands();
  const { entries } = useStatus();
  const { units, currency, timeZone } = useLocale();
  const queue = usePiecePhotos({ run, entries }, { units, currency, today: localToday(timeZone) });
  return (
    <PiecePicture
      piece={piece}
      photoId={photoId}
      queue={queue}
      onChange={(values) => run('editPiece', { id: piece.id, values })}
    />
  );
}
