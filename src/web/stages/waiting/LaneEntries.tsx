import type { Workspace } from '@core/acts/changes';
import { fieldWords } from '@core/words/problemWords';
import { useQuery } from '@tanstack/react-query';
import { api } from '../../app/api';
import { actTitle, StuckCommand, stuckTitle } from '../../app/StuckCommand';
import { editedFields } from '../../sync/laneChanges';
import type { OutboxEntry } from '../../sync/rowsAfter';
import { syncEngine } from '../../sync/syncEngine';
import { decide } from '../../sync/typed';
import { personHere } from '../../ui/devicePerson';
import { photoAddress } from '../../ui/photoAddress';
import styles from './waiting.module.css';

/** Whether somebody typed it who is not signed in here now. */
const isOfAnother = ({ personId }: OutboxEntry): boolean => personId !== undefined && personId !== personHere();

/** When something was typed, in words of the clock of this device. */
const typedAt = ({ atMs }: OutboxEntry): string =>
  atMs === undefined
    ? ''
    : new Intl.DateTimeFormat('en-US', { weekday: 'short', hour: 'numeric', minute: '2-digit' }).format(atMs);

/** Which fields an edit changes, in words; nothing for any other act. */
const fieldsOf = (entry: OutboxEntry): string =>
  Object.keys(editedFields(entry) ?? {})
    .map(fieldWords)
    .join(', ');

const houseRows = async (): Promise<Workspace> => (await api.house()).rows;
/** Asked without a state that is known already, so that all of it comes. */
async function projectRows(projectId: string): Promise<Workspace> {
  const snapshot = await api.snapshot(projectId, null);
  if (!snapshot) throw new Error('nothing was answered');
  return snapshot.rows;
}

/** What waits of one project or the house, in its order: what each does, and what is to be decided. */
export function LaneEntries(props: { scopeId: string; isHouse: boolean; entries: readonly OutboxEntry[] }) {
  const { scopeId, isHouse, entries } = props;
  const isStuck = entries.some(({ state }) => state !== 'waiting');
  // What is stuck is put against the rows as they are.
  const rows = useQuery({
    queryKey: ['waiting', scopeId, isHouse],
    queryFn: () => (isHouse ? houseRows() : projectRows(scopeId)),
    enabled: isStuck,
    staleTime: 0,
    retry: false,
  });
  return (
    <ol className={styles.entries}>
      {entries.map((entry) => {
        const { key } = entry.command;
        const now = rows.data ?? null;
        return (
          <li key={key} className={entry.state === 'waiting' ? undefined : styles.stuck}>
            <div className={styles.line}>
              {entry.picture && <img src={photoAddress(entry.picture.id, 'thumbnail')} alt="" />}
              <span>
                <b>{actTitle(entry)}</b>
                {fieldsOf(entry) && <span className="muted"> · {fieldsOf(entry)}</span>}
              </span>
              <span className="muted small">
                {entry.state === 'waiting' ? 'waits' : stuckTitle(entry).toLowerCase()}
                {typedAt(entry) && `, typed ${typedAt(entry)}`}
              </span>
            </div>
            {isOfAnother(entry) && (
              <p className="muted small">
                Typed by somebody who has signed out here. It goes out in their name when they sign in on this device
                again.
              </p>
            )}
            {entry.state !== 'waiting' &&
              !isOfAnother(entry) &&
              (now ? (
                <StuckCommand
                  entry={entry}
                  resolve={(decision) => void decide(syncEngine, scopeId, key, decision, now)}
                  undoWith={(also) => void syncEngine.undoWith(scopeId, key, also)}
                />
              ) : (
                <p className="muted">{rows.isError ? rows.error.message : 'Looking at how it stands there …'}</p>
              ))}
          </li>
        );
      })}
    </ol>
  );
}
