import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { ApiError, api } from './api';
import styles from './shell.module.css';

/** The name of the app, which leads to all projects. */
export function Mark() {
  return (
    <Link to="/" className={styles.mark} aria-label="Euporia, all projects">
      <i>Eu</i>poria
    </Link>
  );
}

/** What stands while a project is opened. */
export function Skeleton() {
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
export const PurseToCome = () => <div className={`${styles.purse} ${styles.purseToCome}`} aria-busy="true" />;

/** After so long it is said that a page may be loaded again, ms: not every browser asks anew for a part that failed. */
const LONG_MS = 15_000;

/** What is shown of a page that is all about the plan, until the plan is there. */
export function PartToCome() {
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

/** What stands where a project cannot be opened. */
export function Failed(props: { error: unknown; retry: () => void }) {
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
