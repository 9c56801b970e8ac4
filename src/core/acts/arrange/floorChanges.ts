import { floorShown, isTopOfFurniture } from '../../arrange/look/floorShown';
import { look } from '../../model/entities/look';
import type { LookPieceRow, ProjectRows } from '../../model/rows';
import { type Decision, refuse } from '../act';
import { insert, update } from '../changes';

/** As many looks as a project may have, each with the furniture of its spot. */
export const mostCarriers = look.most?.count ?? 200;

/** The floor of a spot shown: the spot, its slots, its looks and what is in them, with the furniture that carries it. */
export function floorChanges(
  rows: ProjectRows,
  { spotId, carriers }: { spotId: string; carriers: readonly LookPieceRow[] },
): Decision {
  const spot = rows.spots.find(({ id }) => id === spotId);
  if (!spot) return refuse('floor', spotId, 'a spot that is still there');
  if (!isTopOfFurniture(spot)) return refuse('floor', spot.name, 'a spot that is the top of furniture');
  const looks = rows.looks.filter((one) => one.spotId === spotId);
  const bare = looks.find(({ id }) => !carriers.some(({ lookId }) => lookId === id));
  if (bare) return refuse('floor', bare.name, 'furniture for each look of the spot');
  const stray = carriers.find(({ lookId }) => !looks.some(({ id }) => id === lookId));
  if (stray) return refuse('floor', stray.lookId, 'looks of that spot');
  const shown = floorShown(rows, spot, carriers);
  const { id: _, version: __, ...values } = shown.spot;
  return [
    update('spots', spotId, values),
    ...carriers.map((row) => insert('lookPieces', row)),
    ...shown.slots.map(({ id, box }) => update('slots', id, { box })),
    ...shown.looks.flatMap(({ id, photo }) => (photo ? [update('looks', id, { photo })] : [])),
    ...shown.lookPieces.map(({ id, xMm, footMm, frontMm, onId }) =>
      update('lookPieces', id, { xMm, footMm, frontMm, onId }),
    ),
  ];
}
