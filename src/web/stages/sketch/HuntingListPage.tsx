import { huntingListText, largestWords } from '@core/formats/huntingList/write';
import { formatMoney } from '@core/kernel/formatMoney';
import { starOf } from '@core/plan/starOf';
import { huntingList } from '@core/sourcing/huntingList';
import { Link } from 'react-router';
import { ListActs } from '../../app/ListActs';
import { useLocale, usePlan, useRows } from '../../app/projectStore';
import shell from '../../app/shell.module.css';
import { Empty, StitchedNumber } from '../../ui/basics';
import styles from './sketch.module.css';

/** What is left to find: by spot, with the largest size, a price to aim at and a ceiling. To print, copy, save. */
export function HuntingListPage() {
  const plan = usePlan();
  const rows = useRows();
  const locale = useLocale();
  const lines = huntingList(plan);
  const spots = [...new Set(lines.map((line) => line.slot.spotId))];
  const money = (minor: number) => formatMoney(minor, locale.currency, { cents: 'auto' });
  const starred = rows.slots.filter((slot) => !slot.leftOut && starOf(rows, slot) !== null).length;
  return (
    <main className={shell.page}>
      <div className={styles.head}>
        <h1>Hunting list</h1>
        <p className="muted">
          {lines.length === 0
            ? 'Everything is found, ours, or left out.'
            : `${lines.reduce((sum, line) => sum + line.needed, 0)} pieces for ${lines.length} ${lines.length === 1 ? 'slot' : 'slots'}; ${starred} filled from what we own`}
        </p>
        {lines.length > 0 && (
          <ListActs
            text={() => huntingListText(lines, locale)}
            csv={async () => (await import('@core/formats/huntingList/writeCsv')).huntingListCsv(lines, locale)}
            fileName="hunting-list.csv"
          />
        )}
      </div>
      {lines.length === 0 && (
        <Empty title="Nothing left to find">
          <p>
            {rows.slots.length === 0 ? (
              <>
                The list writes itself from the <Link to="../sketch">sketch</Link>: number what a spot calls for first.
              </>
            ) : (
              <>
                Go to the <Link to="../compare">board</Link>, or sketch another <Link to="../sketch">spot</Link>.
              </>
            )}
          </p>
        </Empty>
      )}
      {spots.map((spotId) => {
        const here = lines.filter((line) => line.slot.spotId === spotId);
        return (
          <section key={spotId} className={styles.list} aria-label={here[0]?.spotName}>
            <h2>{here[0]?.spotName}</h2>
            <ul>
              {here.map((line) => (
                <li key={line.slot.id}>
                  <StitchedNumber>{line.slot.number}</StitchedNumber>
                  <div>
                    <b>
                      {line.needed > 1 ? `${line.needed} × ` : ''}
                      {line.slot.name}
                    </b>
                    <small>
                      {[largestWords(line, locale), line.slot.note].filter((text) => text !== '').join(' · ')}
                    </small>
                  </div>
                  <div className={styles.prices}>
                    <span>
                      aim <b>{money(line.target)}</b>
                    </span>
                    <small>at most {money(line.ceiling)} each</small>
                  </div>
                  <span className={`${styles.noPrint} ${styles.listLinks}`}>
                    <Link
                      to={`../house?tab=fits&slot=${line.slot.id}`}
                      aria-label={`In the house for ${line.slot.name}`}
                    >
                      In the house?
                    </Link>
                    <Link to={`../hunt?new=1&slot=${line.slot.id}`}>Found one</Link>
                  </span>
                </li>
              ))}
            </ul>
          </section>
        );
      })}
      {lines.length > 0 && (
        <p className={`muted small ${styles.noPrint}`}>
          The ceiling is the slot’s share of the budget, spread by importance; the aim is what the free money of the
          purse still allows for each.
        </p>
      )}
    </main>
  );
}
