import type { RowConflict } from '@contract/answers';
import { acts } from '@core/acts';
import { fieldWords, problemWords } from '@core/words/problemWords';
import { Button } from 'antd';
import { useState } from 'react';
import type { Decision } from '../sync/decisions';
import { editedFields } from '../sync/laneChanges';
import type { OutboxEntry } from '../sync/rowsAfter';
import { photoAddress } from '../ui/photoAddress';
import styles from './shell.module.css';

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

/** What is the matter with a command that was not saved, in a few words. */
export function stuckTitle({ command, state }: OutboxEntry): string {
  return command.kind === 'undo' ? 'Not taken back' : state === 'conflict' ? 'Changed in two places' : 'Not saved';
}

/** What an entry is about: the name of its act. */
export const actTitle = ({ command }: OutboxEntry): string => acts.get(command.kind).act.title;

/**
 * A command that could not be saved: both versions side by side, field by field where some of each can be kept, and the
 * ways on. Nothing typed is lost until one is taken.
 */
export function StuckCommand(props: {
  entry: OutboxEntry;
  resolve: (decision: Decision) => void;
  undoWith: (also: readonly string[]) => void;
}) {
  const { entry, resolve, undoWith } = props;
  const { command, state, answer } = entry;
  const isConflict = state === 'conflict';
  const isUndo = command.kind === 'undo';
  const builtOn = answer?.acts ?? [];
  // What stands in the way of an undo is told by the acts that did it; without them by the fields.
  const refused = builtOn.length > 0 ? [] : (answer?.fields ?? []);
  const edited = Object.keys(editedFields(entry) ?? {});
  const conflicts = answer?.conflicts ?? [];
  // Of a row that was removed meanwhile there is nothing to be kept of theirs.
  const canMerge = isConflict && !isUndo && edited.length > 1 && conflicts.every(({ theirs }) => theirs !== null);
  const [theirs, setTheirs] = useState<ReadonlySet<string>>(new Set());
  const choose = (field: string, isTheirs: boolean) =>
    setTheirs((before) => new Set(isTheirs ? [...before, field] : [...before].filter((one) => one !== field)));
  return (
    <>
      {entry.picture && (
        <img
          className={styles.stuckPicture}
          src={photoAddress(entry.picture.id, 'thumbnail')}
          alt={entry.picture.name}
        />
      )}
      <p>{answer?.sentence}</p>
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
      {conflicts.map((conflict) => (
        <Versions
          key={conflict.id}
          conflict={conflict}
          isUndo={isUndo}
          merge={canMerge ? { edited, theirs, choose } : null}
        />
      ))}
      <div className={styles.stuckActs}>
        <Button onClick={() => resolve({ keep: 'theirs' })}>
          {isConflict && !isUndo ? 'Keep theirs' : isUndo ? 'Leave it as it is' : 'Let it go'}
        </Button>
        {canMerge && theirs.size > 0 && (
          <Button
            type="primary"
            onClick={() => resolve({ keep: 'fields', fields: edited.filter((field) => !theirs.has(field)) })}
          >
            Keep what is marked
          </Button>
        )}
        {builtOn.length > 0 ? (
          <Button type="primary" onClick={() => undoWith(builtOn.map((act) => act.actId))}>
            {builtOn.length === 1 ? 'Take that back too' : `Take those ${builtOn.length} back too`}
          </Button>
        ) : (
          <Button type={canMerge && theirs.size > 0 ? 'default' : 'primary'} onClick={() => resolve({ keep: 'mine' })}>
            {isConflict && !isUndo ? 'Keep mine' : 'Try again'}
          </Button>
        )}
      </div>
    </>
  );
}

/** How some fields of mine and some of theirs are kept. */
interface Merge {
  edited: readonly string[];
  theirs: ReadonlySet<string>;
  choose: (field: string, isTheirs: boolean) => void;
}

/** Both versions of a row, field by field; nothing where no field of it can be held against another. */
function Versions(props: { conflict: RowConflict; isUndo: boolean; merge: Merge | null }) {
  const { conflict, isUndo, merge } = props;
  const differs = differing(conflict.mine, conflict.theirs);
  // What only they changed is not in question.
  const fields = merge ? differs.filter((field) => merge.edited.includes(field)) : differs;
  if (fields.length === 0) return null;
  return (
    <div className={styles.versions}>
      <b>Field</b>
      <b>{isUndo ? 'Before' : 'Yours'}</b>
      <b>
        {isUndo ? 'Now' : 'Theirs'}
        {conflict.theirs === null ? ' (removed)' : ''}
      </b>
      {fields.map((field) => (
        <FieldVersions
          key={field}
          field={field}
          mine={conflict.mine?.[field]}
          theirs={conflict.theirs?.[field]}
          merge={merge}
        />
      ))}
    </div>
  );
}

function FieldVersions(props: { field: string; mine: unknown; theirs: unknown; merge: Merge | null }) {
  const { field, mine, theirs, merge } = props;
  if (!merge)
    return (
      <>
        <span>{fieldWords(field)}</span>
        <span>{words(mine)}</span>
        <span>{words(theirs)}</span>
      </>
    );
  const isTheirs = merge.theirs.has(field);
  const version = (of: 'yours' | 'theirs', value: unknown) => (
    <label className={styles.version}>
      <input
        type="radio"
        name={field}
        aria-label={`${fieldWords(field)}: ${of}, ${words(value)}`}
        checked={isTheirs === (of === 'theirs')}
        onChange={() => merge.choose(field, of === 'theirs')}
      />
      {words(value)}
    </label>
  );
  return (
    <>
      <span>{fieldWords(field)}</span>
      {version('yours', mine)}
      {version('theirs', theirs)}
    </>
  );
}
