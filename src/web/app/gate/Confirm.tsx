import { Button, Modal } from 'antd';
import { type FormEvent, useState } from 'react';
import { api } from '../api';
import { GateField } from './GateField';
import { gate } from './gate';
import styles from './gate.module.css';
import { problemOf } from './problemOf';

/** Asks for the pass phrase once more, before something goes or leaves the studio. */
export function Confirm() {
  const [passPhrase, setPassPhrase] = useState('');
  const [problem, setProblem] = useState('');
  const send = async (event: FormEvent) => {
    event.preventDefault();
    setProblem('');
    try {
      await api.confirm(passPhrase);
      gate.confirmed(true);
    } catch (error) {
      setProblem(problemOf(error));
    }
  };
  return (
    <Modal open title="The pass phrase once more" footer={null} onCancel={() => gate.confirmed(false)} destroyOnHidden>
      <form onSubmit={(event) => void send(event)} className={styles.form}>
        <p>Before something is removed or leaves the studio: yours, or that of the owner beside you.</p>
        <GateField
          label="Pass phrase"
          value={passPhrase}
          onChange={setPassPhrase}
          isSecret
          autoComplete="current-password"
        />
        {problem && <p role="alert">{problem}</p>}
        <Button type="primary" htmlType="submit">
          Go on
        </Button>
      </form>
    </Modal>
  );
}
