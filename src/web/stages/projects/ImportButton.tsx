import type { ProjectListAnswer, RefusedAnswer } from '@contract/answers';
import type { JobSeen } from '@contract/jobs';
import { useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { ApiError } from '../../app/api';
import { doneWork, useWorks } from '../../app/longWork';
import { WorkLine } from '../../app/WorkLine';
import { later } from '../../ui/later';
import styles from './projects.module.css';

const RefusedFields = later(async () => (await import('../../app/RefusedFields')).RefusedFields);

/** Takes a project file in: as a copy, or over the same project when it comes from this studio. */
export function ImportButton(props: { studioId: string }) {
  const input = useRef<HTMLInputElement>(null);
  const client = useQueryClient();
  const navigate = useNavigate();
  const [problem, setProblem] = useState<RefusedAnswer | null>(null);
  const [asked, setAsked] = useState<{ file: unknown; name: string } | null>(null);

  /** What is being brought in from here, as far as it is known. */
  const [work, setWork] = useState<JobSeen | null>(null);
  const others = useWorks('importProject').filter(({ id }) => id !== work?.id);

  // One id for one intent: the same file chosen once more after a failure is the same intent.
  const intent = useRef<{ file: unknown; mode: string; key: string } | null>(null);
  const send = async (file: unknown, mode: 'copy' | 'update', title: string) => {
    setAsked(null);
    const same = intent.current?.file === file && intent.current?.mode === mode ? intent.current : null;
    const { key } = same ?? { key: crypto.randomUUID() };
    intent.current = { file, mode, key };
    try {
      const asked = { id: key, kind: 'importProject', title: title.slice(0, 200), asked: { mode, file } } as const;
      const { result, refusal } = await doneWork(client, asked, setWork);
      intent.current = null;
      if (refusal) setProblem(refusal);
      if (!result) return;
      await client.invalidateQueries({ queryKey: ['projects'] });
      client.removeQueries({ queryKey: ['project', result.projectId] });
      const act = result.actId === null ? null : { actId: result.actId, title: 'Brought to what the file says' };
      void navigate(`/p/${result.projectId}`, { state: mode === 'update' ? { act } : null });
    } catch (error) {
      setProblem(
        error instanceof ApiError
          ? error.answer
          : { code: 'unexpected', sentence: error instanceof Error ? error.message : 'Something went wrong.' },
      );
    } finally {
      setWork(null);
    }
  };
  const read = async (chosen: File) => {
    setProblem(null);
    let file: unknown;
    try {
      file = JSON.parse(await chosen.text());
    } catch (error) {
      setProblem({
        code: 'file.unreadable',
        sentence: 'This is not a project file that can be read.',
        fields: [
          {
            field: chosen.name,
            value: error instanceof Error ? error.message : '',
            accepted: 'JSON written by Euporia',
          },
        ],
      });
      return;
    }
    const head = file as { studioId?: unknown; project?: { id?: unknown; name?: unknown } } | null;
    const known = client
      .getQueryData<ProjectListAnswer>(['projects'])
      ?.projects.find((project) => project.id === head?.project?.id);
    if (known && head?.studioId === props.studioId) setAsked({ file, name: known.name });
    else await send(file, 'copy', chosen.name);
  };
  return (
    <>
      <input
        ref={input}
        type="file"
        accept=".json,application/json"
        className="visually-hidden"
        aria-label="Project file to import"
        onChange={(event) => {
          const chosen = event.target.files?.[0];
          event.target.value = '';
          if (chosen) void read(chosen);
        }}
      />
      <Button onClick={() => input.current?.click()}>Import a project file</Button>
      {[...(work ? [work] : []), ...others].map((one) => (
        <WorkLine key={one.id} work={one} what={`Bringing ${one.title} in:`} />
      ))}
      {asked && (
        <div
          className={styles.problem}
          role="alertdialog"
          aria-label="The same project is here"
          style={{ width: '100%' }}
        >
          <p>“{asked.name}” is here already, from this studio.</p>
          <Button onClick={() => void send(asked.file, 'update', asked.name)}>Update it</Button>{' '}
          <Button onClick={() => void send(asked.file, 'copy', asked.name)}>Make a copy</Button>{' '}
          <Button onClick={() => setAsked(null)}>Cancel</Button>
        </div>
      )}
      {problem && (
        <div className={styles.problem} role="alert" style={{ width: '100%' }}>
          <b>{problem.sentence}</b> Nothing was imported.
          {problem.fields && <RefusedFields fields={problem.fields} />}
        </div>
      )}
    </>
  );
}
