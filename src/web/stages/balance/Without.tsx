import { type Exclusion, exclusionIds } from '@core/balance/exclusions';
import { Checkbox } from 'antd';
import styles from './balance.module.css';

const exclusionWords: Readonly<Record<Exclusion, string>> = {
  spraying: 'spraying',
  altering: 'altering for good',
  sewing: 'sewing',
  sawing: 'sawing',
  buyingNew: 'buying new',
};

/** What the plan shall do without: ways that need it stay out of the search. */
export function Without(props: { without: readonly Exclusion[]; onChange: (without: readonly Exclusion[]) => void }) {
  const { without, onChange } = props;
  return (
    <fieldset className={styles.without}>
      <legend>Without</legend>
      {exclusionIds.map((id) => (
        <Checkbox
          key={id}
          checked={without.includes(id)}
          onChange={(event) => onChange(event.target.checked ? [...without, id] : without.filter((own) => own !== id))}
        >
          {exclusionWords[id]}
        </Checkbox>
      ))}
    </fieldset>
  );
}
