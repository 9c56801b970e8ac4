import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { type FormEvent, useState } from 'react';
import { api } from '../../app/api';
import { GateField } from '../../app/gate/GateField';
import { problemOf } from '../../app/gate/problemOf';
import { BigChoice } from '../../ui/basics';
import { CodeCard } from './CodeCard';
import { roleWords } from './DevicesPage';
import styles from './devices.module.css';

type Invited = Awaited<ReturnType<typeof api.addPerson>>;

const devicesWords = (count: number) =>
  count === 0 ? 'no device yet' : count === 1 ? 'one device' : `${count} devices`;

/** Who may come in, for the owner: somebody more by a code, somebody out on all devices at once. */
export function People() {
  const client = useQueryClient();
  const found = useQuery({ queryKey: ['people'], queryFn: api.people });
  const [name, setName] = useState('');
  const [role, setRole] = useState<'stylist' | 'helper'>('helper');
  const [invited, setInvited] = useState<Invited | null>(null);
  const [problem, setProblem] = useState('');
  const tried = async (work: () => Promise<void>) => {
    setProblem('');
    try {
      await work();
    } catch (error) {
      setProblem(problemOf(error));
    }
  };
  const invite = (event: FormEvent) => {
    event.preventDefault();
    void tried(async () => {
      setInvited(await api.addPerson({ name, role }));
      setName('');
      await client.invalidateQueries({ queryKey: ['people'] });
    });
  };
  const inviteAgain = (id: string) => tried(async () => setInvited(await api.inviteAgain(id)));
  const remove = (id: string) =>
    tried(async () => {
      client.setQueryData(['people'], await api.removePerson(id));
      setInvited((shown) => (shown?.person.id === id ? null : shown));
      await client.invalidateQueries({ queryKey: ['sessions'] });
    });
  return (
    <section className={styles.part} aria-label="People">
      <h2>Who may come in</h2>
      <ul className={styles.list}>
        {(found.data?.people ?? []).map((person) => (
          <li key={person.id}>
            <span>
              <b>{person.name}</b>
              <small className="muted">
                {roleWords[person.role]}; {devicesWords(person.devices)}
              </small>
            </span>
            {person.role !== 'owner' && (
              <span className={styles.acts}>
                <Button aria-label={`Code for ${person.name}’s device`} onClick={() => void inviteAgain(person.id)}>
                  Code
                </Button>
                <Button aria-label={`Take ${person.name} out`} onClick={() => void remove(person.id)}>
                  Take out
                </Button>
              </span>
            )}
          </li>
        ))}
      </ul>
      {invited && <CodeCard {...invited} name={invited.person.name} />}
      <form onSubmit={invite} className={styles.invite}>
        <GateField label="Name of somebody more" value={name} onChange={setName} autoComplete="off" />
        <BigChoice
          label="Their part"
          value={role}
          choices={[
            { value: 'helper', title: 'Helper', hint: 'the hunt and the bench' },
            { value: 'stylist', title: 'Stylist', hint: 'all of the work' },
          ]}
          across={2}
          onChange={setRole}
        />
        {problem && <p role="alert">{problem}</p>}
        <Button htmlType="submit" disabled={name.trim() === ''}>
          Let them in
        </Button>
      </form>
    </section>
  );
}
