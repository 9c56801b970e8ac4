import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import { api } from '../../app/api';
import { problemOf } from '../../app/gate/problemOf';
import styles from './devices.module.css';

const moment = (ms: number) => new Date(ms).toLocaleString('en-US', { dateStyle: 'medium', timeStyle: 'short' });

/** Devices that are signed in: one's own, for the owner all of them; each can be signed out from here. */
export function SignedIn() {
  const client = useQueryClient();
  const found = useQuery({
    queryKey: ['sessions'],
    queryFn: api.sessions,
    // A device that comes in by a code that is shown here appears by itself.
    refetchInterval: 4000,
  });
  const [problem, setProblem] = useState('');
  const end = async (id: string) => {
    setProblem('');
    try {
      client.setQueryData(['sessions'], await api.endSession(id));
    } catch (error) {
      setProblem(problemOf(error));
    }
  };
  return (
    <section className={styles.part} aria-label="Signed in">
      <h2>Signed in</h2>
      {problem && <p role="alert">{problem}</p>}
      <ul className={styles.list}>
        {(found.data?.sessions ?? []).map(({ id, device, person, isThis, sinceMs, seenMs }) => (
          <li key={id}>
            <span>
              <b>{device || 'Device'}</b> {isThis ? 'this one' : person}
              <small className="muted">
                since {moment(sinceMs)}, seen {moment(seenMs)}
              </small>
            </span>
            {!isThis && (
              <Button aria-label={`Sign out ${device || 'Device'} of ${person}`} onClick={() => void end(id)}>
                Sign out
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
