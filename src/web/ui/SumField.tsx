import { Checkbox } from 'antd';
import { MoneyField } from './fields';

/** A sum that somebody may not know, or know from below only. */
export interface Sum {
  /** Minor units; null while nobody knows. */
  minor: number | null;
  /** It may have been more. */
  atLeast: boolean;
}

/** What a sum is to the ledger: with nothing known it is at least nothing. */
export const bookedSum = ({ minor, atLeast }: Sum): { paid: number; atLeast: boolean } => ({
  paid: minor ?? 0,
  atLeast: minor === null || atLeast,
});

/** Asks for a sum, and whether it may have been more; an emptied field says that nobody knows any more. */
export function SumField(props: { label: string; sum: Sum; currency: string; onChange: (sum: Sum) => void }) {
  const { sum, onChange } = props;
  return (
    <>
      <MoneyField
        label={props.label}
        value={sum.minor}
        currency={props.currency}
        nullable
        hint={sum.minor === null ? 'empty: nobody knows any more' : undefined}
        onCommit={(minor) => onChange({ ...sum, minor })}
      />
      {sum.minor !== null && (
        <Checkbox checked={sum.atLeast} onChange={(event) => onChange({ ...sum, atLeast: event.target.checked })}>
          it may have been more
        </Checkbox>
      )}
    </>
  );
}
