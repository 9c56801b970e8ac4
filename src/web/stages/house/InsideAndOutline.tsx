import type { PieceRow } from '@core/model/rows';
import { Choice } from '../../ui/Choice';
import { NumberField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import { PieceLengths } from './PieceLengths';

/** Room inside: a basket, a canister, under a dome, on a tier. */
const inner = [
  ['innerWidthMm', 'Width inside'],
  ['innerDepthMm', 'Depth inside'],
  ['innerHeightMm', 'Height inside'],
] as const;

/** What a piece holds, how it is cut in plan, how long it stays fresh; open where any of it is known. */
export function InsideAndOutline(props: {
  piece: PieceRow;
  onChange: (values: Partial<Omit<PieceRow, 'id' | 'version'>>) => void;
}) {
  const { piece, onChange: set } = props;
  return (
    <details open={inner.some(([field]) => piece[field] !== null) || piece.tiers !== null || piece.freshDays !== null}>
      <summary>Inside, tiers, outline, freshness</summary>
      <SideBySide across={3}>
        <PieceLengths piece={piece} asked={inner} onChange={set} />
      </SideBySide>
      <SideBySide across={3}>
        <NumberField
          label="Tiers"
          value={piece.tiers}
          nullable
          least={1}
          most={12}
          whole
          onCommit={(tiers) => set({ tiers })}
        />
        <Choice
          label="Seen from above"
          value={piece.outline}
          options={[
            { value: 'unknown', label: 'not noted' },
            { value: 'round', label: 'round' },
            { value: 'square', label: 'with corners' },
          ]}
          onChange={(outline) => set({ outline })}
        />
        <NumberField
          label="Stays fresh, days"
          value={piece.freshDays}
          nullable
          least={1}
          most={365}
          whole
          onCommit={(freshDays) => set({ freshDays })}
        />
      </SideBySide>
      <p className="muted small">
        Room inside a basket or canister, under a dome, on one tier. Cut flowers last about a week, greens about two;
        empty for what lasts.
      </p>
    </details>
  );
}
