import { drawnRectangle } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, lengthMeasure, polygon, zone } from './parts';

const SEAT_MM = 25;

/** A round stool on turned legs with a ring of rungs. */
export const stool: FurnitureTemplate = {
  id: 'stool',
  name: 'Stool, round',
  words: ['bar stool', 'counter stool', 'round stool', 'milking stool'],
  measures: [
    lengthMeasure('widthMm', 'Seat, across', 330, 150, 600),
    lengthMeasure('heightMm', 'Height', 610, 150, 900),
    { id: 'legs', label: 'Legs', kind: 'count', standard: 4, minimum: 3, maximum: 6 },
  ],
  overall: { width: 'widthMm', depth: null, height: 'heightMm' },
  traits: [],
  plan: 'round',
  hardwareMinutes: () => 0,
  zones: ({ widthMm = 0, heightMm = 0, legs = 4 }) => [
    zone('seat', 'A', 'Seat with its edge', { kind: 'disc', diameterMm: widthMm, edgeMm: SEAT_MM }),
    zone(
      'legs',
      'B',
      `${legs} turned legs`,
      { kind: 'turned', meanDiameterMm: 32, heightMm: Math.max(0, heightMm - SEAT_MM) },
      { count: legs, detail: 'spindles' },
    ),
    zone(
      'rungs',
      'C',
      'Rungs',
      { kind: 'turned', meanDiameterMm: 20, heightMm: widthMm * 0.8 },
      { count: legs, detail: 'spindles' },
    ),
  ],
  draw: ({ widthMm = 0, heightMm = 0 }) => {
    const leg = (x: number, lean: number, shade: number) =>
      polygon(
        'legs',
        [
          [x - 14, SEAT_MM],
          [x + 14, SEAT_MM],
          [Math.min(widthMm, x + lean + 11), heightMm],
          [Math.max(0, x + lean - 11), heightMm],
        ],
        shade,
      );
    return {
      widthMm,
      heightMm,
      shapes: [
        drawnRectangle('rungs', widthMm * 0.1, heightMm * 0.68, widthMm * 0.8, 16, -10),
        leg(widthMm * 0.4, -widthMm * 0.06, -12),
        leg(widthMm * 0.62, widthMm * 0.06, -12),
        leg(Math.max(14, widthMm * 0.2), -widthMm * 0.1, 0),
        leg(Math.min(widthMm - 14, widthMm * 0.8), widthMm * 0.1, -4),
        drawnRectangle('seat', 0, 0, widthMm, SEAT_MM, 10),
      ],
      labels: [
        { letter: 'A', xMm: widthMm / 2, yMm: SEAT_MM / 2 },
        { letter: 'B', xMm: widthMm * 0.13, yMm: heightMm * 0.5 },
        { letter: 'C', xMm: widthMm / 2, yMm: heightMm * 0.69 },
      ],
      dimensions: dimensions(widthMm, heightMm),
    };
  },
};
