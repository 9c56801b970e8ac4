import { formatMoney } from '@core/kernel/formatMoney';
import type { FindRow } from '@core/model/rows';
import { sourceName, taxAt } from '@core/model/sourceName';
import { standingSettlements } from '@core/pricing/ledger';
import { receiptOf } from '@core/pricing/receipt';
import { Button } from 'antd';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { useLocale, useRows } from '../../app/projectStore';
import shell from '../../app/shell.module.css';
import { useMayDo } from '../../app/useMayDo';
import { amountWords } from '../../app/words';
import { Empty } from '../../ui/basics';
import { later } from '../../ui/later';
import { Workbench } from '../../ui/layout';
import { HuntNav } from './HuntNav';
import styles from './hunt.module.css';
import { QuickEntry } from './QuickEntry';
import { SeenToday } from './SeenToday';
import { UseFor } from './UseFor';

const FindSheet = later(
  async () => (await import('./FindSheet')).FindSheet,
  () => <div />,
);
const Receipt = later(async () => (await import('./Receipt')).Receipt);

/** Finds: in by the quick line, refined beside their receipt, sent to a slot. */
export function HuntPage() {
  const rows = useRows();
  const locale = useLocale();
  const mayDo = useMayDo();
  const [search, setSearch] = useSearchParams();
  const [withPassed, setWithPassed] = useState(false);
  const [withArchived, setWithArchived] = useState(false);
  const archived = rows.finds.filter((find) => find.archived).length;
  const passed = rows.finds.filter((find) => !find.archived && find.state === 'passed').length;
  const finds = [...rows.finds]
    .filter((find) => (find.archived ? withArchived : withPassed || find.state !== 'passed'))
    .sort((a, b) => a.name.localeCompare(b.name));
  const selected = finds.find((find) => find.id === search.get('find')) ?? finds[0] ?? null;
  const wantedSlot = search.get('slot');
  const used = new Set(rows.options.flatMap((option) => option.parts.map((part) => part.findId)));
  const booked = new Map(standingSettlements(rows.ledger).map((line) => [line.subject.id, line]));
  /** What was paid or promised for it, as the books have it; else what it would come to at the till. */
  const priceOf = (find: FindRow): string => {
    if (find.state === 'owned') return 'owned';
    const line = booked.get(find.pieceId);
    if (line && !(line.atLeast && line.amount === 0))
      return `${line.atLeast ? 'at least ' : ''}${formatMoney(line.amount, locale.currency)}`;
    if (find.story.tag.state === 'unknown') return 'price unknown';
    return amountWords(receiptOf(find.story, locale.currency, taxAt(rows, find.sourceId)).total, locale);
  };
  const answersNothing = (find: FindRow) =>
    !used.has(find.id) && find.reason === '' && find.state !== 'owned' && !find.archived;
  const select = (id: string) => setSearch(wantedSlot ? { find: id, slot: wantedSlot } : { find: id });
  return (
    <main className={shell.page}>
      <HuntNav />
      <QuickEntry onAdded={select} wanted={search.get('new') !== null} />
      <SeenToday onOpen={select} />
      {rows.finds.length === 0 ? (
        <Empty title="Nothing seen yet">
          <p>Type what you saw as you would say it: “nightstand, $12, half off, one drawer sticks”.</p>
        </Empty>
      ) : (
        <Workbench leftWidth={280} rightWidth={330}>
          <div>
            <ul className={styles.list} aria-label="Finds">
              {finds.map((find) => (
                <li key={find.id}>
                  <button type="button" aria-current={find.id === selected?.id} onClick={() => select(find.id)}>
                    <b>{find.name}</b>
                    <span>{priceOf(find)}</span>
                    <small>
                      {[
                        sourceName(rows.sources, find.sourceId),
                        stateWords[find.state],
                        find.archived ? 'put away' : '',
                        answersNothing(find) ? 'no slot yet' : '',
                      ]
                        .filter((text) => text !== '')
                        .join(' · ')}
                    </small>
                  </button>
                </li>
              ))}
            </ul>
            {archived > 0 && (
              <Button size="small" type="text" onClick={() => setWithArchived(!withArchived)}>
                {withArchived ? 'Hide what is put away' : `Put away: ${archived}`}
              </Button>
            )}
            {passed > 0 && (
              <Button size="small" type="text" onClick={() => setWithPassed(!withPassed)}>
                {withPassed ? 'Hide what we passed' : `Passed: ${passed}`}
              </Button>
            )}
          </div>
          {selected && <FindSheet key={selected.id} find={selected} />}
          {selected && (
            <div>
              <Receipt
                title={selected.name}
                sourceId={selected.sourceId}
                story={selected.story}
                usable={selected.count}
              />
              {!selected.archived && mayDo('addOption') && (
                <UseFor key={selected.id} find={selected} wantedSlot={wantedSlot} />
              )}
            </div>
          )}
        </Workbench>
      )}
    </main>
  );
}

const stateWords: Record<FindRow['state'], string> = {
  seen: 'seen',
  bought: 'bought',
  promised: 'ordered',
  owned: 'owned',
  passed: 'passed',
  returned: 'taken back',
  sold: 'sold',
};
