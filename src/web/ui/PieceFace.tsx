import { substrates } from '@core/catalog/substrates';
import { labFromHex } from '@core/color/lab';
import { measuresOf } from '@core/model/finds';
import type { PieceRow } from '@core/model/rows';
import { PieceDrawing } from './PieceDrawing';
import { photoAddress } from './photoAddress';

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
      measures={measuresOf(piece, piece.measures)}
      name={piece.name}
      colorOf={() => color}
      label=""
      size={size}
    />
  );
}
