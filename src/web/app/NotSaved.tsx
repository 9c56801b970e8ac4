import { commands } from '@contract/commands';
import { Button, Modal } from 'antd';
import styles from './shell.module.css';
import type { CommandQueue } from './useCommandQueue';

const words = (value: unknown): string =>
  value === null || value === undefined || value === ''
    ? '(nothing)'
    : typeof value === 'object'
      ? JSON.stringify(value)
      : String(value);

/** Fields that differ between what is stored and what was wanted. */
function differing(mine: Record<string, unknown> | null, theirs: Record<string, unknown> | null): string[] {
  const fields = Object.keys(mine ?? {});
  return theirs === null
    ? fields
    : fields.filter((field) => JSON.stringify(theirs[field]) !== JSON.stringify(mine?.[field]));
}

/** What could not be saved: both versions side by side, and the two ways on. Nothing typed is lost until one is taken. */
export function NotSaved(props: Pick<CommandQueue, 'entries' | 'resolve'>) {
  const { entries, resolve } = props;
  const stuck = entries.filter((entry) => entry.state !== 'waiting');
  const first = stuck[0];
  if (!first) return null;
  const title = commands.get(first.command.kind).definition.title;
  const conflict = first.state === 'conflict';
  return (
    <Modal
      open
      title={conflict ? 'Changed in two places' : 'Not saved'}
      closable={false}
      maskClosable={false}
      keyboard={false}
      footer={[
        <Button key="theirs" onClick={() => resolve(first.command.key, false)}>
          {conflict ? 'Keep theirs' : 'Let it go'}
        </Button>,
        <Button key="mine" type="primary" onClick={() => resolve(first.command.key, true)}>
          {conflict ? 'Keep mine' : 'Try again'}
        </Button>,
      ]}
    >
      <p>{first.answer?.sentence}</p>
      <p className="muted small">
        {title}
        {stuck.length > 1 ? `, and ${stuck.length - 1} more after it` : ''}
      </p>
      {first.answer?.fields?.map((field) => (
        <p key={field.field}>
          <b>{field.field}</b>: “{words(field.value)}”; accepted: {field.accepted}
        </p>
      ))}
      {first.answer?.conflicts?.map((entry) => (
        <div key={entry.id} className={styles.versions}>
          <b>Field</b>
          <b>Yours</b>
          <b>Theirs{entry.theirs === null ? ' (removed)' : ''}</b>
          {differing(entry.mine, entry.theirs).map((field) => (
            <FieldVersions key={field} field={field} mine={entry.mine?.[field]} theirs={entry.theirs?.[field]} />
          ))}
        </div>
      ))}
    </Modal>
  );
}

function FieldVersions(props: { field: string; mine: unknown; theirs: unknown }) {
  return (
    <>
      <span>{props.field}</span>
      <span>{words(props.mine)}</span>
      <span>{words(props.theirs)}</span>
    </>
  );
}
