import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { type FormEvent, useState } from 'react';
import { BigChoice } from '../../ui/basics';
import { api } from '../api';
import shell from '../shell.module.css';
import { deviceWords } from './deviceWords';
import { GateField } from './GateField';
import { gate } from './gate';
import styles from './gate.module.css';
import { problemOf } from './problemOf';

/** The code that somebody followed here: it stands behind the # of the address, which no server is told. */
const codeOfAddress = (): string => (window.location.pathname === '/enter' ? window.location.hash.slice(1) : '');

/** Signing in: by name and pass phrase, by a code from another device, or as the owner of a studio that nobody owns yet. */
export function SignIn() {
  const client = useQueryClient();
  const who = useQuery({ queryKey: ['me'], queryFn: api.me, retry: false });
  const [way, setWay] = useState<'phrase' | 'code'>(codeOfAddress() === '' ? 'phrase' : 'code');
  const [code, setCode] = useState(codeOfAddress);
  const [name, setName] = useState('');
  const [passPhrase, setPassPhrase] = useState('');
  const [problem, setProblem] = useState('');
  const [isSending, setIsSending] = useState(false);
  const isSetUp = who.data?.access === 'setUp';
  const send = async (event: FormEvent) => {
    event.preventDefault();
    setProblem('');
    setIsSending(true);
    try {
      const device = deviceWords(navigator.userAgent);
      const found = isSetUp
        ? await api.setUp({ code, name, passPhrase, device })
        : way === 'code'
          ? await api.enterByCode({ code, device })
          : await api.signIn({ name, passPhrase, device });
      client.setQueryData(['me'], found);
      // Whoever came by a link goes on to the studio; all else goes on where it was.
      if (window.location.pathname === '/enter') window.location.replace('/');
      else {
        gate.signedIn();
        await client.invalidateQueries();
      }
    } catch (error) {
      setProblem(problemOf(error));
    } finally {
      setIsSending(false);
    }
  };
  return (
    <main className={`${shell.page} ${styles.gate}`}>
      <p className={shell.mark}>
        <i>Eu</i>poria
      </p>
      <h1>{isSetUp ? 'This studio has no owner yet' : 'Sign in'}</h1>
      {isSetUp && (
        <p>Other devices reach it, so that it asks who comes in. The code stands where Euporia was started.</p>
      )}
      {!isSetUp && window.location.pathname !== '/enter' && <p>What you typed on this page stays here meanwhile.</p>}
      {!isSetUp && (
        <BigChoice
          label="How"
          value={way}
          choices={[
            { value: 'phrase', title: 'Name and pass phrase' },
            { value: 'code', title: 'A code', hint: 'from a device that is in' },
          ]}
          across={2}
          onChange={setWay}
        />
      )}
      <form onSubmit={(event) => void send(event)} className={styles.form}>
        {(isSetUp || way === 'code') && (
          <GateField
            label="Code"
            value={code}
            onChange={setCode}
            hint="eight letters and digits"
            autoComplete="one-time-code"
          />
        )}
        {(isSetUp || way === 'phrase') && (
          <>
            <GateField label="Name" value={name} onChange={setName} autoComplete="username" />
            <GateField
              label="Pass phrase"
              value={passPhrase}
              onChange={setPassPhrase}
              isSecret
              hint={isSetUp ? 'at least 12 characters; four words that nobody puts together are best' : undefined}
              autoComplete={isSetUp ? 'new-password' : 'current-password'}
            />
          </>
        )}
        {problem && <p role="alert">{problem}</p>}
        <Button type="primary" htmlType="submit" loading={isSending}>
          {isSetUp ? 'It is my studio' : 'Come in'}
        </Button>
      </form>
    </main>
  );
}
