import type { PurseFigure } from '@core/plan/why/explainPurse';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { lazy, memo, Suspense, useCallback, useEffect, useRef, useState } from 'react';
import { Link, NavLink, useLocation, useNavigate, useParams } from 'react-router';
import { ActToast } from './ActToast';
import { ApiError, api } from './api';
import { BriefStrip } from './BriefStrip';
import { FileLink } from './FileLink';
import { isTyping } from './isTyping';
import { NewVersionNote } from './NewVersionNote';
import { NotSaved } from './NotSaved';
import { OwnPart } from './OwnPart';
import { ProjectProvider } from './ProjectProvider';
import { Purse } from './Purse';
import { useCommands, usePlan, usePlanIfThere, useRows, useStatus } from './projectStore';
import styles from './shell.module.css';
import { stages } from './stages';
import { useUndoKey } from './undoKey';
import { useOnce } from './useOnce';
import { useWorksAt } from './useWorksAt';

/** The frame of an open project: purse, stage bar, stages, and what everybody needs to know. */
export function ProjectShell() {
  const { projectId = '' } = useParams();
  return (
    <ProjectProvider
      key={projectId}
      projectId={projectId}
      skeleton={<Skeleton />}
      failed={(error, retry) => <Failed error={error} retry={retry} />}
    >
      <Frame />
    </ProjectProvider>
  );
}

function Mark() {
  return (
    <Link to="/" className={styles.mark} aria-label="Euporia, all projects">
      <i>Eu</i>poria
    </Link>
  );
}

function Skeleton() {
  return (
    <div aria-busy="true">
      <header className={styles.top}>
        <Mark />
        <span className="muted">Opening the project …</span>
      </header>
      <PurseToCome />
      <div className={styles.stageBar} />
    </div>
  );
}

/** Where the purse will be: what stands below stays where it is when it comes. */
const PurseToCome = () => <div className={styles.purse} style={{ height: 74 }} aria-busy="true" />;

/** After so long it is said that a page may be loaded again, ms: not every browser asks anew for a part that failed. */
const LONG_MS = 15_000;

/** What is shown of a page that is all about the plan, until the plan is there. */
function PartToCome() {
  const [isLong, setLong] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setLong(true), LONG_MS);
    return () => clearTimeout(timer);
  }, []);
  return (
    <main className={styles.page} aria-busy="true">
      <p className="muted">Working out the plan …</p>
      {isLong && (
        <p>
          This takes longer than it should.{' '}
          <Button onClick={() => window.location.reload()}>Load the page again</Button> What you typed is kept.
        </p>
      )}
    </main>
  );
}

function Failed(props: { error: unknown; retry: () => void }) {
  // An address that is no project's is refused as a field; a project that is gone is not found.
  const missing = props.error instanceof ApiError && ['notFound', 'fields.refused'].includes(props.error.answer.code);
  return (
    <div>
      <header className={styles.top}>
        <Mark />
      </header>
      <main className={styles.page} role="alert">
        <h1>{missing ? 'This project is not here' : 'The project cannot be opened just now'}</h1>
        <p>
          {missing
            ? 'No project has this address; it may have been removed.'
            : props.error instanceof Error
              ? props.error.message
              : 'Something went wrong.'}
        </p>
        {missing && <OtherStudios />}
        {!missing && <Button onClick={props.retry}>Try again</Button>} <Link to="/">All projects</Link>
      </main>
    </div>
  );
}

/** A project may be of another studio than this tab is in: it is looked for there with one press. */
function OtherStudios() {
  const query = useQuery({ queryKey: ['studios'], queryFn: api.studios });
  const others = (query.data?.studios ?? []).filter(({ isOpen }) => !isOpen);
  if (others.length === 0) return null;
  return (
    <p>
      It may be in another studio:{' '}
      {others.map((studio) => (
        <Button key={studio.id} onClick={() => api.lookInStudio(studio.id)}>
          Look in {studio.name}
        </Button>
      ))}
    </p>
  );
}

const KeySheet = lazy(async () => ({ default: (await import('./KeySheet')).KeySheet }));

/** The frame itself: what stands around the stages. Each part reads what it shows. */
function Frame() {
  const [keysOpen, setKeysOpen] = useState(false);
  const openKeys = useCallback(() => setKeysOpen(true), []);
  const wereShown = useOnce(keysOpen);
  return (
    <>
      <TopBar onKeys={openKeys} />
      <Suspense fallback={<PurseToCome />}>
        <PurseBar />
      </Suspense>
      <StageBar />
      <Suspense fallback={null}>
        <BriefStrip />
        <Remedy />
      </Suspense>
      <Bell />
      <Banners />
      <Suspense fallback={<PartToCome />}>
        <OwnPart />
      </Suspense>
      <SavingNotes />
      <StageKeys onKeys={openKeys} />
      {wereShown && (
        <Suspense fallback={null}>
          <KeySheet open={keysOpen} onClose={() => setKeysOpen(false)} />
        </Suspense>
      )}
    </>
  );
}

const FirstRemedy = lazy(async () => ({ default: (await import('../stages/balance')).FirstRemedy }));

/** What helps while the purse is over; Balance itself says more. */
function Remedy() {
  const { purse } = usePlan();
  const { pathname } = useLocation();
  const worksAt = useWorksAt();
  const isOver = purse.money.free.likely < 0 || (purse.hands.freeMinutes ?? 0) < 0;
  // In a shop the card is all that there is room for.
  const isElsewhere = pathname.includes('/balance') || pathname.endsWith('/hunt/card');
  return isOver && worksAt('balance') && !isElsewhere ? (
    <Suspense fallback={null}>
      <FirstRemedy />
    </Suspense>
  ) : null;
}

const DryBell = lazy(async () => ({ default: (await import('./DryBell')).DryBell }));

/** What is dry rings wherever one is; before anything was done there is nothing to ring. */
function Bell() {
  const { stepRuns } = useRows();
  return stepRuns.some(({ doneMs }) => doneMs !== null) ? (
    <Suspense fallback={null}>
      <DryBell />
    </Suspense>
  ) : null;
}

/** The keys that go from stage to stage. */
function StageKeys(props: { onKeys: () => void }) {
  const { onKeys } = props;
  const { projectId = '' } = useParams();
  const navigate = useNavigate();
  const worksAt = useWorksAt();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey) return;
      const place =
        stages.find((stage) => stage.key === event.key && worksAt(stage.path))?.path ??
        (event.key === 'n' ? 'hunt?new=1' : null);
      if (place !== null) {
        event.preventDefault();
        void navigate(`/p/${projectId}/${place}`);
      } else if (event.key === '?') onKeys();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [navigate, projectId, onKeys, worksAt]);
  useUndoKey();
  return null;
}

function TopBar(props: { onKeys: () => void }) {
  const { project, overrides } = useRows();
  const base = `/p/${project.id}`;
  const worksAt = useWorksAt();
  return (
    <header className={styles.top}>
      <Mark />
      <span className={styles.project}>{project.name}</span>
      <span className={`muted ${styles.hideNarrow}`}>{project.room}</span>
      <span className={styles.right}>
        <SavedMark />
        {worksAt('assumptions') && (
          <>
            <NavLink to={`${base}/assumptions`}>
              Assumptions{overrides.length > 0 ? ` (${overrides.length})` : ''}
            </NavLink>
            <FileLink name="exportProject" asked={{ places: { projectId: project.id } }}>
              Project file
            </FileLink>
          </>
        )}
        <Button type="text" size="small" className={styles.hideNarrow} onClick={props.onKeys}>
          Keys <kbd>?</kbd>
        </Button>
      </span>
    </header>
  );
}

const waitingIn = (entries: readonly { state: string }[]) =>
  entries.filter((entry) => entry.state === 'waiting').length;

function SavedMark() {
  const { offline, entries, isMaking } = useStatus();
  const waiting = waitingIn(entries);
  if (offline && waiting > 0)
    return (
      <span role="status">
        <NavLink to="/waiting">Kept here, {waiting} to send</NavLink>
      </span>
    );
  return (
    <span role="status">{isMaking ? 'Saving …' : offline ? 'Not connected' : waiting > 0 ? 'Saving …' : 'Saved'}</span>
  );
}

const PurseWhy = lazy(async () => ({ default: (await import('../stages/compare')).PurseWhy }));

function PurseBar() {
  const plan = usePlan();
  const [why, setWhy] = useState<PurseFigure | null>(null);
  const close = useCallback(() => setWhy(null), []);
  const wasAsked = useOnce(why !== null);
  return (
    <>
      <Purse plan={plan} onWhy={setWhy} />
      {wasAsked && (
        <Suspense fallback={null}>
          <PurseWhy figure={why} onClose={close} />
        </Suspense>
      )}
    </>
  );
}

/** The stages with a word on how far each is. On a phone the bar is longer than the screen. */
function StageBar() {
  const rows = useRows();
  const plan = usePlanIfThere();
  const worksAt = useWorksAt();
  const { noteAct } = useCommands();
  const navigate = useNavigate();
  const { pathname, state } = useLocation() as {
    pathname: string;
    state: { act?: { actId: string; title: string } | null } | null;
  };
  // An act that another page did to this project (a file over it) can be taken back from here.
  const act = state?.act ?? null;
  useEffect(() => {
    if (!act) return;
    noteAct(act.actId, act.title);
    void navigate(pathname, { replace: true, state: null });
  }, [act, noteAct, navigate, pathname]);
  const bar = useRef<HTMLElement>(null);
  // The present stage is brought into view.
  useEffect(() => {
    const here = bar.current?.querySelector<HTMLElement>(`a[href^="${pathname.split('/').slice(0, 4).join('/')}"]`);
    if (here && bar.current) bar.current.scrollLeft = here.offsetLeft - 40;
  }, [pathname]);
  return (
    <div className={styles.stageBar}>
      <nav aria-label="Stages" ref={bar}>
        {stages
          .filter(({ path }) => worksAt(path))
          .map(({ path, name, figure }) => (
            <StageLink key={path} to={`/p/${rows.project.id}/${path}`} name={name} figure={figure(rows, plan)} />
          ))}
      </nav>
      <LastAct />
    </div>
  );
}

const StageLink = memo(function StageLink(props: { to: string; name: string; figure: string }) {
  return (
    <NavLink to={props.to}>
      {props.name}
      {props.figure && <small>{props.figure}</small>}
    </NavLink>
  );
});

/** What everybody needs to know: no connection, nothing kept, changed elsewhere. */
function Banners() {
  const { offline, notKept, news, entries } = useStatus();
  const { retry, dismissNews } = useCommands();
  const waiting = waitingIn(entries);
  return (
    <>
      <NewVersionNote />
      {offline && (
        <div className={styles.banner} role="alert">
          <b>Not connected.</b> Euporia does not answer just now. What you type is kept here
          {waiting > 0 ? ` (${waiting} to send)` : ''} and goes on when it is back.
          <Button size="small" onClick={retry}>
            Try now
          </Button>
        </div>
      )}
      {notKept && (
        <div className={styles.banner} role="status">
          <b>Not kept on this device.</b> This browser keeps nothing for Euporia (a private window, or no room). What
          you type goes straight to the server; close the tab only when it says Saved.
        </div>
      )}
      {news && (
        <div className={styles.banner} role="status">
          <b>Changed elsewhere.</b> {news} changed this project just now; you see the newest state.
          <Button size="small" onClick={dismissNews}>
            Good
          </Button>
        </div>
      )}
    </>
  );
}

/** What could not be saved. */
function SavingNotes() {
  const { entries } = useStatus();
  const { resolve, undoWith } = useCommands();
  return <NotSaved entries={entries} resolve={resolve} undoWith={undoWith} />;
}

/** What was done last, at the free end of the tape, where it covers nothing. */
function LastAct() {
  const { lastAct } = useStatus();
  const { undo, bringBack } = useCommands();
  return <ActToast queue={{ lastAct, undo, bringBack }} />;
}
