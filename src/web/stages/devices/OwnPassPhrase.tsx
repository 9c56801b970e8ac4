import { useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { type FormEvent, useState } from 'react';
import { api } from '../../app/api';
import { GateField } from '../../app/gate/GateField';
import { problemOf } from '../../app/gate/problemOf';
import styles from './devices.module.css';

/** One's own pass phrase: the first, or another one by the present one. */
export function OwnPassPhrase(props: { hasOne: boolean }) {
  const client = useQueryClient();
  const [present, setPresent] = useState('');
  const [passPhrase, setPassPhrase] = useState('');
  const [told, setTold] = useState('');
  const send = async (event: FormEvent) => {
    event.preventDefault();
    try {
      client.setQueryData(['me'], await api.setPassPhrase({ passPhrase, present: props.hasOne ? present : null }));
      setPresent('');
      setPassPhrase('');
      setTold('That is your pass phrase from now on.');
    } catch (error) {
      setTold(problemOf(error));
    }
  };
  return (
    <details>
      <summary>{props.hasOne ? 'Another pass phrase' : 'A pass phrase of your own'}</summary>
      <form onSubmit={(event) => void send(event)} className={styles.invite}>
        {props.hasOne && (
          <GateField
            label="The present one"
            value={present}
            onChange={setPresent}
            isSecret
            autoComplete="current-password"
          />
        )}
        <GateField
          label="The new one"
          value={passPhrase}
          onChange={setPassPhrase}
          isSecret
          hint="at least 12 characters; four words that nobody puts together are best"
          autoComplete="new-password"
        />
        <Button htmlType="submit">Keep it</Button>
      </form>
      {told && <p role="status">{told}</p>}
    </details>
  );
}
