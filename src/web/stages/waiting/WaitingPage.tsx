import type { Workspace } from '@core/acts/changes';
import { fieldWords } from '@core/words/problemWords';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { Link } from 'react-router';
import { api } from '../../app/api';
import { actTitle, StuckCommand, stuckTitle } from '../../app/StuckCommand';
import shell from '../../app/shell.module.css';
import { keepsNothing } from '../../sync/deviceStore';
import { editedFields } from '../../sync/laneChanges';
import type { OutboxEntry } from '../../sync/rowsAfter';
import { syncEngine } from '../../sync/syncEngine';
import { decide } from '../../sync/typed';
import { useWaiting } from '../../sync/useWaiting';
import { Empty, LinkButton } from '../../ui/basics';
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

/** All that waits on this device to be sent, project by project; what was refused, and both versions of a conflict. */
export function WaitingPage() {
  const { lanes, isOffline, isKnown } = useWaiting();
  const projects = useQuery({ queryKey: ['projects'], queryFn: api.projects, retry: false });
  const isHouse = (scopeId: string) => scopeId === projects.data?.studioId;
  const nameOf = (scopeId: string): string =>
    isHouse(scopeId) ? 'The house' : (projects.data?.projects.find(({ id }) => id === scopeId)?.name ?? 'A project');
  const stuck = lanes.reduce((sum, { entries }) => sum + entries.filter(({ state }) => state !== 'waiting').length, 0);
  const count = lanes.reduce((sum, { entries }) => sum + entries.length, 0);
  return (
    <>
      <header className={shell.top}>
        <Link to="/" className={shell.mark} aria-label="Euporia, all projects">
          <i>Eu</i>poria
        </Link>
        <span className="muted">What waits on this device</span>
      </header>
      <main className={shell.page}>
        <h1>{isKnown && lanes.length === 0 ? 'Nothing waits' : 'Not sent yet'}</h1>
        {!isKnown ? (
          <p aria-busy="true">Looking at what waits …</p>
        ) : lanes.length === 0 ? (
          <Empty title="Everything is sent">
            <p>What is typed without a connection waits here, in its order, until the server has it.</p>
            <LinkButton to="/" primary>
              To the projects
            </LinkButton>
          </Empty>
        ) : (
          <>
            <p role="status">
              {isOffline
                ? 'Nobody answers just now. All of it is kept on this device and goes on when the connection is back.'
                : stuck > 0
                  ? `${stuck === 1 ? 'One change waits' : `${stuck} changes wait`} for you to decide; what is not held by that goes on by itself.`
                  : 'It is on its way.'}
              {keepsNothing() && ' This browser keeps nothing beyond this tab: leave it open until all is sent.'}
            </p>
            <p className={styles.acts}>
              <Button type="primary" onClick={() => syncEngine.retry()}>
                Send now
              </Button>
            </p>
            <div className={styles.lanes}>
              {lanes.map(({ scopeId, entries }) => (
                <section key={scopeId} className={styles.lane} aria-label={nameOf(scopeId)}>
                  <h2>
                    <Link to={isHouse(scopeId) ? '/house' : `/p/${scopeId}`}>{nameOf(scopeId)}</Link>
                  </h2>
                  <LaneEntries scopeId={scopeId} isHouse={isHouse(scopeId)} entries={entries} />
                </section>
              ))}
            </div>
            {count > 0 && <p className="muted small">{count} in all, in the order in which they are sent.</p>}
          </>
        )}
      </main>
    </>
  );
}

const houseRows = async (): Promise<Workspace> => (await api.house()).rows;
/** Asked without a state that is known already, so that all of it comes. */
async function projectRows(projectId: string): Promise<Workspace> {
  const snapshot = await api.snapshot(projectId, null);
  if (!snapshot) throw new Error('nothing was answered');
  return snapshot.rows;
}

function LaneEntries(props: { scopeId: string; isHouse: boolean; entries: readonly OutboxEntry[] }) {
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
