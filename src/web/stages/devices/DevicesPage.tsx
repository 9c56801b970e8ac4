import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { Link } from 'react-router';
import { api } from '../../app/api';
import { gate } from '../../app/gate/gate';
import shell from '../../app/shell.module.css';
import { Empty, LinkButton } from '../../ui/basics';
import styles from './devices.module.css';
import { NewCode } from './NewCode';
import { OwnPassPhrase } from './OwnPassPhrase';
import { People } from './People';
import { SignedIn } from './SignedIn';

/** What each part in a studio may do, in words. */
export const roleWords = {
  owner: 'owner: all of it, and who comes in',
  stylist: 'stylist: all of the work',
  helper: 'helper: the hunt and the bench',
} as const;

/** Which devices are signed in, another one, and for the owner who may come in. */
export function DevicesPage() {
  const client = useQueryClient();
  const who = useQuery({ queryKey: ['me'], queryFn: api.me });
  const signOut = async () => {
    await api.signOut();
    client.clear();
    gate.wantSignIn();
  };
  const person = who.data?.person ?? null;
  return (
    <>
      <header className={shell.top}>
        <Link to="/" className={shell.mark}>
          <i>Eu</i>poria
        </Link>
        {who.data?.studio && <span className={shell.project}>{who.data.studio}</span>}
      </header>
      <main className={shell.page}>
        <h1>Devices and people</h1>
        {who.data?.access === 'local' && (
          <Empty title="Only this machine reaches Euporia">
            <p>So it asks nobody who they are. Started for other devices, it asks for a pass phrase first.</p>
            <LinkButton to="/" primary>
              To the projects
            </LinkButton>
          </Empty>
        )}
        {person && who.data && (
          <div className={styles.parts}>
            <div className={styles.own}>
              <section className={styles.part} aria-label="You">
                <h2>{person.name}</h2>
                <p className="muted">{roleWords[person.role]}</p>
                <OwnPassPhrase hasOne={who.data.hasPassPhrase} />
                <Button onClick={() => void signOut()}>Sign out on this device</Button>
              </section>
              <NewCode />
              <SignedIn />
            </div>
            {person.role === 'owner' && <People />}
          </div>
        )}
      </main>
    </>
  );
}
