import { type DrawnShape, drawnRectangle } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, faces, flatFace, lengthMeasure, zone } from './parts';

/** A book is about so thick (common practice, no source). */
const BOOK_MM = 30;
const MOST_DRAWN = 12;

/** Books lying on each other, their pages to the front: backs covered or painted, pages left. */
export const books: FurnitureTemplate = {
  id: 'books',
  name: 'Stack of books',
  words: ['stack of books', 'old books', 'books'],
  measures: [
    lengthMeasure('widthMm', 'Width', 240, 50, 600),
    lengthMeasure('depthMm', 'Depth', 170, 40, 500),
    lengthMeasure('heightMm', 'Height of the stack', 90, 8, 1000),
  ],
  overall: { width: 'widthMm', depth: 'depthMm', height: 'heightMm' },
  traits: [],
  usual: { materialId: 'paper' },
  hardwareMinutes: () => 0,
  zones: ({ widthMm = 0, depthMm = 0, heightMm = 0 }) => [
    zone(
      'covers',
      'A',
      'Covers and backs',
      faces(
        flatFace('cover', 'Front and back of each', widthMm, depthMm, 2 * countOf(heightMm)),
        flatFace('back', 'Back', widthMm, heightMm / countOf(heightMm), countOf(heightMm)),
      ),
    ),
  ],
  draw: ({ widthMm = 0, heightMm = 0 }) => {
    const count = Math.min(MOST_DRAWN, countOf(heightMm));
    const thick = heightMm / count;
    const cover = Math.min(thick * 0.14, 4);
    const shapes = Array.from({ length: count }, (_, n): DrawnShape[] => {
      // No two books are cut alike: each is drawn in a little at its ends.
      const from = widthMm * 0.03 * ((n * 7) % 4);
      const wide = widthMm - from - widthMm * 0.03 * ((n * 5) % 3);
      const y = n * thick;
      return [
        drawnRectangle(null, from + wide * 0.015, y + cover, wide * 0.97, thick - 2 * cover, 0, { ink: 'paper' }),
        ...[0.35, 0.65].map(
          (at): DrawnShape => ({
            kind: 'line',
            zoneId: null,
            ink: 'linen',
            shade: -14,
            thickMm: 0.6,
            points: [
              [from + wide * 0.03, y + thick * at],
              [from + wide * 0.95, y + thick * at],
            ],
          }),
        ),
        drawnRectangle('covers', from, y, wide, cover, n % 2 === 0 ? 0 : -10),
        drawnRectangle('covers', from, y + thick - cover, wide, cover, n % 2 === 0 ? -6 : -14),
        drawnRectangle('covers', from + wide * 0.97, y, wide * 0.03, thick, n % 2 === 0 ? -4 : -12),
      ];
    }).flat();
    return {
      widthMm,
      heightMm,
      shapes,
      labels: [{ letter: 'A', xMm: widthMm * 0.5, yMm: heightMm / 2 }],
      dimensions: dimensions(widthMm, heightMm),
    };
  },
};

const countOf = (heightMm: number) => Math.max(1, Math.round(heightMm / BOOK_MM));
