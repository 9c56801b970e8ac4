import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { api } from '../../app/api';
import { useCommands, useRows } from '../../app/projectStore';
import { dayOf } from '../../app/words';
import { LinkButton } from '../../ui/basics';
import { PieceFace } from '../../ui/PieceFace';
import styles from './wrap.module.css';

/** What nobody used for a year, beside what is put away now: it is made over, sold or given before more is stored. */
export function Asleep() {
  const { looseEnds } = useRows();
  const { run } = useCommands();
  const panels = useQuery({
    queryKey: ['house', 'panels'],
    queryFn: () => api.panels(),
    retry: false,
    staleTime: 5000,
  });
  const asleep = panels.data?.sleeping.pieces ?? [];
  if (asleep.length === 0) return null;
  const said = new Set(looseEnds.flatMap(({ about, what }) => (about.kind === 'own' ? [what] : [])));
  const task = (what: string) =>
    run('settleLooseEnd', {
      id: crypto.randomUUID(),
      about: { kind: 'own' },
      title: `Added: ${what}`.slice(0, 200),
      values: { what: what.slice(0, 200), dueOn: null },
    });
  return (
    <section className={styles.endGroup} aria-labelledby="asleep">
      <h3 id="asleep">Asleep for a year</h3>
      <p className="muted small">
        Before more is stored: these were not used for a year. They are first for a makeover, to be sold, or to be
        given.
      </p>
      <ul className={styles.ends}>
        {asleep.map((piece) => {
          const ways = [
            { name: 'Sell it', what: `Sell: ${piece.name}` },
            { name: 'Give it away', what: `Give away: ${piece.name}` },
          ];
          const noted = ways.find(({ what }) => said.has(what.slice(0, 200)));
          return (
            <li key={piece.id} className={styles.asleep}>
              <PieceFace piece={piece} size={44} />
              <div className={styles.thingWords}>
                <b>{piece.name}</b>
                <small>
                  {piece.lastUsedOn === null ? 'never used' : `not used since ${dayOf(piece.lastUsedOn)}`}
                  {noted && ' · noted among the loose ends'}
                </small>
              </div>
              <span className={styles.asleepActs}>
                <LinkButton to={`../house?tab=pieces&words=${encodeURIComponent(piece.name)}`}>
                  For a makeover
                </LinkButton>
                {!noted &&
                  ways.map(({ name, what }) => (
                    <Button key={name} size="small" aria-label={`${name}: ${piece.name}`} onClick={() => task(what)}>
                      {name}
                    </Button>
                  ))}
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
