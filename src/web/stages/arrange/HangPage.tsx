import { ladderSheet } from '@core/arrange/hanging/ladderSheet';
import { lookThings } from '@core/arrange/look/lookThings';
import { firstLookOf } from '@core/arrange/lookChecks/lookFacts';
import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useLocale, usePlan, useRows } from '../../app/projectStore';
import shell from '../../app/shell.module.css';
import { Empty, LinkButton, Segments } from '../../ui/basics';
import { later } from '../../ui/later';
import styles from './hang.module.css';
import { LadderCard } from './LadderCard';
import { NailPlan } from './NailPlan';
import layout from './side.module.css';

// The sheet is there first: fields come with what stands beside it.
const HangingSide = later(async () => (await import('./HangingSide')).HangingSide);

/** The sheet for the ladder: where each nail goes, from the floor and from a named edge, and what holds it. */
export function HangPage() {
  const rows = useRows();
  const plan = usePlan();
  const { units } = useLocale();
  const [search] = useSearchParams();
  const look =
    rows.looks.find(({ id }) => id === search.get('look')) ??
    firstLookOf(plan, search.get('spot') ?? '') ??
    [...rows.looks].sort((a, b) => a.position - b.position)[0] ??
    null;
  const spot = rows.spots.find(({ id }) => id === look?.spotId) ?? null;
  const things = useMemo(() => (look ? lookThings(plan, look) : []), [plan, look]);
  const [side, setSide] = useState<'left' | 'right'>('left');
  const sheet = useMemo(() => (spot ? ladderSheet(spot, things, units, side) : null), [spot, things, units, side]);
  const back = `../arrange?${new URLSearchParams({ spot: spot?.id ?? '', look: look?.id ?? '' })}`;
  if (!look || !spot || !sheet || sheet.things.length === 0)
    return (
      <main className={shell.page}>
        <h1>For the ladder</h1>
        <Empty title={look ? `Nothing hangs in “${look.name}”` : 'No look yet'}>
          <p>Set a piece to hang in its look: its nails then stand here, from the floor and from an edge you name.</p>
          <LinkButton to={back} primary>
            To the look
          </LinkButton>
        </Empty>
      </main>
    );
  return (
    <main className={shell.page}>
      <div className={layout.head}>
        <h1>For the ladder</h1>
        <p>
          {spot.name}, “{look.name}”: {sheet.things.length === 1 ? 'one thing' : `${sheet.things.length} things`},{' '}
          {countOf(
            sheet.things.reduce((sum, { points }) => sum + points.length, 0),
            'nail',
            'nails',
          )}
        </p>
        <Segments
          label="Measured from"
          className={layout.noPrint}
          value={side}
          options={[
            { value: 'left', label: 'from the left' },
            { value: 'right', label: 'from the right' },
          ]}
          onChange={setSide}
        />
        <Link to={back} className={layout.noPrint}>
          Back to the look
        </Link>
      </div>
      <div className={layout.work}>
        <div className={layout.main}>
          <NailPlan spot={spot} sheet={sheet} />
          <p className={styles.caution}>
            Before drilling look for cables and pipes: they run straight above, below and beside sockets, switches and
            taps. Measure from the same edge each time, and set the level on the last nail before the next.
          </p>
          <ol className={styles.cards}>
            {sheet.things.map((entry) => (
              <LadderCard key={entry.thing.id} entry={entry} sheet={sheet} spot={spot} />
            ))}
          </ol>
        </div>
        <aside className={`${layout.aside} ${layout.noPrint}`} aria-label="Hanging">
          <HangingSide sheet={sheet} spot={spot} look={look} things={things} />
        </aside>
      </div>
    </main>
  );
}

const countOf = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`;
