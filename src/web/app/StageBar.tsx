import { memo, useEffect, useRef } from 'react';
import { NavLink, useLocation, useNavigate } from 'react-router';
import { ActToast } from './ActToast';
import { useCommands, usePlanIfThere, useRows, useStatus } from './projectStore';
import styles from './shell.module.css';
import { stages } from './stages';
import { useWorksAt } from './useWorksAt';

/** The stages with a word on how far each is. On a phone the bar is longer than the screen. */
export function StageBar() {
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

/** What was done last, at the free end of the tape, where it covers nothing. */
function LastAct() {
  const { lastAct } = useStatus();
  const { undo, bringBack } = useCommands();
  return <ActToast queue={{ lastAct, undo, bringBack }} />;
}
