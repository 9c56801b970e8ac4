import { askOfBrief } from '@core/balance/ask';
import { type ToldRemedy, takenSlots } from '@core/balance/toldPlan';
import type { Plan } from '@core/plan/computePlan';
import { Button } from 'antd';
import type { Remote } from 'comlink';
import { useCallback, useEffect, useRef } from 'react';
import { isTyping } from '../../app/isTyping';
import { useCommands, useLocale, usePlan } from '../../app/projectStore';
import type { BalanceWork } from '../../workers/balance.worker';
import styles from './balance.module.css';
import { changeWords, differenceWords } from './balanceWords';
import { useAtRest } from './useAtRest';

/** The plan rests so long before a remedy is looked for, ms. */
const REST_MS = 700;

/** What helps most by itself; null where nothing does. */
const askFirst = async (work: Remote<BalanceWork>, { rows, asOfMs, purse }: Plan): Promise<ToldRemedy | null> =>
  (await work.first(rows, asOfMs, askOfBrief(rows, purse))).remedies[0] ?? null;

/** While the purse is over: the change that helps most, which one key takes. */
export function FirstRemedy() {
  const plan = usePlan();
  const locale = useLocale();
  const { run } = useCommands();
  const found = useAtRest(REST_MS, askFirst);
  const latest = useRef(plan);
  latest.current = plan;
  // What was found for another plan may not be taken for this one.
  const remedy = found?.rows === plan.rows ? found.answer : null;
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
