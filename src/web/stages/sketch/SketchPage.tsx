import { spotKindOfName, spotKinds } from '@core/catalog/spotKinds';
import { keptFunctions } from '@core/plan/keptFunctions';
import { newSpot } from '@core/plan/newRows';
import { huntingList } from '@core/sourcing/huntingList';
import { Button } from 'antd';
import { Suspense, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useCommands, usePlan, useRows } from '../../app/projectStore';
import shell from '../../app/shell.module.css';
import { Empty } from '../../ui/basics';
import { OneOf } from '../../ui/Choice';
import { Input } from '../../ui/input';
import { TabbedParts } from '../../ui/TabbedParts';
import { SpotSheet } from './SpotSheet';
import styles from './sketch.module.css';

/** Spots to scale, and the numbered slots each of them calls for. */
export function SketchPage() {
  const rows = useRows();
  const [search, setSearch] = useSearchParams();
  const spots = [...rows.spots].sort((a, b) => a.position - b.position);
  const spot = spots.find((entry) => entry.id === search.get('spot')) ?? spots[0] ?? null;
  return (
    <main className={shell.page}>
      <div className={styles.head}>
        <h1>Sketch</h1>
        <p className="muted">Number what each spot calls for; hunt only for what stands here.</p>
        {rows.slots.length > 0 && (
          <Link to="../list" className={styles.listLink}>
            Hunting list
            <Suspense fallback={null}>
              <ToFind />
            </Suspense>
          </Link>
        )}
      </div>
      {rows.project.brief.functions.length > 0 && (
        <p className={styles.hint}>
          Must keep:{' '}
          {keptFunctions(rows)
            .map(({ words, slots }) => `${words} (${slots.map(({ name }) => name).join(', ') || 'no slot yet'})`)
            .join(' · ')}
        </p>
      )}
      {spots.length === 0 ? (
        <Empty title="Which spot will be styled?">
          <p>
            A console, a mantel, the wall behind the bed. Name it, say what kind it is, measure it once; the slots
            follow.
          </p>
        </Empty>
      ) : (
        <TabbedParts
          open={spot?.id ?? ''}
          parts={spots.map((entry) => ({
            id: entry.id,
            name: (
              <>
                {entry.name}{' '}
                <small className="muted">{rows.slots.filter((slot) => slot.spotId === entry.id).length}</small>
              </>
            ),
            content: () => <SpotSheet key={entry.id} spot={entry} />,
          }))}
          onOpen={(id) => setSearch({ spot: id })}
        />
      )}
      <AddSpot position={spots.length} first={spots.length === 0} onAdded={(id) => setSearch({ spot: id })} />
    </main>
  );
}

/** How many slots still want something. */
function ToFind() {
  const toFind = huntingList(usePlan()).length;
  return <>: {toFind === 0 ? 'nothing left to find' : `${toFind} to find`}</>;
}

function AddSpot(props: { position: number; first: boolean; onAdded: (id: string) => void }) {
  const { run } = useCommands();
  const [name, setName] = useState('');
  // By its name, until somebody says otherwise.
  const [said, setSaid] = useState<string | null>(null);
  const kind = said ?? spotKindOfName(name) ?? 'console';
  const add = () => {
    if (name.trim() === '') return;
    const row = newSpot(crypto.randomUUID(), name.trim(), kind, props.position);
    run('addSpot', { row });
    setName('');
    setSaid(null);
    props.onAdded(row.id);
  };
  return (
    <div className={styles.add}>
      <Input
        aria-label="Name of the new spot"
        placeholder="Hall console"
        value={name}
        onChange={(event) => setName(event.target.value)}
        onPressEnter={add}
        maxLength={120}
        autoFocus={props.first}
      />
      <OneOf
        label="Kind of the new spot"
        value={kind}
        onChange={setSaid}
        options={spotKinds.all.map((entry) => ({ value: entry.id, label: entry.name }))}
      />
      <Button type={props.first ? 'primary' : 'default'} onClick={add} disabled={name.trim() === ''}>
        Add spot
      </Button>
    </div>
  );
}
