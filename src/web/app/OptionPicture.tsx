import { lookThing } from '@core/arrange/look/lookThings';
import { newPlacement } from '@core/arrange/look/newLook';
import { thingView } from '@core/arrange/look/thingView';
import type { Plan } from '@core/plan/computePlan';
import type { OptionModel } from '@core/plan/model/optionModel';
import { memo } from 'react';
import { ThingShapes } from './ThingShapes';

/** What a way will look like once it is done, in small. Only a picture: its name stands beside it. */
export const OptionPicture = memo(function OptionPicture(props: { plan: Plan; model: OptionModel; size: number }) {
  const { plan, model, size } = props;
  const spot = plan.rows.spots.find(({ id }) => id === model.slot.spotId);
  if (!spot) return null;
  const place = { slotId: model.slot.id, optionId: model.option.id };
  const thing = lookThing(plan, spot, newPlacement(model.option.id, '', place));
  const { widthMm, heightMm, depthMm } = thing.size;
  // What lies flat is told from above.
  const isAbove = heightMm < Math.max(widthMm, depthMm) / 20;
  const high = isAbove ? depthMm : heightMm;
  const most = Math.max(widthMm, high) * 1.04;
  return (
    <svg
      viewBox={`${(widthMm - most) / 2} ${high - most * 0.98} ${most} ${most}`}
      width={size}
      height={size}
      aria-hidden="true"
    >
      <ThingShapes
        view={thingView(thing, { isAbove, isPresent: false })}
        widthMm={widthMm}
        heightMm={high}
        unit={most / size}
      />
    </svg>
  );
});
