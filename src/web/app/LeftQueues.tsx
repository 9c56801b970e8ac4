import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { keys } from './deviceStore';
import { Outbox } from './outbox';
import shell from './shell.module.css';

/** What waits of one project (or of the house), and whether somebody has to look at it. */
interface Left {
  scopeId: string;
  waiting: number;
  stuck: number;
}

/** Changes of projects that are not open: typed without a connection, then closed. They are sent from here. */
export function useLeftQueues(): readonly Left[] {
  const [left, setLeft] = useState<readonly Left[]>([]);
  useEffect(() => {
    const open: Outbox[] = [];
    let gone = false;
    const look = () =>
      setLeft(
        open.flatMap(({ scopeId, entries }) =>
          entries.length === 0
            ? []
            : [
                {
                  scopeId,
                  waiting: entries.filter((entry) => entry.state === 'waiting').length,
                  stuck: entries.filter((entry) => entry.state !== 'waiting').length,
                },
              ],
        ),
      );
    void keys().then((found) => {
      const scopes = new Set(
        found.flatMap((key) => (key.startsWith('outbox:') ? [key.split(':')[1] ?? ''] : [])).filter((id) => id !== ''),
      );
      for (const scopeId of scopes) {
        if (gone) return;
        const outbox = new Outbox(scopeId, { changed: look, done: look, stuck: look });
        open.push(outbox);
        void outbox.open();
      }
    });
    return () => {
      gone = true;
      for (const outbox of open) outbox.close();
    };
  }, []);
  return left;
}

/** Names what waits to be sent, and what was refused, which is seen to in its project. */
export function LeftQueues(props: {
  left: readonly Left[];
  studioId: string;
  nameOf: (projectId: string) => string | null;
}) {
  const { left, studioId, nameOf } = props;
  if (left.length === 0) return null;
  return (
    <ul className={shell.left} aria-label="Not sent yet">
      {left.map(({ scopeId, waiting, stuck }) => {
        const isHouse = scopeId === studioId;
        const name = isHouse ? 'The house' : (nameOf(scopeId) ?? 'A project that is not listed');
        const parts = [
          ...(waiting > 0 ? [`${waiting} ${waiting === 1 ? 'change waits' : 'changes wait'} to be sent`] : []),
          ...(stuck > 0 ? [`${stuck} could not be saved`] : []),
        ];
        return (
          <li key={scopeId} role="status">
            <b>{name}:</b> {parts.join(', ')}.{' '}
            <Link to={isHouse ? '/house' : `/p/${scopeId}`}>{stuck > 0 ? 'Look at it' : 'Open it'}</Link>
          </li>
        );
      })}
    </ul>
  );
}
