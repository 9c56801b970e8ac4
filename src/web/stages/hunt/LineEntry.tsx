import { Button } from 'antd';
import { Input } from '../../ui/input';
import hunt from './hunt.module.css';

/** One line that is said and sent, by its button or by Enter; nothing is sent while it is not ready. */
export function LineEntry(props: {
  label: string;
  placeholder: string;
  value: string;
  /** The most letters. */
  most?: number;
  /** What the button says. */
  send: string;
  isReady: boolean;
  /** Whether it is the main thing to do on its sheet. */
  isMain?: boolean;
  onType: (value: string) => void;
  onSend: () => void;
}) {
  const send = () => {
    if (props.isReady) props.onSend();
  };
  return (
    <div className={hunt.quick}>
      <Input
        aria-label={props.label}
        placeholder={props.placeholder}
        value={props.value}
        maxLength={props.most ?? 200}
        onChange={(event) => props.onType(event.target.value)}
        onPressEnter={send}
        autoComplete="off"
      />
      <Button type={props.isMain ? 'primary' : 'default'} disabled={!props.isReady} onClick={send}>
        {props.send}
      </Button>
    </div>
  );
}
