import { Link } from 'react-router';
import type { Waiting } from '../sync/useWaiting';
import shell from './shell.module.css';

/** Says that something on this device is still to be sent, and whether somebody has to look at it. */
export function WaitingNote(props: { waiting: Waiting }) {
  const entries = props.waiting.lanes.flatMap((lane) => lane.entries);
  if (entries.length === 0) return null;
  const stuck = entries.filter(({ state }) => state !== 'waiting').length;
  const waiting = entries.length - stuck;
  const parts = [
    ...(waiting > 0 ? [`${waiting} ${waiting === 1 ? 'change waits' : 'changes wait'} to be sent`] : []),
    ...(stuck > 0 ? [`${stuck} could not be saved`] : []),
  ];
  return (
    <p role="status" className={shell.left}>
      <b>Kept here:</b> {parts.join(', ')}. <Link to="/waiting">Look at {entries.length === 1 ? 'it' : 'them'}</Link>
    </p>
  );
}
