/** What the page asks for before it goes on: that somebody signs in, or gives the pass phrase once more. */
export interface Asking {
  signIn: boolean;
  confirm: boolean;
}

let asking: Asking = { signIn: false, confirm: false };
/** How often somebody came in here: an answer to what was asked before that says nothing of now. */
let visits = 0;
const listeners = new Set<() => void>();
/** Whoever waits for the pass phrase; all of them go on together. */
let waiting: ((isConfirmed: boolean) => void)[] = [];

function tell(change: Partial<Asking>): void {
  asking = { ...asking, ...change };
  for (const listener of listeners) listener();
}

/** One place that says what is asked for, whoever found out that it is. */
export const gate = {
  asking: (): Asking => asking,
  subscribe(listener: () => void): () => void {
    listeners.add(listener);
    return () => listeners.delete(listener);
  },
  /** Nobody is signed in on this device any more: the page waits, and what was typed stays. */
  wantSignIn(): void {
    if (!asking.signIn) tell({ signIn: true });
  },
  visit: (): number => visits,
  signedIn(): void {
    visits += 1;
    tell({ signIn: false });
  },
  /** Asks for the pass phrase; false where somebody would rather not. */
  confirm(): Promise<boolean> {
    const answer = new Promise<boolean>((done) => waiting.push(done));
    if (!asking.confirm) tell({ confirm: true });
    return answer;
  },
  confirmed(isConfirmed: boolean): void {
    const all = waiting;
    waiting = [];
    tell({ confirm: false });
    for (const done of all) done(isConfirmed);
  },
};
