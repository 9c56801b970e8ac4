import { tools } from '@core/catalog/tools';
import type { BenchJob } from '@core/schedule/benchJobs';
import { waitWords } from '@core/schedule/benchWords';
import { toFetch } from '@core/schedule/toFetch';
import { supplyWords } from '@core/words/supplyWords';
import { useLocale, usePlan } from '../../app/projectStore';
import { Swatch } from '../../ui/Swatch';
import { missingWords } from './Missing';
import styles from './step.module.css';

/** Tools and amounts to lay out before hands are dirty, with the mix. */
export function LayOut({ job }: { job: BenchJob }) {
  const plan = usePlan();
  const locale = useLocale();
  const { step } = job;
  if (!step) return null;
  const supplies = step.supplies
    .filter(({ amount }) => amount > 0)
    .map(({ supplyKey, amount }) => {
      const pool = plan.model.supply(supplyKey);
      return { name: pool.name, color: pool.color, words: supplyWords(amount, pool.unit, locale.units) };
    });
  const { mix } = step;
  const parts = mix && mix.waterMl > 0 ? Math.round((mix.paint / mix.waterMl) * 10) / 10 : null;
  const where = { indoors: '', ventilated: 'in a strong draught', outdoors: 'in the open' }[step.place];
  const missing = toFetch(plan, job);
  if (supplies.length === 0 && step.tools.length === 0 && where === '') return null;
  return (
    <section className={styles.layOut} aria-label="Lay out">
      <h2>Lay out</h2>
      <ul>
        {supplies.map(({ name, color, words }) => (
          <li key={name}>
            {color && <Swatch color={color} />} {name}: <b>{words}</b>
          </li>
        ))}
        {mix && (
          <li>
            Mix <b>{Math.round(mix.paint)} mL</b> paint and <b>{Math.round(mix.waterMl)} mL</b> water
            {parts !== null && `, ${parts} parts to 1`}
            {mix.keepsHours !== null && `; it keeps ${waitWords(mix.keepsHours * 60)}`}
          </li>
        )}
        {step.tools.length > 0 && <li>{step.tools.map((id) => tools.find(id)?.name ?? id).join(', ')}</li>}
        {missing.length > 0 && <li className={styles.missing}>Not in the house yet: {missingWords(missing)}.</li>}
        {where !== '' && <li>Work {where}.</li>}
      </ul>
    </section>
  );
}
