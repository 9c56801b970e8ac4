import { drawnRectangle } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, lengthMeasure, polygon, zone } from './parts';

const LEG_MM = 38;
const SEAT_MM = 25;
const SPINDLES = 6;

/** A wooden chair: seat, four legs with stretchers, a back of slats or spindles. */
export const chair: FurnitureTemplate = {
  id: 'chair',
  name: 'Chair',
  words: ['chair', 'dining chair', 'armchair', 'rocker', 'rocking chair'],
  measures: [
    lengthMeasure('widthMm', 'Seat width', 430, 250, 800),
    lengthMeasure('depthMm', 'Seat depth', 410, 250, 800),
    lengthMeasure('seatMm', 'Seat height', 450, 200, 800, 'height'),
    lengthMeasure('heightMm', 'Overall height', 900, 400, 1500),
  ],
  overall: { width: 'widthMm', depth: 'depthMm', height: 'heightMm' },
  traits: [],
  hardwareMinutes: () => 0,
  zones: ({ widthMm = 0, depthMm = 0, seatMm = 0, heightMm = 0 }) => [
    zone('seat', 'A', 'Seat with its edges', { kind: 'rectangle', widthMm, heightMm: depthMm, edgeMm: SEAT_MM }),
    zone(
      'legs',
      'B',
      'Legs',
      { kind: 'squareLeg', topMm: LEG_MM, footMm: LEG_MM * 0.75, heightMm: seatMm },
      { count: 4, detail: 'profiles' },
    ),
    zone(
      'stretchers',
      'C',
      'Stretchers',
      { kind: 'squareLeg', topMm: 25, footMm: 25, heightMm: (widthMm + depthMm) / 2 },
      { count: 4, detail: 'spindles' },
    ),
    zone(
      'back',
      'D',
      'Back, both sides of its spindles',
      { kind: 'spindleBack', widthMm, heightMm: Math.max(0, heightMm - seatMm) },
      { detail: 'spindles' },
    ),
    zone(
      'under',
      'E',
      'Underside of the seat',
      { kind: 'rectangle', widthMm, heightMm: depthMm },
      { use: 'seen', included: false },
    ),
  ],
  draw: ({ widthMm = 0, seatMm: wanted = 0, heightMm = 0 }) => {
    const seatMm = Math.min(wanted, heightMm - 80);
    const backMm = heightMm - seatMm;
    const spindle = (n: number) =>
      drawnRectangle(
        'back',
        LEG_MM + ((widthMm - 2 * LEG_MM) * (n + 0.3)) / SPINDLES,
        60,
        18,
        Math.max(1, backMm - 60),
        -6,
      );
    return {
      widthMm,
      heightMm,
      shapes: [
        drawnRectangle('back', 0, 0, LEG_MM, backMm),
        drawnRectangle('back', widthMm - LEG_MM, 0, LEG_MM, backMm),
        ...Array.from({ length: SPINDLES }, (_, n) => spindle(n)),
        drawnRectangle('back', 0, 0, widthMm, Math.min(70, backMm), 8),
        polygon(
          'seat',
          [
            [0, backMm],
            [widthMm, backMm],
            [widthMm * 0.97, backMm + SEAT_MM],
            [widthMm * 0.03, backMm + SEAT_MM],
          ],
          12,
        ),
        drawnRectangle('stretchers', LEG_MM, backMm + seatMm * 0.6, widthMm - 2 * LEG_MM, 22, -8),
        drawnRectangle('legs', 0, backMm + SEAT_MM, LEG_MM, seatMm - SEAT_MM),
        drawnRectangle('legs', widthMm - LEG_MM, backMm + SEAT_MM, LEG_MM, seatMm - SEAT_MM, -6),
      ],
      labels: [
        { letter: 'A', xMm: widthMm / 2, yMm: backMm + SEAT_MM / 2 },
        { letter: 'B', xMm: LEG_MM / 2, yMm: backMm + seatMm * 0.85 },
        { letter: 'C', xMm: widthMm / 2, yMm: backMm + seatMm * 0.63 },
        { letter: 'D', xMm: widthMm / 2, yMm: 36 },
      ],
      dimensions: dimensions(widthMm, heightMm),
    };
  },
};
