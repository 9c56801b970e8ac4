import { spotMeasure } from '../../catalog/spotKind';
import { commonPractice } from '../../kernel/source';
import { placeInSketch, type SketchCheck } from '../sketchCheck';

/** Width of a place setting: 24 in (20 to 30). */
const SEAT_MM = 24 * 25.4;

/** Everybody needs the width of a place setting along the edge; a round table has its circumference. */
export const seatWidth: SketchCheck = {
  id: 'seatWidth',
  source: commonPractice,
  check: (facts) => {
    if (facts.seats < 1 || facts.kind.id !== 'diningTable') return [];
    const measure = (id: string) => spotMeasure(facts.kind, facts.spot.measures, id);
    const round = measure('round') === 1;
    const ends = Math.min(measure('seatsAtEnds'), facts.seats);
    const lengthMm = facts.room.widthMm + measure('leavesMm');
    const places = round
      ? Math.floor((Math.PI * Math.min(facts.room.widthMm, facts.room.heightMm)) / SEAT_MM)
      : 2 * Math.floor(lengthMm / SEAT_MM) + ends;
    return places < facts.seats
      ? [
          {
            code: 'sketch.seatWidth',
            severity: 'warn',
            where: placeInSketch(facts, null),
            figures: {
              spot: facts.spot.name,
              seats: facts.seats,
              places,
              seatMm: SEAT_MM,
            },
          },
        ]
      : [];
  },
};
