import { substrates } from '@core/catalog/substrates';
import { labFromHex } from '@core/color/lab';
import type { PieceRow } from '@core/plan/houseRows';
import { measuresOf } from '@core/plan/stashPieces';
import { PieceDrawing } from '../../ui/PieceDrawing';
import { photoAddress } from '../../ui/photoAddress';

/** A piece in small: its photo, else drawn to proportion in its color. */
export function PieceFace(props: { piece: PieceRow; size: number }) {
  const { piece, size } = props;
  if (piece.photoId !== null)
    return (
      <img
        src={photoAddress(piece.photoId, 'thumbnail')}
        alt=""
        width={size}
        height={size}
        loading="lazy"
        style={{ objectFit: 'cover', borderRadius: 2, display: 'block' }}
      />
    );
  const usual = substrates.find(piece.finishId ?? piece.materialId)?.usualColor ?? '#cccccc';
  const color = piece.color ?? labFromHex(usual);
  return (
    <PieceDrawing
      templateId={piece.templateId}
      measures={measuresOf(piece, {})}
      colorOf={() => color}
      label=""
      size={size}
    />
  );
}
