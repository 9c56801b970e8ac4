import { lazy, type ReactNode, Suspense, useSyncExternalStore } from 'react';
import { gate } from './gate';

const SignIn = lazy(async () => ({ default: (await import('./SignIn')).SignIn }));
const Confirm = lazy(async () => ({ default: (await import('./Confirm')).Confirm }));

/** The pages, and before them what is asked for; what was typed on them stays as it is meanwhile. */
export function Gate(props: { children: ReactNode }) {
  const { signIn, confirm } = useSyncExternalStore(gate.subscribe, gate.asking);
  return (
    <>
      <div hidden={signIn}>{props.children}</div>
      <Suspense fallback={null}>
        {signIn && <SignIn />}
        {confirm && !signIn && <Confirm />}
      </Suspense>
    </>
  );
}
