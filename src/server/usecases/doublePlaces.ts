import type { FieldError } from '@contract/fieldErrors';
import type { ProjectRows } from '@core/plan/rows';
import { placementClash } from '@core/sourcing/placements';
import { lockPieces, placements } from '../persistence/placements';
import type { Transaction } from '../persistence/scope';

const until = (date: string | null) => (date === null ? 'with no end given' : `until ${date}`);

/**
 * One piece, one place: what this project has promised of the house and what other places have at the same time.
 * Asked after the writes of a transaction, with the pieces locked; an answer refuses them.
 */
export async function doublePlaces(transaction: Transaction, rows: ProjectRows): Promise<FieldError[]> {
  const pieceIds = [...new Set(rows.finds.flatMap((find) => (find.pieceId === null ? [] : [find.pieceId])))];
  if (pieceIds.length === 0) return [];
  const pieces = await lockPieces(transaction, pieceIds);
  const all = await placements(transaction, pieceIds);
  const errors: FieldError[] = [];
  for (const mine of all.filter((placement) => placement.projectId === rows.project.id)) {
    const piece = pieces.get(mine.pieceId);
    if (!piece) continue;
    const clash = placementClash(mine, all, piece.count);
    const [rival] = clash;
    if (rival)
      errors.push({
        field: `slot ${mine.slotNumber}, ${mine.slotName}`,
        value: piece.name,
        accepted: `a piece that is free then; this one is promised to slot ${rival.slotNumber}, ${rival.slotName}, in ${rival.projectName} ${until(rival.until)}`,
      });
  }
  return errors.slice(0, 20);
}
