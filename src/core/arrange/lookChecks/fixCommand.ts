import type { LookPieceRow, LookRow } from '../../model/rows';
import type { LookThing } from '../look/lookThing';
import { newPlacement } from '../look/newLook';
import { carriedAlong, type Place, placeOf } from '../look/settle';
import type { FixAct, PieceEdit } from './lookCheck';

/** What is done to rows when a fix is taken: an act and its payload. */
export type FixCommand =
  | { kind: 'movePieces'; payload: { places: Place[] } }
  | { kind: 'takeAway'; payload: { ids: string[] } }
  | { kind: 'editLookPieces'; payload: { edits: PieceEdit[] } }
  | { kind: 'placePieces'; payload: { rows: LookPieceRow[]; places: Place[] } }
  | { kind: 'editSlot'; payload: { id: string; values: { quantity?: number } } };

/**
 * A fix as one act, so that one undo takes it back.
 * @param things of the look
 * @param newId gives the id of what is added
 */
export function fixCommand(
  act: FixAct,
  look: Pick<LookRow, 'id'>,
  things: readonly LookThing[],
  newId: () => string,
): FixCommand {
  switch (act.kind) {
    case 'move':
      return { kind: 'movePieces', payload: { places: [...act.places] } };
    case 'takeAway':
      return { kind: 'takeAway', payload: { ids: [...act.ids] } };
    case 'edit':
      return { kind: 'editLookPieces', payload: { edits: [...act.edits] } };
    case 'editSlot':
      return { kind: 'editSlot', payload: { id: act.id, values: act.values } };
    case 'add': {
      const row = newPlacement(newId(), look.id, act.of);
      const lifted = things.find(({ id }) => id === act.under);
      const places = lifted
        ? carriedAlong(things, lifted, {
            ...placeOf(lifted),
            footMm: row.footMm + (row.size?.heightMm ?? 0),
            onId: row.id,
          })
        : [];
      return { kind: 'placePieces', payload: { rows: [row], places } };
    }
    default:
      return act satisfies never;
  }
}
