import { askOfBrief } from '@core/balance/ask';
import { type ToldRemedy, takenSlots } from '@core/balance/toldPlan';
import { Button } from 'antd';
import { useCallback, useEffect, useRef, useState } from 'react';
import { isTyping } from '../../app/isTyping';
import { useCommands, useLocale, usePlan } from '../../app/projectStore';
import styles from './balance.module.css';
import { changeWords, differenceWords } from './balanceWords';
import { Searcher } from './searcher';

/** The plan rests so long before a remedy is looked for, ms. */
const REST_MS = 700;

/** While the purse is over: the change that helps most, which one key takes. */
export function FirstRemedy() {
  const plan = usePlan();
  const locale = useLocale();
  const { run } = useCommands();
  const [found, setFound] = useState<{ rows: typeof plan.rows; remedy: ToldRemedy | null } | null>(null);
  const latest = useRef(plan);
  latest.current = plan;
  const { rows } = plan;
  useEffect(() => {
    let current = true;
    let searcher: Searcher | null = null;
    const timer = setTimeout(() => {
      searcher = new Searcher();
      const { asOfMs, purse } = latest.current;
      searcher.work
        .first(rows, asOfMs, askOfBrief(rows, purse))
        .then(({ remedies }) => current && setFound({ rows, remedy: remedies[0] ?? null }))
        // No remedy is told where none could be looked for: the page of Balance says why.
        .catch(() => current && setFound(null));
    }, REST_MS);
    return () => {
      current = false;
      clearTimeout(timer);
      searcher?.end();
    };
  }, [rows]);
  // What was found for another plan may not be taken for this one.
  const remedy = found?.rows === rows ? found.remedy : null;
  const take = useCallback(() => {
    if (remedy) run('takeChoices', { slots: takenSlots(latest.current, remedy.changes, () => crypto.randomUUID()) });
  }, [remedy, run]);
  useEffect(() => {
    if (!remedy) return undefined;
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== 'f' || isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey) return;
      event.preventDefault();
      take();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [remedy, take]);
  if (!remedy) return null;
  const words = remedy.changes.map((change) => {
    const { what, instead } = changeWords(plan, change);
    return `${plan.slot(change.slotId)?.slot.name ?? ''}: ${what} ${instead}`.trim();
  });
  return (
    <section className={styles.firstRemedy} aria-label="First remedy">
      <span>
        <b>{remedy.closes ? 'This closes it' : 'This helps most'}:</b> {words.join('; ')}
        <small> {differenceWords(remedy.difference, locale)}</small>
      </span>
      <Button size="small" onClick={take}>
        Take it <kbd>f</kbd>
      </Button>
    </section>
  );
}
