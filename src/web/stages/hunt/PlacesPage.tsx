import { localDate } from '@core/calendar/zonedTime';
import { sourceKinds } from '@core/catalog/sourceKinds';
import { newSource } from '@core/plan/newSource';
import { discountsOn } from '@core/pricing/discountPattern';
import { patternWords } from '@core/sourcing/patternWords';
import { useState } from 'react';
import { useCommands, useLocale, usePlan, useRows } from '../../app/projectStore';
import shell from '../../app/shell.module.css';
import { useSearchState } from '../../app/useSearchState';
import { Empty } from '../../ui/basics';
import { Workbench } from '../../ui/layout';
import { HuntNav } from './HuntNav';
import hunt from './hunt.module.css';
import { LineEntry } from './LineEntry';
import { PlaceSheet } from './PlaceSheet';
import { SaleCalendar } from './SaleCalendar';

/** The studio's places: what they take off and when, what they take back, how far they are, when they are open. */
export function PlacesPage() {
  const rows = useRows();
  const plan = usePlan();
  const locale = useLocale();
  const { run } = useCommands();
  const [search, update] = useSearchState();
  const [name, setName] = useState('');
  const today = localDate(plan.asOfMs, locale.timeZone);
  const sources = [...rows.sources].sort((a, b) => a.name.localeCompare(b.name));
  const selected = sources.find(({ id }) => id === search.get('place')) ?? sources[0] ?? null;
  const select = (id: string) => update((next) => next.set('place', id));
  const add = () => {
    const row = newSource(crypto.randomUUID(), name);
    run('addSource', { row });
    setName('');
    select(row.id);
  };
  return (
    <main className={shell.page}>
      <HuntNav />
      <div className={hunt.sheet}>
        <LineEntry
          label="New place: its name"
          placeholder="Ferry Lane Hand-Me-Downs"
          value={name}
          most={120}
          send="Add place"
          isReady={name.trim() !== ''}
          isMain
          onType={setName}
          onSend={add}
        />
      </div>
      {selected === null ? (
        <Empty title="No places yet">
          <p>
            A shop, a sale, an ad, the garden: name one, and say what it takes off and when, as you would say it: “blue
            tags half off this week”.
          </p>
        </Empty>
      ) : (
        <Workbench leftWidth={260} rightWidth={300}>
          <ul className={hunt.list} aria-label="Places">
            {sources.map((source) => {
              const now = discountsOn(source.patterns, today);
              return (
                <li key={source.id}>
                  <button type="button" aria-current={source.id === selected.id} onClick={() => select(source.id)}>
                    <b>{source.name}</b>
                    <span />
                    <small>
                      {[
                        sourceKinds.find(source.kind)?.name ?? source.kind,
                        ...now.map(({ pattern }) => patternWords(pattern, today)),
                      ].join(' · ')}
                    </small>
                  </button>
                </li>
              );
            })}
          </ul>
          <PlaceSheet key={selected.id} source={selected} today={today} />
          <SaleCalendar sources={sources} today={today} />
        </Workbench>
      )}
    </main>
  );
}
