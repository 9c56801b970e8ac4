import { Button } from 'antd';
import { Link } from 'react-router';
import { ActToast } from '../../app/ActToast';
import { HouseProvider, useHouse } from '../../app/houseStore';
import { howSaving, waitingIn } from '../../app/howSaving';
import { NotSaved } from '../../app/NotSaved';
import { useOpenRows } from '../../app/projectStore';
import shell from '../../app/shell.module.css';
import { useUndoKey } from '../../app/undoKey';
import { useSearchState } from '../../app/useSearchState';
import { later } from '../../ui/later';
import { type Part, TabbedParts } from '../../ui/TabbedParts';
import styles from './house.module.css';

// Each part comes when it is opened.
const Fits = later(async () => (await import('./Fits')).Fits);
const Pieces = later(async () => (await import('./Pieces')).Pieces);
const Supplies = later(async () => (await import('./Supplies')).Supplies);
const Boxes = later(async () => (await import('./Boxes')).Boxes);
const Wishes = later(async () => (await import('./Wishes')).Wishes);
const Prices = later(async () => (await import('./Prices')).Prices);
const Files = later(async () => (await import('./Files')).Files);

const parts: readonly Part<'fits' | 'pieces' | 'boxes' | 'supplies' | 'prices' | 'wishes' | 'files'>[] = [
  { id: 'fits', name: 'What fits', content: () => <Fits /> },
  { id: 'pieces', name: 'Pieces', content: () => <Pieces /> },
  { id: 'boxes', name: 'Boxes', content: () => <Boxes /> },
  { id: 'supplies', name: 'Supplies', content: () => <Supplies /> },
  { id: 'prices', name: 'Price book', content: () => <Prices /> },
  { id: 'wishes', name: 'Wish list', content: () => <Wishes /> },
  { id: 'files', name: 'Files', content: () => <Files /> },
];

/** Shop the house first: the stash of pieces and supplies, the price book, and what of it fits the project's slots. */
export function HouseStage() {
  return (
    <main className={shell.page}>
      <House />
    </main>
  );
}

/** The house by itself, outside of any project. */
export function HousePage() {
  useUndoKey();
  return (
    <>
      <header className={shell.top}>
        <Link to="/" className={shell.mark} aria-label="Euporia, all projects">
          <i>Eu</i>poria
        </Link>
        <span className={shell.project}>The house</span>
        <span className={shell.right}>
          <Link to="/">All projects</Link>
        </span>
      </header>
      <main className={shell.page}>
        <House />
      </main>
    </>
  );
}

function House() {
  return (
    <HouseProvider
      skeleton={
        <p className="muted" aria-busy="true">
          Opening the house …
        </p>
      }
      failed={(error, retry) => (
        <div role="alert">
          <h1>The house cannot be opened just now</h1>
          <p>{error instanceof Error ? error.message : 'Something went wrong.'}</p>
          <Button onClick={retry}>Try again</Button>
        </div>
      )}
    >
      <Rooms />
    </HouseProvider>
  );
}

const keepingWords = {
  underWay: 'Keeping …',
  keptHere: 'Not connected',
  offline: 'Not connected',
  done: 'Kept',
} as const;

function Rooms() {
  const house = useHouse();
  const open = useOpenRows();
  const [search, update] = useSearchState();
  const shown = parts.filter(({ id }) => id !== 'fits' || open !== null);
  const first = open && open.slots.length > 0 ? 'fits' : 'pieces';
  const part = shown.find(({ id }) => id === search.get('tab'))?.id ?? first;
  const waiting = waitingIn(house.entries);
  return (
    <>
      <div className={styles.head}>
        <h1>The house</h1>
        <span role="status" aria-label="The house is" className="muted small">
          {keepingWords[howSaving(house)]}
        </span>
      </div>
      {house.offline && (
        <div role="alert" className={styles.trouble}>
          The database does not answer. What you noted is kept here{waiting > 0 ? ` (${waiting} to send)` : ''} and goes
          on when it is back.{' '}
          <Button size="small" onClick={house.retry}>
            Try now
          </Button>
        </div>
      )}
      {house.notKept && open === null && (
        <div role="status" className={styles.trouble}>
          Not kept on this device: this browser keeps nothing for Euporia. Close the tab only when it says Kept.
        </div>
      )}
      <TabbedParts open={part} parts={shown} onOpen={(id) => update((next) => next.set('tab', id))} />
      <ActToast queue={house} />
      <NotSaved entries={house.entries} resolve={house.resolve} undoWith={house.undoWith} />
    </>
  );
}
