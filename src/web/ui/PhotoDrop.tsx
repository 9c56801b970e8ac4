import { Button } from 'antd';
import { type ClipboardEvent, type DragEvent, useRef, useState } from 'react';
import styles from './ui.module.css';

/** Pictures in by file, drop, paste or the phone's camera. */
export function PhotoDrop(props: { label: string; hint: string; onFiles: (files: File[]) => void; busy?: boolean }) {
  const input = useRef<HTMLInputElement>(null);
  const [over, setOver] = useState(false);
  const take = (list: FileList | null | undefined) => {
    const files = [...(list ?? [])];
    if (files.length > 0) props.onFiles(files);
  };
  return (
    <fieldset
      className={`${styles.drop} ${over ? styles.over : ''}`}
      aria-label={props.label}
      onDragOver={(event: DragEvent) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event: DragEvent) => {
        event.preventDefault();
        setOver(false);
        take(event.dataTransfer.files);
      }}
      onPaste={(event: ClipboardEvent) => take(event.clipboardData.files)}
    >
      <input
        ref={input}
        type="file"
        accept="image/*"
        multiple
        aria-label={props.label}
        className="visually-hidden"
        tabIndex={-1}
        onChange={(event) => {
          take(event.target.files);
          event.target.value = '';
        }}
      />
      <Button onClick={() => input.current?.click()} loading={props.busy ?? false}>
        {props.label}
      </Button>
      <span>{props.hint}</span>
    </fieldset>
  );
}

/** Pictures that go to the server when it can be reached: taken here, on the way, refused. */
export function PhotoQueueDrop(props: {
  label: string;
  hint: string;
  queue: {
    waiting: number;
    refused: readonly { name: string; reason: string }[];
    add: (files: File[]) => unknown;
    forget: () => void;
  };
}) {
  const { label, hint, queue } = props;
  return (
    <>
      <PhotoDrop label={label} hint={hint} onFiles={(files) => void queue.add(files)} />
      {queue.waiting > 0 && (
        <p role="status" className="muted small">
          {queue.waiting} on the way; kept on this device until the server has them.
        </p>
      )}
      <Refused refused={queue.refused} onForget={queue.forget} />
    </>
  );
}

/** Pictures that were refused, by name; the rest of the batch went in. */
function Refused(props: { refused: readonly { name: string; reason: string }[]; onForget: () => void }) {
  if (props.refused.length === 0) return null;
  return (
    <div role="alert" className={styles.refused}>
      {props.refused.map((entry) => (
        <p key={`${entry.name}${entry.reason}`}>
          <b>{entry.name}</b> was not taken: {entry.reason}
        </p>
      ))}
      <Button size="small" onClick={props.onForget}>
        Good
      </Button>
    </div>
  );
}
