import { likingOf } from '@core/balance/lookValue';
import type { OptionRow } from '@core/model/rows';
import { useCommands } from '../../app/projectStore';
import styles from './compare.module.css';

/** How much an option is liked, 1 to 5, in words. */
const likingWords = ['poor', 'so-so', 'fine', 'good', 'great'] as const;

/** How an option would look, by the stylist: Balance weighs it against money and hours. Pressed again it is left to the usual. */
export function Liking(props: { option: OptionRow }) {
  const { run } = useCommands();
  const { id, liking } = props.option;
  const inForce = likingOf(props.option);
  return (
    <fieldset className={styles.liking}>
      <legend>How it looks{liking === null ? ', nobody said yet' : ''}</legend>
      {likingWords.map((words, n) => (
        <button
          key={words}
          type="button"
          aria-pressed={inForce === n + 1}
          data-usual={liking === null}
          onClick={() => run('editOption', { id, values: { liking: liking === n + 1 ? null : n + 1 } })}
        >
          {words}
        </button>
      ))}
    </fieldset>
  );
}
