import { spotMeasure } from '../../catalog/spotKind';
import { spotKindOf } from '../../catalog/spotKinds';
import type { LookPieceRow, SpotRow } from '../../model/rows';
import type { Size } from '../../surface/views';
import { seatsOf } from '../seats';
import { lookRoom } from './lookRoom';

/** A plate lies a thumb from the edge of the table (common practice, no source). */
const FROM_EDGE_MM = 25;

/** Where something is laid on a table seen from above. */
type LaidAt = Pick<LookPieceRow, 'xMm' | 'frontMm'>;

/** A place that is laid, and by how much its guest is turned against one who sits at the front: 0 to 2 π. */
export interface SeatPlace extends LaidAt {
  turn: number;
}

const inside = (at: number, most: number) => Math.round(Math.min(Math.max(0, at), Math.max(0, most)) * 10) / 10;

/** Around a round table: evenly, the first at the front, each as far from the edge. */
function around(count: number, { widthMm, depthMm }: Size, tableWide: number, tableDeep: number): SeatPlace[] {
  return Array.from({ length: count }, (_, n) => {
    const angle = (2 * Math.PI * n) / count;
    const [rx, ry] = [(tableWide - widthMm) / 2 - FROM_EDGE_MM, (tableDeep - depthMm) / 2 - FROM_EDGE_MM];
    return {
      xMm: inside(tableWide / 2 + rx * Math.sin(angle) - widthMm / 2, tableWide - widthMm),
      frontMm: inside(tableDeep / 2 - ry * Math.cos(angle) - depthMm / 2, tableDeep - depthMm),
      turn: angle,
    };
  });
}

/**
 * Where something is laid for each guest: along both long sides across from each other, then at the ends; around where the
 * table is round.
 * @param least so many places at least, closer together where the table has fewer seats
 */
export function seatPlaces(spot: SpotRow, size: Size, least = 0): SeatPlace[] {
  const seats = Math.max(seatsOf(spot), least);
  const { widthMm, depthMm } = size;
  const table = lookRoom(spot);
  const measure = (id: string) => spotMeasure(spotKindOf(spot.kind), spot.measures, id);
  if (measure('round') === 1) return around(seats, size, table.widthMm, table.depthMm);
  const ends = Math.min(2, Math.round(measure('seatsAtEnds')), seats);
  const sides = seats - ends;
  const across = Math.ceil(sides / 2);
  const along = Array.from({ length: sides }, (_, n): SeatPlace => {
    // What is left over of an odd number has the front side's last place.
    const column = Math.floor(n / 2);
    return {
      xMm: inside(((column + 0.5) * table.widthMm) / across - widthMm / 2, table.widthMm - widthMm),
      frontMm: inside(n % 2 === 0 ? FROM_EDGE_MM : table.depthMm - depthMm - FROM_EDGE_MM, table.depthMm - depthMm),
      turn: n % 2 === 0 ? 0 : Math.PI,
    };
  });
  const atEnds = Array.from({ length: ends }, (_, n): SeatPlace => {
    return {
      xMm: inside(n === 0 ? FROM_EDGE_MM : table.widthMm - widthMm - FROM_EDGE_MM, table.widthMm - widthMm),
      frontMm: inside((table.depthMm - depthMm) / 2, table.depthMm - depthMm),
      turn: n === 0 ? (3 * Math.PI) / 2 : Math.PI / 2,
    };
  });
  return [...along, ...atEnds];
}

/**
 * Where something lies beside a plate at its seat, as it does at the front of the table: turned with the guest.
 * @param plate the place of the plate, and its size
 * @param beside from the plate's middle to that of the thing, as the guest sees it: to the right, and away from them
 */
export function besidePlate(
  plate: SeatPlace & Pick<Size, 'widthMm' | 'depthMm'>,
  beside: { rightMm: number; awayMm: number },
  size: Pick<Size, 'widthMm' | 'depthMm'>,
): Pick<LookPieceRow, 'xMm' | 'frontMm'> {
  const [cos, sin] = [Math.cos(plate.turn), Math.sin(plate.turn)];
  const x = plate.xMm + plate.widthMm / 2 + beside.rightMm * cos - beside.awayMm * sin;
  const y = plate.frontMm + plate.depthMm / 2 + beside.rightMm * sin + beside.awayMm * cos;
  return { xMm: x - size.widthMm / 2, frontMm: y - size.depthMm / 2 };
}
