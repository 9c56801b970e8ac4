import type { LookThing } from '@core/arrange/look/lookThing';
import { type TakenAway, takingOneAway } from '@core/arrange/look/takeOneAway';
import type { LookRow, SpotRow } from '@core/model/rows';
import { useEffect, useState } from 'react';
import { inStretches } from '../../app/inStretches';
import { usePlan } from '../../app/projectStore';

/** The piece that the look does best without, found a few tries at a time; null until it is known, or where none is. */
export function useTakeOneAway(look: LookRow, spot: SpotRow, things: readonly LookThing[]): TakenAway | null {
  const plan = usePlan();
  const [found, setFound] = useState<{ things: readonly LookThing[]; away: TakenAway | null } | null>(null);
  useEffect(() => {
    let away: TakenAway | null = null;
    function* work() {
      away = yield* takingOneAway(plan, look, spot, things);
    }
    return inStretches(work(), (isDone) => {
      if (isDone) setFound({ things, away });
    });
  }, [plan, look, spot, things]);
  // What was found for pieces that have moved since says nothing of them.
  return found?.things === things ? found.away : null;
}
