import type { PurseFigure } from '@core/plan/why/explainPurse';
import { Button, Modal } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { Link, NavLink, Outlet, useLocation, useNavigate, useParams } from 'react-router';
import { PurseWhy } from '../stages/compare';
import { ActToast } from './ActToast';
import { ApiError } from './api';
import { isTyping } from './isTyping';
import { NotSaved } from './NotSaved';
import { Purse } from './Purse';
import { ProjectProvider, useProject } from './projectStore';
import styles from './shell.module.css';
import { useUndoKey } from './undoKey';

/** The frame of an open project: purse, tape, stages, and what everybody needs to know. */
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
      <div className={styles.purse} style={{ height: 74 }} />
      <div className={styles.tape} />
    </div>
  );
}

function Failed(props: { error: unknown; retry: () => void }) {
  const missing = props.error instanceof ApiError && props.error.status === 404;
  return (
    <div>
      <header className={styles.top}>
        <Mark />
      </header>
      <main className={styles.page} role="alert">
        <h1>{missing ? 'This project is not here' : 'The project cannot be opened just now'}</h1>
        <p>{props.error instanceof Error ? props.error.message : 'Something went wrong.'}</p>
        <Button onClick={props.retry}>Try again</Button> <Link to="/">All projects</Link>
      </main>
    </div>
  );
}

const keySheet: [string, string][] = [
  ['?', 'This sheet'],
  ['b', 'Brief'],
  ['o', 'House: what we own'],
  ['s', 'Sketch: spots and slots'],
  ['h', 'Hunt: finds'],
  ['m', 'Makeover: recipes'],
  ['c', 'Compare: the board'],
  ['n', 'New find, by the quick line'],
  ['u', 'Take the last act back'],
  ['arrows', 'On the board: from option to option'],
  ['Enter', 'On an option: choose it'],
  ['w', 'On an option: why'],
];

function Frame() {
  const project = useProject();
  const { rows, plan, offline, notKept, news, dismissNews, entries, retry, resolve, undoWith } = project;
  const navigate = useNavigate();
  const [keysOpen, setKeysOpen] = useState(false);
  const [why, setWhy] = useState<PurseFigure | null>(null);
  const base = `/p/${rows.project.id}`;

  useEffect(() => {
    const places: Record<string, string> = {
      b: 'brief',
      s: 'sketch',
      o: 'house',
      h: 'hunt',
      m: 'makeover',
      c: 'compare',
      n: 'hunt?new=1',
    };
    const onKey = (event: KeyboardEvent) => {
      if (isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey) return;
      const place = places[event.key];
      if (place) {
        event.preventDefault();
        void navigate(`${base}/${place}`);
      } else if (event.key === '?') setKeysOpen(true);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [navigate, base]);
  useUndoKey();

  // On a phone the tape is longer than the screen: the present stage is brought into view.
  const { pathname, state } = useLocation() as {
    pathname: string;
    state: { act?: { actId: string; title: string } | null } | null;
  };
  // An act that another page did to this project (a file over it) can be taken back from here.
  const { noteAct } = project;
  const act = state?.act ?? null;
  useEffect(() => {
    if (!act) return;
    noteAct(act.actId, act.title);
    void navigate(pathname, { replace: true, state: null });
  }, [act, noteAct, navigate, pathname]);
  const tape = useRef<HTMLElement>(null);
  useEffect(() => {
    const here = tape.current?.querySelector<HTMLElement>(`a[href^="${pathname.split('/').slice(0, 4).join('/')}"]`);
    if (here && tape.current) tape.current.scrollLeft = here.offsetLeft - 40;
  }, [pathname]);

  const noBefore = rows.project.brief.beforePhoto === 'wanted' && !rows.photos.some((photo) => photo.kind === 'before');
  const owned = rows.finds.filter((find) => find.state === 'owned').length;
  const settled = plan.slots.filter((slot) => slot.open === 0).length;
  const waiting = entries.filter((entry) => entry.state === 'waiting').length;
  const stages: [string, string, string][] = [
    ['brief', 'Brief', noBefore ? 'before photo?' : ''],
    ['house', 'House', owned > 0 ? `${owned} ours` : ''],
    [
      'sketch',
      'Sketch',
      rows.slots.length > 0 ? `${rows.slots.length} ${rows.slots.length === 1 ? 'slot' : 'slots'}` : '',
    ],
    ['hunt', 'Hunt', rows.finds.length > 0 ? `${rows.finds.length} ${rows.finds.length === 1 ? 'find' : 'finds'}` : ''],
    ['makeover', 'Makeover', rows.recipes.length > 0 ? String(rows.recipes.length) : ''],
    ['compare', 'Compare', plan.slots.length > 0 ? `${settled}/${plan.slots.length}` : ''],
  ];
  return (
    <>
      <header className={styles.top}>
        <Mark />
        <span className={styles.project}>{rows.project.name}</span>
        <span className={`muted ${styles.hideNarrow}`}>{rows.project.room}</span>
        <span className={styles.right}>
          <span role="status">{offline ? 'Not connected' : waiting > 0 ? 'Saving …' : 'Saved'}</span>
          <NavLink to={`${base}/assumptions`}>
            Assumptions{rows.overrides.length > 0 ? ` (${rows.overrides.length})` : ''}
          </NavLink>
          <a href={`/api/projects/${rows.project.id}/file`} download className={styles.hideNarrow}>
            Project file
          </a>
          <button
            type="button"
            className={`${styles.plainButton} ${styles.hideNarrow}`}
            onClick={() => setKeysOpen(true)}
          >
            Keys <kbd>?</kbd>
          </button>
        </span>
      </header>
      <Purse plan={plan} onWhy={setWhy} />
      <nav className={styles.tape} aria-label="Stages" ref={tape}>
        {stages.map(([path, name, figure]) => (
          <NavLink key={path} to={`${base}/${path}`}>
            {name}
            {figure && <small>{figure}</small>}
          </NavLink>
        ))}
      </nav>
      {offline && (
        <div className={styles.banner} role="alert">
          <b>Not connected.</b> The database does not answer. What you typed is kept here
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
          <b>Changed elsewhere.</b> Another tab or device changed this project just now; you see the newest state.
          <Button size="small" onClick={dismissNews}>
            Good
          </Button>
        </div>
      )}
      <Outlet />
      <ActToast queue={project} />
      <NotSaved entries={entries} resolve={resolve} undoWith={undoWith} />
      <PurseWhy figure={why} onClose={() => setWhy(null)} />
      <Modal open={keysOpen} title="Keys" footer={null} onCancel={() => setKeysOpen(false)}>
        <dl className={styles.keys}>
          {keySheet.map(([key, what]) => (
            <div key={key}>
              <dt>
                <kbd>{key}</kbd>
              </dt>
              <dd>{what}</dd>
            </div>
          ))}
        </dl>
      </Modal>
    </>
  );
}
