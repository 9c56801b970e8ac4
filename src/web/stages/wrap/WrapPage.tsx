import { looseEnds } from '@core/closing/looseEnds';
import { usePlan } from '../../app/projectStore';
import shell from '../../app/shell.module.css';
import { useSearchState } from '../../app/useSearchState';
import { Empty, LinkButton } from '../../ui/basics';
import { later } from '../../ui/later';
import { type Part, TabbedParts } from '../../ui/TabbedParts';
import { CameTo } from './CameTo';

// Each part but the first comes when it is opened.
const LooseEndsList = later(async () => (await import('./LooseEndsList')).LooseEndsList);
const BeforeAfter = later(async () => (await import('./BeforeAfter')).BeforeAfter);
const SheetsTab = later(async () => (await import('./sheets/SheetsTab')).SheetsTab);
const Store = later(async () => (await import('./Store')).Store);
const Again = later(async () => (await import('./Again')).Again);

type PartId = 'cameTo' | 'ends' | 'pictures' | 'sheets' | 'store' | 'again';

/** The end of a project: what it came to, and what is left to do. */
export function WrapPage() {
  const plan = usePlan();
  const [search, update] = useSearchState();
  const left = looseEnds(plan).open.length;
  const parts: readonly Part<PartId>[] = [
    { id: 'cameTo', name: 'What it came to', content: () => <CameTo /> },
    { id: 'ends', name: left === 0 ? 'Loose ends' : `Loose ends, ${left}`, content: () => <LooseEndsList /> },
    { id: 'pictures', name: 'Before and after', content: () => <BeforeAfter /> },
    { id: 'sheets', name: 'Sheets and bills', content: () => <SheetsTab /> },
    { id: 'store', name: 'Put away', content: () => <Store /> },
    { id: 'again', name: 'Next season', content: () => <Again /> },
  ];
  const open = parts.find(({ id }) => id === search.get('tab'))?.id ?? 'cameTo';
  return (
    <main className={shell.page}>
      {plan.rows.slots.length === 0 ? (
        <Empty title="Nothing to reckon yet">
          <p>
            What is chosen on the board, paid, logged at the bench and left over is added up here. It begins with the
            spots and what they need.
          </p>
          <LinkButton to="../sketch" primary>
            To the sketch
          </LinkButton>
        </Empty>
      ) : (
        <TabbedParts open={open} parts={parts} onOpen={(id) => update((next) => next.set('tab', id))} />
      )}
    </main>
  );
}
