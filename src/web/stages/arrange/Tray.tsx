import type { LookThing } from '@core/arrange/look/lookThing';
import { orderToPlace } from '@core/arrange/look/orderToPlace';
import styles from './arrange.module.css';

/** The look in the order in which it is placed: big, tall, light, green, risers, small, personal, scent. */
export function Tray(props: {
  things: readonly LookThing[];
  selectedId: string | null;
  onSelect: (id: string) => void;
}) {
  const steps = orderToPlace(props.things);
  if (steps.length === 0) return null;
  return (
    <>
      <p className={styles.trayHead} id="tray-head">
        In the order to place them
      </p>
      <ol className={styles.tray} aria-labelledby="tray-head">
        {steps.flatMap(({ name, things }, n) =>
          things.map((thing) => (
            <li key={thing.id}>
              <button
                type="button"
                aria-pressed={thing.id === props.selectedId}
                onClick={() => props.onSelect(thing.id)}
                title={name}
              >
                {n + 1} <b>{thing.name}</b>
              </button>
            </li>
          )),
        )}
      </ol>
    </>
  );
}
