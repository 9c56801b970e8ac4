import type { JobSeen } from '@contract/jobs';
import { useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import { giveUp } from './longWork';
import shell from './shell.module.css';

/** A long work that goes on: how far it is, that the page may be closed, and the way to give it up. */
export function WorkLine(props: { work: JobSeen; what: string; unit?: string }) {
  const { work, what, unit = '' } = props;
  const client = useQueryClient();
  const [problem, setProblem] = useState('');
  return (
    <div role="status" className={shell.work}>
      <span>
        <b>{what}</b>{' '}
        {work.state === 'waiting'
          ? 'waits for a free hand.'
          : work.of > 0
            ? `${work.done.toLocaleString('en-US')} of ${work.of.toLocaleString('en-US')}${unit}.`
            : 'goes on.'}{' '}
        <span className="muted">This page may be closed meanwhile.</span>
      </span>
      {work.of > 0 ? <progress value={work.done} max={work.of} aria-label={what} /> : <progress aria-label={what} />}
      <Button size="small" onClick={() => giveUp(client, work.id).catch((error: Error) => setProblem(error.message))}>
        Cancel
      </Button>
      {problem !== '' && <span role="alert">{problem}</span>}
    </div>
  );
}
