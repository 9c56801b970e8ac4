import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { Link } from 'react-router';
import { api } from '../../app/api';
import shell from '../../app/shell.module.css';
import { keepsNothing } from '../../sync/deviceStore';
import { syncEngine } from '../../sync/syncEngine';
import { useWaiting } from '../../sync/useWaiting';
import { Empty, LinkButton } from '../../ui/basics';
import { later } from '../../ui/later';
import styles from './waiting.module.css';

// What acts are called comes with all of them.
const LaneEntries = later(async () => (await import('./LaneEntries')).LaneEntries);

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
