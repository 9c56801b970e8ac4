import type { Filled, Filler, Laid, Piece, Room } from '../filler';
import { SAME_MM } from '../question';
import { fillAround } from './fillAround';
import { type Box, fillBySkyline, type LaidBox } from './skyline';

/**
 * Lays the boxes of pieces. Each takes the gap with it on two sides, and the room is wider by one gap: so the gap lies
 * between two boxes, and none at the room's edge.
 * @param byOrder whether boxes are laid as the order says, and not as they sit best
 */
export function boxFiller(pieces: readonly Piece[], gapMm: number, byOrder = false): Filler {
  const boxes: Box[] = pieces.map(({ part }) => ({
    width: part.widthMm + gapMm,
    length: part.lengthMm + gapMm,
    canTurn: part.turn === 'free' && Math.abs(part.widthMm - part.lengthMm) > SAME_MM,
  }));
  const roomFor = ({ widthMm, lengthMm }: Room) => ({ width: widthMm + gapMm, length: lengthMm + gapMm });
  const laidOf = ({ box, x, y, turned }: LaidBox): Laid => {
    const { width = 0, length = 0 } = boxes[box] ?? {};
    return {
      piece: box,
      xMm: x,
      yMm: y,
      widthMm: (turned ? length : width) - gapMm,
      lengthMm: (turned ? width : length) - gapMm,
      turnedDeg: turned ? 90 : 0,
    };
  };
  const descending = (measure: (box: Box) => number) =>
    boxes.map((_, n) => n).sort((a, b) => measure(boxes[b] as Box) - measure(boxes[a] as Box) || a - b);
  return {
    fill: (room, pinned, order): Filled => {
      const { laid, used } =
        pinned.length === 0
          ? fillBySkyline(roomFor(room), boxes, order, byOrder)
          : fillAround(
              roomFor(room),
              pinned.map((one) => ({
                x: one.xMm,
                y: one.yMm,
                width: one.widthMm + gapMm,
                length: one.lengthMm + gapMm,
              })),
              boxes,
              order,
            );
      return { laid: laid.map(laidOf), usedMm: Math.max(0, used - gapMm) };
    },
    fits: (piece, room) => {
      const box = boxes[piece];
      if (!box) return false;
      const { width, length } = roomFor(room);
      const straight = box.width <= width + SAME_MM && box.length <= length + SAME_MM;
      return straight || (box.canTurn && box.length <= width + SAME_MM && box.width <= length + SAME_MM);
    },
    firstOrders: () => [
      descending(({ width, length }) => width * length),
      descending(({ width, length }) => Math.max(width, length)),
      descending(({ width }) => width),
      descending(({ length }) => length),
      descending(({ width, length }) => width + length),
    ],
  };
}
