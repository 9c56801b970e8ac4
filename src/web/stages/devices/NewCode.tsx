import { Button } from 'antd';
import { useState } from 'react';
import { api } from '../../app/api';
import { problemOf } from '../../app/gate/problemOf';
import { CodeCard } from './CodeCard';
import styles from './devices.module.css';

/** Another device of whoever is signed in: a code for it. */
export function NewCode() {
  const [code, setCode] = useState<Awaited<ReturnType<typeof api.makeCode>> | null>(null);
  const [problem, setProblem] = useState('');
  const make = async () => {
    setProblem('');
    try {
      setCode(await api.makeCode());
    } catch (error) {
      setProblem(problemOf(error));
    }
  };
  return (
    <section className={styles.part} aria-label="Another device">
      <h2>Another device of yours</h2>
      {code ? (
        <CodeCard {...code} name="another device" />
      ) : (
        <p className="muted">A phone for the shop, a tablet for the bench.</p>
      )}
      {problem && <p role="alert">{problem}</p>}
      <Button type={code ? 'default' : 'primary'} onClick={() => void make()}>
        {code ? 'Another code' : 'Make a code'}
      </Button>
    </section>
  );
}
