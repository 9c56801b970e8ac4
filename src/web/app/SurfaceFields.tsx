import { coatings } from '@core/catalog/coatings';
import type { Substrate } from '@core/catalog/substrate';
import { materials, oldFinishes } from '@core/catalog/substrates';
import { Choice } from '../ui/Choice';

/** The precise name, and beside it what somebody sees who does not know it. */
const both = (name: string, plainly: string) => (plainly === '' ? name : `${name} (${plainly})`);
const option = (row: Substrate) => ({ value: row.id, label: both(row.name, row.plainly) });
const materialOptions = materials.map(option);
const BARE = 'bare';

/** What one sees first, then what a known product left behind. */
const finishOptions = [
  { value: BARE, label: 'None: bare' },
  { label: 'Not known what it was', options: oldFinishes.filter((row) => row.productId === null).map(option) },
  {
    label: 'A known product',
    options: oldFinishes
      .filter((row) => row.productId !== null)
      .map((row) => ({ value: row.id, label: both(coatings.get(row.productId ?? '').name, row.plainly) })),
  },
];

/** What a piece or a zone is made of. */
export function MaterialField(props: { value: string; onChange: (materialId: string) => void }) {
  return <Choice label="Material" value={props.value} options={materialOptions} onChange={props.onChange} />;
}

/** The finish that lies on it now; null is bare. */
export function FinishField(props: {
  label: string;
  value: string | null;
  onChange: (finishId: string | null) => void;
}) {
  return (
    <Choice
      label={props.label}
      value={props.value ?? BARE}
      options={finishOptions}
      onChange={(value) => props.onChange(value === BARE ? null : value)}
    />
  );
}
