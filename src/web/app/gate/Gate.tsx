import { type ReactNode, useSyncExternalStore } from 'react';
import { later } from '../../ui/later';
import { gate } from './gate';

const SignIn = later(async () => (await import('./SignIn')).SignIn);
const Confirm = later(async () => (await import('./Confirm')).Confirm);

/** The pages, and before them what is asked for; what was typed on them stays as it is meanwhile. */
export function Gate(props: { children: ReactNode }) {
  const { signIn, confirm } = useSyncExternalStore(gate.subscribe, gate.asking);
  return (
    <>
      <div hidden={signIn}>{props.children}</div>
      {signIn && <SignIn />}
      {confirm && !signIn && <Confirm />}
    </>
  );
}
