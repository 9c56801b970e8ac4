import type { LookThing } from '@core/arrange/look/lookThing';
import { fixCommand } from '@core/arrange/lookChecks/fixCommand';
import type { FixAct } from '@core/arrange/lookChecks/lookCheck';
import type { LookRow } from '@core/model/rows';
import { useCommands } from '../../app/projectStore';

/** Takes a way out that a rule offers; one act, one undo. */
export function useFix(look: LookRow, things: readonly LookThing[]) {
  const { run } = useCommands();
  return (act: FixAct) => {
    const { kind, payload } = fixCommand(act, look, things, () => crypto.randomUUID());
    run(kind, payload);
  };
}
