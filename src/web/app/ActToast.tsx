import { Button } from 'antd';
import { useEffect, useState } from 'react';
import styles from './shell.module.css';
import type { CommandQueue } from './useCommandQueue';

const SHOWN_MS = 12_000;

/** What was done last, with the way back; goes by itself. */
export function ActToast(props: { queue: Pick<CommandQueue, 'lastAct' | 'undo' | 'bringBack'> }) {
  const { lastAct, undo, bringBack } = props.queue;
  const [shown, setShown] = useState<typeof lastAct>(null);
  useEffect(() => {
    setShown(lastAct);
    if (!lastAct) return;
    const timer = setTimeout(() => setShown(null), SHOWN_MS);
    return () => clearTimeout(timer);
  }, [lastAct]);
  if (!shown) return null;
  return (
    <div className={styles.toast} role="status">
      <span>{shown.title}</span>
      <Button size="small" ghost onClick={shown.taken ? bringBack : undo}>
        {shown.taken ? 'Bring it back' : 'Take it back'}
      </Button>
    </div>
  );
}
