import { Button } from 'antd';
import { usePlan } from '../../app/projectStore';
import styles from './balance.module.css';
import { fillWords } from './balanceWords';

/** Slots whose choice stays whatever Balance finds, each to be let go again. */
export function KeptSlots(props: { onKeep: (slotId: string, locked: boolean) => void }) {
  const plan = usePlan();
  const kept = plan.slots.filter(({ slot }) => slot.locked);
  if (kept.length === 0) return null;
  return (
    <section aria-labelledby="kept">
      <h3 id="kept" className={styles.sub}>
        Kept as they are
      </h3>
      <ul className={styles.plain}>
        {kept.map(({ slot }) => {
          const fills = plan.chosen
            .filter(({ model }) => model.slot.id === slot.id)
            .map(({ model, count }) => ({ optionId: model.option.id, count }));
          return (
            <li key={slot.id}>
              {slot.number} · {slot.name}: {fillWords(plan, slot.id, fills) ?? (slot.leftOut ? 'left out' : 'open')}{' '}
              <Button
                size="small"
                type="link"
                onClick={() => props.onKeep(slot.id, false)}
                aria-label={`Let go: ${slot.name}`}
              >
                Let go
              </Button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
