import type { RowConflict } from '@contract/answers';
import { acts } from '@core/acts';
import { fieldWords, problemWords } from '@core/words/problemWords';
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
  const fields = Object.keys(mine ?? {}).filter((field) => field !== 'id' && field !== 'version');
  return theirs === null
    ? fields
    : fields.filter((field) => JSON.stringify(theirs[field]) !== JSON.stringify(mine?.[field]));
}

/** What could not be saved: both versions side by side, and the two ways on. Nothing typed is lost until one is taken. */
export function NotSaved(props: Pick<CommandQueue, 'entries' | 'resolve' | 'undoWith'>) {
  const { entries, resolve, undoWith } = props;
  const stuck = entries.filter((entry) => entry.state !== 'waiting');
  const first = stuck[0];
  if (!first) return null;
  const title = acts.get(first.command.kind).act.title;
  const conflict = first.state === 'conflict';
  const builtOn = first.answer?.acts ?? [];
  // What stands in the way of an undo is told by the acts that did it; without them by the fields.
  const refused = builtOn.length > 0 ? [] : (first.answer?.fields ?? []);
  const isUndo = first.command.kind === 'undo';
  return (
    <Modal
      open
      title={isUndo ? 'Not taken back' : conflict ? 'Changed in two places' : 'Not saved'}
      closable={false}
      maskClosable={false}
      keyboard={false}
      footer={[
        <Button key="theirs" onClick={() => resolve(first.command.key, false)}>
          {conflict && !isUndo ? 'Keep theirs' : isUndo ? 'Leave it as it is' : 'Let it go'}
        </Button>,
        builtOn.length > 0 ? (
          <Button
            key="also"
            type="primary"
            onClick={() =>
              undoWith(
                first.command.key,
                builtOn.map((act) => act.actId),
              )
            }
          >
            {builtOn.length === 1 ? 'Take that back too' : `Take those ${builtOn.length} back too`}
          </Button>
        ) : (
          <Button key="mine" type="primary" onClick={() => resolve(first.command.key, true)}>
            {conflict && !isUndo ? 'Keep mine' : 'Try again'}
          </Button>
        ),
      ]}
    >
      <p>{first.answer?.sentence}</p>
      {(!isUndo || stuck.length > 1) && (
        <p className="muted small">
          {isUndo ? 'This' : title}
          {stuck.length > 1 ? `, and ${stuck.length - 1} more after it` : ''}
        </p>
      )}
      {builtOn.length > 0 && (
        <>
          <p>Since then:</p>
          <ul>
            {builtOn.map((act) => (
              <li key={act.actId}>
                {act.title}
                {act.ownDevice ? '' : ', on another device'}
              </li>
            ))}
          </ul>
        </>
      )}
      {refused.map((field) => (
        <p key={field.field}>{problemWords(field)}</p>
      ))}
      {first.answer?.conflicts?.map((entry) => (
        <Versions key={entry.id} entry={entry} isUndo={isUndo} />
      ))}
    </Modal>
  );
}

/** Both versions of a row, field by field; nothing where no field of it can be held against another. */
function Versions(props: { entry: RowConflict; isUndo: boolean }) {
  const { entry, isUndo } = props;
  const fields = differing(entry.mine, entry.theirs);
  if (fields.length === 0) return null;
  return (
    <div className={styles.versions}>
      <b>Field</b>
      <b>{isUndo ? 'Before' : 'Yours'}</b>
      <b>
        {isUndo ? 'Now' : 'Theirs'}
        {entry.theirs === null ? ' (removed)' : ''}
      </b>
      {fields.map((field) => (
        <FieldVersions key={field} field={field} mine={entry.mine?.[field]} theirs={entry.theirs?.[field]} />
      ))}
    </div>
  );
}

function FieldVersions(props: { field: string; mine: unknown; theirs: unknown }) {
  return (
    <>
      <span>{fieldWords(props.field)}</span>
      <span>{words(props.mine)}</span>
      <span>{words(props.theirs)}</span>
    </>
  );
}
