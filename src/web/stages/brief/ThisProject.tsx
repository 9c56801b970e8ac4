import { nextName } from '@core/kernel/nextName';
import { Button } from 'antd';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api } from '../../app/api';
import { copyOnce } from '../../app/copyOnce';
import { FileLink } from '../../app/FileLink';
import { useCommands, useRows } from '../../app/projectStore';
import { localToday } from '../../app/today';
import { dateWords } from '../../app/words';
import styles from './brief.module.css';

/** The project as a whole: copied, or copied for the next season with the same spots and its slots open again. */
export function ThisProject() {
  const rows = useRows();
  const { run } = useCommands();
  const navigate = useNavigate();
  const [busy, setBusy] = useState(false);
  const [isAsking, setAsking] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const copy = async (kind: 'duplicate' | 'nextSeason') => {
    setBusy(true);
    setProblem(null);
    try {
      const name = nextName(rows.project.name, kind === 'duplicate' ? 'copy' : 'next season');
      const made = await copyOnce(rows.project.id, { kind, name });
      void navigate(`/p/${made.projectId}/brief`);
    } catch (error) {
      setProblem(error instanceof Error ? error.message : 'It could not be copied.');
    } finally {
      setBusy(false);
    }
  };
  const archive = (archivedOn: string | null) => run('editProject', { id: rows.project.id, values: { archivedOn } });
  const remove = async () => {
    setBusy(true);
    try {
      const { id: projectId, name } = rows.project;
      const answer = await api.command({
        key: crypto.randomUUID(),
        projectId,
        kind: 'removeProject',
        payload: { id: projectId },
        expect: {},
      });
      void navigate('/', { state: { removed: { projectId, actId: answer.actId, name } } });
    } catch (error) {
      setProblem(error instanceof Error ? error.message : 'It could not be removed.');
      setBusy(false);
    }
  };
  return (
    <section className={styles.sheet} aria-label="This project">
      <h2>This project</h2>
      <p className={styles.row}>
        <Button onClick={() => void copy('duplicate')} disabled={busy}>
          Duplicate it
        </Button>
        <Button onClick={() => void copy('nextSeason')} disabled={busy}>
          Copy for the next season
        </Button>
        <span className="muted small">the same spots and palette, every slot open again</span>
      </p>
      <p className={styles.row}>
        {rows.project.archivedOn === null ? (
          <Button onClick={() => archive(localToday(rows.project.timeZone))}>Archive it</Button>
        ) : (
          <Button onClick={() => archive(null)}>Bring it back from the archive</Button>
        )}
        <span className="muted small">
          {rows.project.archivedOn === null
            ? 'it stays whole, and stands apart on the start page'
            : `archived ${dateWords(rows.project.archivedOn)}`}
        </span>
      </p>
      {isAsking ? (
        <section className={styles.row} aria-label="Remove this project">
          <p>
            All of it goes: spots, finds, recipes, what was paid in it. Bills that were sent stay in the{' '}
            <Link to="/history">history</Link>. Brought back it can be only from the message that says that it is gone,
            and later from its file.
          </p>
          <FileLink name="exportProject" asked={{ places: { projectId: rows.project.id } }}>
            Save its file first
          </FileLink>
          <Button onClick={() => void remove()} disabled={busy}>
            Remove it for good
          </Button>
          <Button type="text" onClick={() => setAsking(false)}>
            Keep it
          </Button>
        </section>
      ) : (
        <p className={styles.row}>
          <Button type="text" onClick={() => setAsking(true)} disabled={busy}>
            Remove this project …
          </Button>
        </p>
      )}
      {problem && (
        <p role="alert" className={styles.remind}>
          {problem}
        </p>
      )}
    </section>
  );
}
