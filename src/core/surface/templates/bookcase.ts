import { drawnRectangle } from '../drawing';
import type { FurnitureTemplate, Measures } from '../furnitureTemplate';
import { dimensions, faces, flatFace, lengthMeasure, zone } from './parts';

/** How thick a shelf is, mm (common practice, no source). */
const SHELF_MM = 20;

/** Where the boards inside are: how thick each is, and the tops of the floor and the shelves above the foot, lowest first. */
function boardsOf({ widthMm = 0, heightMm = 0, shelves = 0 }: Measures): { thickMm: number; tops: number[] } {
  const thickMm = Math.min(SHELF_MM, widthMm / 8);
  const inner = heightMm - 2 * thickMm;
  const shelf = (n: number) => heightMm - thickMm - (inner * (shelves - n)) / (shelves + 1);
  return { thickMm, tops: [thickMm, ...Array.from({ length: shelves }, (_, n) => shelf(n))] };
}

/** An open bookcase or shelf unit: outside, shelves on both faces, back. */
export const bookcase: FurnitureTemplate = {
  id: 'bookcase',
  name: 'Bookcase or shelf unit',
  words: ['bookcase', 'shelf unit', 'shelving', 'bookshelf'],
  measures: [
    lengthMeasure('widthMm', 'Width', 800, 150, 3000),
    lengthMeasure('depthMm', 'Depth', 300, 50, 900),
    lengthMeasure('heightMm', 'Height', 1500, 150, 3000),
    { id: 'shelves', label: 'Shelves inside', kind: 'count', standard: 3, minimum: 0, maximum: 12 },
  ],
  overall: { width: 'widthMm', depth: 'depthMm', height: 'heightMm' },
  traits: ['storesThings'],
  hardwareMinutes: () => 0,
  zones: ({ widthMm = 0, depthMm = 0, heightMm = 0, shelves = 0 }) => [
    zone(
      'outside',
      'A',
      'Outside: top and sides',
      faces(flatFace('top', 'Top', widthMm, depthMm), flatFace('sides', 'Sides', depthMm, heightMm, 2)),
    ),
    zone(
      'inside',
      'B',
      'Inside: sides, floor and ceiling',
      faces(
        flatFace('sides', 'Sides, inside', depthMm, heightMm, 2),
        flatFace('floor', 'Floor and ceiling', widthMm, depthMm, 2),
      ),
    ),
    zone(
      'shelves',
      'C',
      'Shelves, both faces and front edge',
      faces(
        flatFace('faces', 'Upper and lower face', widthMm, depthMm, 2),
        flatFace('front', 'Front edge', widthMm, SHELF_MM),
      ),
      { count: shelves, use: 'tableTop', included: shelves > 0 },
    ),
    zone('back', 'D', 'Back, inside', { kind: 'rectangle', widthMm, heightMm }),
  ],
  boards: (measures) => {
    const { thickMm, tops } = boardsOf(measures);
    const { widthMm = 0 } = measures;
    return tops.map((topMm) => ({ topMm, thickMm, leftMm: thickMm, rightMm: widthMm - thickMm }));
  },
  draw: (measures) => {
    const { widthMm = 0, heightMm = 0, shelves = 0 } = measures;
    const { thickMm: board, tops } = boardsOf(measures);
    const inner = heightMm - 2 * board;
    return {
      widthMm,
      heightMm,
      shapes: [
        drawnRectangle('outside', 0, 0, widthMm, heightMm),
        drawnRectangle('back', board, board, widthMm - 2 * board, inner, -14),
        drawnRectangle('inside', board, board, board, inner, -22),
        ...tops
          .slice(1)
          .map((topMm) => drawnRectangle('shelves', board, heightMm - topMm, widthMm - 2 * board, board, 8)),
      ],
      labels: [
        { letter: 'A', xMm: board / 2, yMm: heightMm * 0.4 },
        { letter: 'B', xMm: board * 1.5, yMm: heightMm * 0.7 },
        ...(shelves > 0 ? [{ letter: 'C', xMm: widthMm / 2, yMm: board + inner / (shelves + 1) }] : []),
        { letter: 'D', xMm: widthMm / 2, yMm: heightMm * 0.12 },
      ],
      dimensions: dimensions(widthMm, heightMm),
    };
  },
};
