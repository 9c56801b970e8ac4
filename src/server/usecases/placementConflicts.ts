import type { Problem } from '@core/acts/act';
import type { KeptChange } from '@core/acts/undoChanges';
import { mostOf } from '@core/model/finds';
import type { ProjectRows } from '@core/model/rows';
import { type Placement, placementClash } from '@core/sourcing/placements';
import { placements } from '../persistence/placements';
import { lockPieces } from '../persistence/rowStore';
import type { Transaction } from '../persistence/scope';

const until = (date: string | null) => (date === null ? 'with no end given' : `until ${date}`);

/** A place as one says it. */
const placeOf = ({ slotNumber, placeName }: Placement): string =>
  slotNumber === null ? `the looks of ${placeName}` : `slot ${slotNumber}, ${placeName}`;

/** Slots and spots of a project whose promises an act may have changed; all of them when its dates changed or it came back. */
function touchedPlaces(rows: ProjectRows, changes: readonly KeptChange[]): ReadonlySet<string> {
  const touched = new Set<string>();
  const slotOf = (table: 'fills' | 'options', id: string) => rows[table].find((row) => row.id === id)?.slotId;
  for (const { table, id, op, before, after } of changes) {
    if (op === 'remove') continue;
    if (table === 'fills' || table === 'options') {
      const slotId = slotOf(table, id);
      if (slotId !== undefined) touched.add(slotId);
    }
    if (table === 'sightings')
      for (const option of rows.options)
        if (option.parts.some((part) => part.findId === id)) touched.add(option.slotId);
    if (
      table === 'project' &&
      (op !== 'update' || before?.revealDate !== after?.revealDate || before?.standsUntil !== after?.standsUntil)
    )
      for (const { id: placeId } of [...rows.slots, ...rows.spots]) touched.add(placeId);
    if (table === 'lookPieces') {
      const lookId = rows.lookPieces.find((row) => row.id === id)?.lookId;
      const look = rows.looks.find((row) => row.id === lookId);
      if (look) touched.add(look.spotId);
    }
  }
  return touched;
}

/**
 * One piece, one place: what this project has promised of the house and what other places have at the same time.
 * Asked after the writes of a transaction, with the pieces locked; an answer refuses them. Only promises that the act
 * touched are looked at: a jar that broke since does not stand in the way of another slot's work.
 */
export async function placementConflicts(
  transaction: Transaction,
  rows: ProjectRows,
  changes: readonly KeptChange[],
): Promise<Problem[]> {
  const touched = touchedPlaces(rows, changes);
  if (touched.size === 0) return [];
  const pieceIds = [
    ...new Set([
      ...rows.finds.filter((find) => find.inHouse).map((find) => find.pieceId),
      ...rows.lookPieces.flatMap(({ pieceId }) => pieceId ?? []),
    ]),
  ];
  if (pieceIds.length === 0) return [];
  const pieces = await lockPieces(transaction, pieceIds);
  const all = await placements(transaction, pieceIds);
  const errors: Problem[] = [];
  for (const mine of all.filter(
    (placement) => placement.projectId === rows.project.id && touched.has(placement.placeId),
  )) {
    const piece = pieces.get(mine.pieceId);
    if (!piece) continue;
    const clash = placementClash(mine, all, mostOf(piece));
    const [rival] = clash;
    if (rival)
      errors.push({
        field: placeOf(mine),
        value: piece.name,
        accepted: `a piece that is free then; this one is promised to ${placeOf(rival)}, in ${rival.projectName} ${until(rival.until)}`,
      });
  }
  return errors.slice(0, 20);
}
