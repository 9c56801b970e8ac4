import { Button } from 'antd';
import { useRef } from 'react';
import { usePhotoQueue } from '../../app/photoQueue';

const labels = { find: 'Add its picture', tag: 'Add its tag', receipt: 'Add receipt photo' } as const;

/** A button that takes a picture of a find, of its tag or of a receipt; what was not taken is said beside it. */
export function AddPicture(props: {
  kind: keyof typeof labels;
  /** The find or the receipt that it is a picture of. */
  about: string;
  /** What it is called, where several such buttons stand on a page. */
  of?: string;
}) {
  const queue = usePhotoQueue(props.kind);
  const input = useRef<HTMLInputElement>(null);
  const label = labels[props.kind];
  const name = props.of === undefined ? label : `${label}: ${props.of}`;
  return (
    <span>
      <input
        ref={input}
        type="file"
        accept="image/*"
        className="visually-hidden"
        tabIndex={-1}
        aria-label={`${name}, a file`}
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) void queue.add([file], props.about);
          event.target.value = '';
        }}
      />
      <Button size="small" aria-label={name} onClick={() => input.current?.click()}>
        {label}
      </Button>
      {queue.waiting > 0 && <small role="status"> on the way</small>}
      {queue.refused.map((refused) => (
        <small key={refused.name} role="alert">
          {refused.name} was not taken: {refused.reason}
        </small>
      ))}
    </span>
  );
}
