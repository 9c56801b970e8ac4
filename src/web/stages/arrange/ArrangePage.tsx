import { looksOf } from '@core/arrange/lookChecks/lookFacts';
import { useSearchParams } from 'react-router';
import { usePlan, useRows } from '../../app/projectStore';
import shell from '../../app/shell.module.css';
import { Empty, LinkButton } from '../../ui/basics';
import { TabbedParts } from '../../ui/TabbedParts';
import styles from './arrange.module.css';
import { LookSheet } from './LookSheet';
import { StartLook } from './StartLook';

/** Looks to scale: a spot at a time, its looks beside each other, one of them open. */
export function ArrangePage() {
  const rows = useRows();
  const plan = usePlan();
  const [search, setSearch] = useSearchParams();
  const spots = [...rows.spots].sort((a, b) => a.position - b.position);
  const spot = spots.find(({ id }) => id === search.get('spot')) ?? spots[0] ?? null;
  const looks = spot ? looksOf(plan, spot.id) : [];
  const look = looks.find(({ id }) => id === search.get('look')) ?? looks[0] ?? null;
  const open = (spotId: string, lookId?: string) => setSearch({ spot: spotId, ...(lookId ? { look: lookId } : {}) });
  return (
    <main className={`${shell.page} ${spots.length > 0 ? styles.titled : ''}`}>
      <h1>Arrange</h1>
      {spots.length === 0 ? (
        <Empty title="No spot to arrange yet">
          <p>A look stands on a spot: name it and measure it in the sketch first.</p>
          <LinkButton to="../sketch" primary>
            To the sketch
          </LinkButton>
        </Empty>
      ) : (
        <TabbedParts
          open={spot?.id ?? ''}
          onOpen={(id) => open(id)}
          parts={spots.map((entry) => ({
            id: entry.id,
            name: (
              <>
                {entry.name} <small className="muted">{looksOf(plan, entry.id).length || ''}</small>
              </>
            ),
            content: () =>
              look ? (
                <LookSheet key={look.id} spot={entry} look={look} looks={looks} onOpen={(id) => open(entry.id, id)} />
              ) : (
                <StartLook spot={entry} onStarted={(id) => open(entry.id, id)} />
              ),
          }))}
        />
      )}
    </main>
  );
}
