import { parseQuantity, quantityUnit, shownQuantity } from '@core/kernel/quantities';
import { TypedField } from '../ui/TypedField';
import { useHouse } from './houseStore';

/** A weight, in any unit; null while nobody weighed. */
export function WeightField(props: {
  label: string;
  grams: number | null;
  hint?: string;
  onCommit: (grams: number | null) => void;
}) {
  const { units } = useHouse().locale;
  return (
    <TypedField
      label={props.label}
      value={props.grams}
      hint={props.hint}
      suffix={quantityUnit('weightG', units)}
      show={(grams) => (grams === null ? '' : String(Math.round(shownQuantity(grams, 'weightG', units) * 100) / 100))}
      read={(text) => {
        if (text === '') return { ok: true, value: null };
        const grams = parseQuantity(text, 'weightG', units);
        return grams !== null && grams >= 1 && grams <= 1_000_000
          ? { ok: true, value: Math.round(grams) }
          : { ok: false, reason: `${props.label}: “${text}”; accepted: a weight like 1.2 kg or 3 lb` };
      }}
      onCommit={props.onCommit}
    />
  );
}
