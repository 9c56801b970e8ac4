import type { PieceRow } from '@core/model/rows';
import { useHouse } from '../../app/houseStore';
import { LengthField } from '../../ui/fields';

/** The lengths of a piece, each null while nobody measured. */
type LengthOfPiece = 'widthMm' | 'depthMm' | 'heightMm' | 'innerWidthMm' | 'innerDepthMm' | 'innerHeightMm';

/** A field for each of several lengths of a piece. */
export function PieceLengths(props: {
  piece: PieceRow;
  asked: readonly (readonly [field: LengthOfPiece, label: string])[];
  onChange: (values: Partial<Pick<PieceRow, LengthOfPiece>>) => void;
}) {
  const { locale } = useHouse();
  return props.asked.map(([field, label]) => (
    <LengthField
      key={field}
      label={label}
      value={props.piece[field]}
      nullable
      units={locale.units}
      onCommit={(value) => props.onChange({ [field]: value })}
    />
  ));
}
