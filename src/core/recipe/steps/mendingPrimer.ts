import { type Coating, isWaterborne } from '../../catalog/coating';
import { cleanUpKey, laborKey, techniques } from '../../technique';
import type { Setback } from '../recipeBody';
import { supplyKey } from '../supplyKey';
import type { ZonePlan } from '../zonePlans';
import type { StepBook } from './stepBook';

/** One coat of a primer over what failed, before it is coated again. */
export function mendingPrimer(book: StepBook, setback: Setback, primer: Coating, zones: readonly ZonePlan[]): void {
  const id = `mend:${setback.id}:primer`;
  const key = supplyKey(primer.id, null, primer.sheens[0] ?? 'matt');
  const rateKey = laborKey(techniques.get(primer.techniqueId).rate);
  const rate = book.number(rateKey);
  const spread = book.number(`coating.${primer.id}.spreadingRateM2PerL`);
  const loss = 1 + book.number(`coating.${primer.id}.lossPercent`) / 100;
  book.next(
    {
      id,
      kind: 'mend',
      title: `${primer.name} over what failed`,
      zoneKeys: zones.map((zone) => zone.key),
      setUpMinutes: book.number('session.setUpMinutes'),
      runMinutes: book.run(id, zones, rateKey, (zone) => zone.areaM2 * rate),
      cleanUpMinutes: book.number(cleanUpKey(primer)),
      limits: primer.limits,
      place: 'ventilated',
      supplies: [{ supplyKey: key, amount: book.take(id, zones, key, (zone) => (zone.areaM2 / spread) * 1000 * loss) }],
      tools: ['brush'],
    },
    book.drying(primer.recoatHours.usual, isWaterborne(primer)),
  );
}
