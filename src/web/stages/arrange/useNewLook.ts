import { newLook } from '@core/arrange/look/newLook';
import { startingLook } from '@core/arrange/look/startingLook';
import { looksOf } from '@core/arrange/lookChecks/lookFacts';
import type { LookPieceRow, LookRow, SpotRow } from '@core/model/rows';
import { useCommands, usePlan } from '../../app/projectStore';

/** Ways to begin another look on a spot. */
export function useNewLook(spot: SpotRow, onStarted: (lookId: string) => void) {
  const plan = usePlan();
  const { run } = useCommands();
  const begin = (name: string, pieces: (look: LookRow) => LookPieceRow[]) => {
    const last = looksOf(plan, spot.id).at(-1);
    const row = newLook(crypto.randomUUID(), spot.id, name, (last?.position ?? -1) + 1);
    run('addLook', { row, pieces: pieces(row) });
    onStarted(row.id);
  };
  return {
    slots: plan.rows.slots.filter(({ spotId, leftOut }) => spotId === spot.id && !leftOut).length,
    fromSketch: (name: string) => begin(name, (look) => startingLook(plan, look, spot, () => crypto.randomUUID())),
    empty: (name: string) => begin(name, () => []),
    /** The same pieces in the same places, to be changed from there. */
    copy: (name: string, of: LookRow) =>
      begin(name, (look) => {
        const own = plan.rows.lookPieces.filter(({ lookId }) => lookId === of.id);
        const ids = new Map(own.map(({ id }) => [id, crypto.randomUUID() as string]));
        return own.map((piece) => ({
          ...piece,
          id: ids.get(piece.id) ?? piece.id,
          version: 1,
          lookId: look.id,
          onId: piece.onId === null ? null : (ids.get(piece.onId) ?? null),
        }));
      }),
  };
}
