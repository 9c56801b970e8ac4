import { laborKey } from '../../technique';
import type { PlannedWork } from '../stack';
import { supplyKey } from '../supplyKey';
import type { ZonePlan } from '../zonePlans';
import { openInterval, type StepBook } from './stepBook';

/** A work that lays nothing: rubbing through a layer. */
export function workStep(
  book: StepBook,
  work: PlannedWork,
  worked: readonly ZonePlan[],
  below: { stepId: string } | null,
): string {
  const id = `work:${work.id}`;
  const zones = worked.filter((zone) => work.zoneKeys.includes(zone.key));
  const rateKey = laborKey(work.technique.rate);
  const reach = work.technique.reach(work.values);
  const rate = book.number(rateKey);
  // A rubbed edge takes the walk around the zone, however little of it is reached.
  const runMinutes = book.run(id, zones, rateKey, (zone) => zone.areaM2 * rate * Math.max(reach, 0.25));
  book.add({
    id,
    kind: 'work',
    title: work.technique.name,
    hint: work.technique.remark,
    zoneKeys: zones.map((zone) => zone.key),
    layerId: work.id,
    runMinutes,
    tools: [...work.technique.toolIds],
    supplies: work.technique.extras.map((extra) => {
      const key = supplyKey(extra.kindId, null, null);
      return { supplyKey: key, amount: book.take(id, zones, key, (zone) => zone.areaM2 * extra.perM2 * reach) };
    }),
    after: below
      ? [{ stepId: below.stepId, allowed: openInterval(book.drying(work.waitHours, true)) }]
      : book.afterLast(),
  });
  return id;
}
