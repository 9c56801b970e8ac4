import type { ProjectListAnswer } from '@contract/answers';
import { formatMinutes } from '@core/kernel/formatMinutes';
import { formatMoney } from '@core/kernel/formatMoney';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import { Link, useLocation, useNavigate } from 'react-router';
import { api } from '../../app/api';
import { NewVersionNote } from '../../app/NewVersionNote';
import { PlainNote } from '../../app/PlainNote';
import shell from '../../app/shell.module.css';
import { useWorksAt } from '../../app/useWorksAt';
import { WaitingNote } from '../../app/WaitingNote';
import { dateWords } from '../../app/words';
import { useWaiting } from '../../sync/useWaiting';
import { Empty, LinkButton } from '../../ui/basics';
import { later } from '../../ui/later';
import { Cards } from '../../ui/layout';
import ui from '../../ui/ui.module.css';
import styles from './projects.module.css';
import { Studios } from './Studios';
import { WhoHere } from './WhoHere';

type Entry = ProjectListAnswer['projects'][number];

const ImportButton = later(
  async () => (await import('./ImportButton')).ImportButton,
  () => <Button disabled>Import a project file</Button>,
);
/** The pictures come after the page: what draws pieces is half as large as all else here. */
const SpotThumbnail = later(
  async () => (await import('../../ui/SpotThumbnail')).SpotThumbnail,
  () => <span className={ui.spotThumbnail} />,
);

const SOON_MS = 700;

/** Where one starts: the projects with their purses in small, a new one, and files from elsewhere. */
export function ProjectsPage() {
  const query = useQuery({
    queryKey: ['projects'],
    queryFn: api.projects,
    staleTime: 0,
    retry: 1,
    // Purses that are being added up follow in a moment; what takes longer is asked for less often.
    refetchInterval: ({ state }) =>
      state.data?.projects.some((project) => project.isStale) ? SOON_MS * Math.min(10, state.dataUpdateCount) : false,
  });
  const waiting = useWaiting();
  const plans = useWorksAt()('brief');
  return (
    <>
      <header className={shell.top}>
        <span className={shell.mark}>
          <i>Eu</i>poria
        </span>
        <span className="muted">a workbench for home decor stylists</span>
        <WhoHere />
      </header>
      <NewVersionNote />
      <main className={styles.page}>
        <div className={styles.head}>
          <h1>Projects</h1>
          <p className="muted">Know before you spend whether a makeover beats buying new.</p>
          {plans && (
            <>
              <ImportButton studioId={query.data?.studioId ?? ''} />
              <LinkButton to="/history">History</LinkButton>
              <LinkButton to="/house">The house</LinkButton>
              <LinkButton to="/new" primary>
                New project
              </LinkButton>
            </>
          )}
        </div>
        {query.isPending && <p aria-busy="true">Opening the projects …</p>}
        {query.isError && (
          <div className={styles.problem} role="alert">
            <p>{query.error.message}</p>
            <Button onClick={() => void query.refetch()}>Try again</Button>
          </div>
        )}
        {query.data && query.data.projects.length === 0 && (
          <Empty title="No project yet">
            {plans ? (
              <>
                <p>
                  Name the room and the budget; everything else has a default. Then add a spot, number what it needs,
                  and enter the first piece you saw.
                </p>
                <LinkButton to="/new" primary>
                  Start the first project
                </LinkButton>
              </>
            ) : (
              <p>Whoever let you in has begun none here so far. It appears as soon as there is one.</p>
            )}
          </Empty>
        )}
        <WaitingNote waiting={waiting} />
        <Removed />
        <ProjectCards projects={query.data?.projects.filter(({ archivedOn }) => archivedOn === null) ?? []} />
        <Archived projects={query.data?.projects.filter(({ archivedOn }) => archivedOn !== null) ?? []} />
        <PlainNote />
        <Studios isSomethingLeft={waiting.lanes.length > 0} />
      </main>
    </>
  );
}

function ProjectCards(props: { projects: readonly Entry[] }) {
  return (
    <Cards leastWidth={320}>
      {props.projects.map((project) => (
        <li key={project.id}>
          <ProjectCard project={project} />
        </li>
      ))}
    </Cards>
  );
}

/** Projects that are done with, whole and apart. */
function Archived(props: { projects: readonly Entry[] }) {
  const [open, setOpen] = useState(false);
  const { projects } = props;
  if (projects.length === 0) return null;
  return (
    <details className={styles.archived} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>Archived, {projects.length}</summary>
      {open && <ProjectCards projects={projects} />}
    </details>
  );
}

/** A project that was just removed, with the way to bring it back. */
function Removed() {
  const { state } = useLocation() as { state: { removed?: { projectId: string; actId: string; name: string } } | null };
  const client = useQueryClient();
  const navigate = useNavigate();
  const [problem, setProblem] = useState<string | null>(null);
  const removed = state?.removed;
  if (!removed) return null;
  const bringBack = async () => {
    try {
      await api.command({
        key: crypto.randomUUID(),
        projectId: removed.projectId,
        kind: 'undo',
        payload: { actId: removed.actId, reversalIds: [] },
        expect: {},
      });
      await client.invalidateQueries({ queryKey: ['projects'] });
      void navigate('/', { replace: true, state: null });
    } catch (error) {
      setProblem(error instanceof Error ? error.message : 'It could not be brought back.');
    }
  };
  return (
    <div className={shell.toast} role="status">
      <span>{problem ?? `${removed.name} removed`}</span>
      <Button size="small" ghost onClick={() => void bringBack()}>
        Bring it back
      </Button>
    </div>
  );
}

function ProjectCard(props: { project: Entry }) {
  const { project } = props;
  const { summary, currency } = project;
  const money = (minor: number) => formatMoney(minor, currency, { cents: 'auto' });
  if (!summary) {
    return (
      <Link className={styles.card} to={`/p/${project.id}`}>
        <h2>{project.name}</h2>
        <p className="muted">adding up …</p>
      </Link>
    );
  }
  const { budget, spent, promised, planned, free } = summary.money;
  const part = (minor: number) => `${Math.max(0, Math.min(100, (100 * minor) / Math.max(1, budget)))}%`;
  return (
    <Link className={styles.card} to={`/p/${project.id}`}>
      {summary.firstSpot && <SpotThumbnail spot={summary.firstSpot} />}
      <h2>{project.name}</h2>
      <span className="muted">
        {[project.room, project.revealDate ? `reveal ${dateWords(project.revealDate)}` : '']
          .filter((text) => text !== '')
          .join(' · ')}
      </span>
      <span className={styles.bar} aria-hidden="true">
        <span className={styles.spent} style={{ width: part(spent + promised) }} />
        <span className={styles.planned} style={{ width: part(planned.likely) }} />
      </span>
      <span className={styles.figures}>
        <span>
          <b>{money(budget)}</b>
          {free.likely < 0
            ? `${money(-free.likely)} over`
            : `${free.atLeast ? 'at most ' : ''}${money(free.likely)} free`}
        </span>
        <span>
          <b>{formatMinutes(summary.hands.plannedMinutes)}</b>
          {summary.hands.freeMinutes === null
            ? 'hands-on planned'
            : summary.hands.freeMinutes < 0
              ? `${formatMinutes(-summary.hands.freeMinutes)} short`
              : `${formatMinutes(summary.hands.freeMinutes)} free`}
        </span>
        <span>
          <b>
            {summary.slots.settled}/{summary.slots.all}
          </b>
          slots settled
        </span>
      </span>
    </Link>
  );
}
