import { MOST_NAME } from '@core/kernel/nextName';
import { Button } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { copyOnce } from '../../app/copyOnce';
import { useRows } from '../../app/projectStore';
import { TextField } from '../../ui/fields';
import styles from './wrap.module.css';

/** The spots, slots and looks of a project for another room: nothing that was found, chosen or bought comes along. */
export function AsPattern() {
  const { project } = useRows();
  const navigate = useNavigate();
  const [room, setRoom] = useState('');
  const [name, setName] = useState('');
  const [isBusy, setBusy] = useState(false);
  const [problem, setProblem] = useState('');
  const begin = async () => {
    if (room === '') return setProblem('Room: nothing yet; accepted: the room that it is for');
    setProblem('');
    setBusy(true);
    try {
      const called = (name || `${project.name}, ${room}`).slice(0, MOST_NAME);
      const made = await copyOnce(project.id, { kind: 'pattern', name: called, room });
      void navigate(`/p/${made.projectId}/brief`);
    } catch (error) {
      setProblem(error instanceof Error ? error.message : 'It could not be begun.');
      setBusy(false);
    }
  };
  return (
    <section className={styles.addEnd} aria-label="For another room">
      <h3>For another room</h3>
      <p className="muted small">
        Its spots, slots, colors and looks as a pattern; what was found, chosen and bought stays here, and what holds of
        this room alone is asked anew. Without a name it is called by this project’s and the room.
      </p>
      <div className={styles.addFields}>
        <TextField label="Room" value={room} onCommit={setRoom} />
        <TextField label="Name" value={name} onCommit={setName} />
        <Button loading={isBusy} onClick={() => void begin()}>
          Begin it there
        </Button>
      </div>
      {problem !== '' && <p role="alert">{problem}</p>}
    </section>
  );
}
