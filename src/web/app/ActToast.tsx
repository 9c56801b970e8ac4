import { Button } from 'antd';
import { useEffect, useState } from 'react';
import styles from './shell.module.css';
import type { CommandQueue } from './useCommandQueue';

/** What was done last, with the way back; it stays until the next act or until it is put away. */
export function ActToast(props: { queue: Pick<CommandQueue, 'lastAct' | 'undo' | 'bringBack'> }) {
  const { lastAct, undo, bringBack } = props.queue;
  const [shown, setShown] = useState<typeof lastAct>(null);
  useEffect(() => {
    setShown(lastAct);
  }, [lastAct]);
  if (!shown) return null;
  return (
    <div className={`${styles.toast} ${styles.inTape}`} role="status">
      <span title={shown.title}>{shown.title}</span>
      {!shown.stays && (
        <Button size="small" ghost onClick={shown.taken ? bringBack : undo}>
          {shown.taken ? 'Bring it back' : 'Take it back'}
        </Button>
      )}
      <Button
        size="small"
        type="text"
        className={styles.putAway}
        aria-label="Put this message away"
        onClick={() => setShown(null)}
      >
        ✕
      </Button>
    </div>
  );
}
