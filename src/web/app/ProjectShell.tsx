import type { PurseFigure } from '@core/plan/why/explainPurse';
import { Button } from 'antd';
import { Suspense, useCallback, useEffect, useState } from 'react';
import { NavLink, useLocation, useNavigate, useParams } from 'react-router';
import { later } from '../ui/later';
import { BriefStrip } from './BriefStrip';
import { FileLink } from './FileLink';
import { howSaving, waitingIn } from './howSaving';
import { isTyping } from './isTyping';
import { NewVersionNote } from './NewVersionNote';
import { NotSaved } from './NotSaved';
import { OwnPart } from './OwnPart';
import { ProjectProvider } from './ProjectProvider';
import { Failed, Mark, PartToCome, PurseToCome, Skeleton } from './ProjectToCome';
import { Purse } from './Purse';
import { useCommands, usePlan, useRows, useStatus } from './projectStore';
import { StageBar } from './StageBar';
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

const KeySheet = later(async () => (await import('./KeySheet')).KeySheet);

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
      <BriefStrip />
      <Suspense fallback={null}>
        <Remedy />
      </Suspense>
      <Bell />
      <Banners />
      <Suspense fallback={<PartToCome />}>
        <OwnPart />
      </Suspense>
      <SavingNotes />
      <StageKeys onKeys={openKeys} />
      {wereShown && <KeySheet open={keysOpen} onClose={() => setKeysOpen(false)} />}
    </>
  );
}

const FirstRemedy = later(async () => (await import('../stages/balance')).FirstRemedy);

/** What helps while the purse is over; Balance itself says more. */
function Remedy() {
  const { purse } = usePlan();
  const { pathname } = useLocation();
  const worksAt = useWorksAt();
  const isOver = purse.money.free.likely < 0 || (purse.hands.freeMinutes ?? 0) < 0;
  // In a shop the card is all that there is room for.
  const isElsewhere = pathname.includes('/balance') || pathname.endsWith('/hunt/card');
  return isOver && worksAt('balance') && !isElsewhere ? <FirstRemedy /> : null;
}

const DryBell = later(async () => (await import('./DryBell')).DryBell);

/** What is dry rings wherever one is; before anything was done there is nothing to ring. */
function Bell() {
  const { stepRuns } = useRows();
  return stepRuns.some(({ doneMs }) => doneMs !== null) ? <DryBell /> : null;
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

function SavedMark() {
  const status = useStatus();
  const saving = howSaving(status);
  if (saving === 'keptHere')
    return (
      <span role="status">
        <NavLink to="/waiting">Kept here, {waitingIn(status.entries)} to send</NavLink>
      </span>
    );
  return <span role="status">{savingWords[saving]}</span>;
}

const savingWords = { underWay: 'Saving …', offline: 'Not connected', done: 'Saved' } as const;

const PurseWhy = later(async () => (await import('../stages/compare')).PurseWhy);

function PurseBar() {
  const plan = usePlan();
  const [why, setWhy] = useState<PurseFigure | null>(null);
  const close = useCallback(() => setWhy(null), []);
  const wasAsked = useOnce(why !== null);
  return (
    <>
      <Purse plan={plan} onWhy={setWhy} />
      {wasAsked && <PurseWhy figure={why} onClose={close} />}
    </>
  );
}

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
