import type { ToldOut } from '@core/balance/toldPlan';
import type { WhyOut } from '@core/balance/ways';
import { grouped } from '@core/kernel/grouped';
import { outWords } from '../../app/optionWords';
import { usePlan } from '../../app/projectStore';
import styles from './balance.module.css';
import { fillWords } from './balanceWords';

/** Ways that are not chosen from, by why. */
export function WaysOut(props: { out: readonly ToldOut[] }) {
  const plan = usePlan();
  if (props.out.length === 0) return null;
  const byWhy = [...grouped(props.out, ({ why }) => why)] as [WhyOut, ToldOut[]][];
  return (
    <details className={styles.out}>
      <summary>
        {props.out.length} {props.out.length === 1 ? 'way stays' : 'ways stay'} out:{' '}
        {byWhy.map(([why, list]) => `${list.length} ${outWords[why]}`).join(', ')}
      </summary>
      <ul className={styles.plain}>
        {props.out.map(({ optionId, slotId, why }) => {
          const slot = plan.slot(slotId)?.slot;
          return (
            <li key={optionId}>
              {slot?.number} · {slot?.name}: {fillWords(plan, slotId, [{ optionId, count: 1 }])}, {outWords[why]}
            </li>
          );
        })}
      </ul>
    </details>
  );
}
