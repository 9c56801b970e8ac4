import { box, type Likeness, line, oval, poly, turned } from './likeness';

/** The seat of what is sat on: cushions lie there. */
const seatAt = (left: number, top: number, right: number) => [{ left, top, right, bottom: top + 0.06 }];

/** What people sit, lie and sleep on. */
export const seats: readonly Likeness[] = [
  {
    id: 'armchair',
    words: [
      'armchair',
      'wing chair',
      'wingback',
      'club chair',
      'recliner',
      'easy chair',
      'accent chair',
      'slipper chair',
      'wingback chair',
    ],
    instead: ['chair'],
    plan: 'square',
    depthShare: 0.95,
    boards: seatAt(0.18, 0.52, 0.82),
    front: [
      box(0.08, 0.92, 0.14, 1, 0, 'wood'),
      box(0.86, 0.92, 0.92, 1, 0, 'wood'),
      poly([
        [0.14, 0.9],
        [0.12, 0.16],
        [0.22, 0.02],
        [0.5, 0],
        [0.78, 0.02],
        [0.88, 0.16],
        [0.86, 0.9],
      ]),
      box(0.14, 0.52, 0.86, 0.72, 8),
      box(0.12, 0.72, 0.88, 0.92, -4),
      poly(
        [
          [0, 0.92],
          [0, 0.46],
          [0.09, 0.4],
          [0.18, 0.46],
          [0.18, 0.92],
        ],
        -8,
      ),
      poly(
        [
          [1, 0.92],
          [1, 0.46],
          [0.91, 0.4],
          [0.82, 0.46],
          [0.82, 0.92],
        ],
        -8,
      ),
    ],
  },
  {
    id: 'sofa',
    words: ['sofa', 'couch', 'loveseat', 'love seat', 'settee', 'futon', 'daybed', 'sectional', 'chesterfield'],
    instead: ['table', 'chair', 'bedHead'],
    plan: 'square',
    depthShare: 0.42,
    boards: seatAt(0.09, 0.52, 0.91),
    front: [
      ...[0.06, 0.91].map((x) => box(x, 0.92, x + 0.03, 1, 0, 'wood')),
      box(0.05, 0, 0.95, 0.92),
      box(0.08, 0.06, 0.495, 0.56, 6),
      box(0.505, 0.06, 0.92, 0.56, 6),
      box(0.08, 0.52, 0.495, 0.72, 10),
      box(0.505, 0.52, 0.92, 0.72, 10),
      box(0.05, 0.72, 0.95, 0.92, -4),
      box(0, 0.34, 0.09, 0.92, -8),
      box(0.91, 0.34, 1, 0.92, -8),
    ],
  },
  {
    id: 'ottoman',
    words: ['ottoman', 'footstool', 'foot stool', 'hassock', 'tuffet'],
    instead: ['table', 'stool'],
    plan: 'square',
    front: [
      box(0.06, 0.8, 0.13, 1, 0, 'wood'),
      box(0.87, 0.8, 0.94, 1, 0, 'wood'),
      poly([
        [0, 0.84],
        [0, 0.16],
        [0.06, 0.02],
        [0.94, 0.02],
        [1, 0.16],
        [1, 0.84],
      ]),
      box(0, 0.36, 1, 0.42, -8),
    ],
  },
  {
    id: 'pouf',
    words: ['pouf', 'floor pouf', 'bean bag', 'beanbag'],
    instead: ['table', 'stool'],
    front: [
      turned([
        [0, 0.5],
        [0.12, 0.86],
        [0.4, 1],
        [0.7, 1],
        [0.92, 0.86],
        [1, 0.6],
      ]),
      ...[0.28, 0.5, 0.72].map((x) =>
        line(
          [
            [0.5 + (x - 0.5) * 0.7, 0.02],
            [x, 0.5],
            [0.5 + (x - 0.5) * 0.8, 0.98],
          ],
          0.012,
          -14,
        ),
      ),
    ],
  },
  {
    id: 'petBed',
    words: ['dog bed', 'cat bed', 'pet bed'],
    instead: ['bedHead'],
    front: [oval(0.5, 0.54, 0.5, 0.46), oval(0.5, 0.36, 0.36, 0.24, 10)],
  },
  {
    id: 'crib',
    words: ['crib', 'cot', 'bassinet', 'playpen'],
    instead: ['bedHead'],
    plan: 'square',
    depthShare: 0.55,
    front: [
      box(0, 0, 0.05, 1),
      box(0.95, 0, 1, 1),
      box(0.05, 0.06, 0.95, 0.12),
      box(0.05, 0.74, 0.95, 0.82),
      ...Array.from({ length: 9 }, (_, n) => box(0.13 + n * 0.0825, 0.12, 0.15 + n * 0.0825, 0.74)),
      box(0.05, 0.66, 0.95, 0.74, 0, 'linen'),
    ],
  },
  {
    id: 'porchSwing',
    words: ['porch swing', 'hammock', 'garden swing'],
    plan: 'square',
    boards: seatAt(0.04, 0.74, 0.96),
    front: [
      ...[0.05, 0.93].map((x) => box(x, 0, x + 0.02, 0.74, 0, 'metal')),
      ...Array.from({ length: 11 }, (_, n) => box(0.08 + n * 0.077, 0.42, 0.12 + n * 0.077, 0.74)),
      box(0.04, 0.36, 0.96, 0.43),
      box(0.02, 0.74, 0.98, 0.84),
      box(0.02, 0.84, 0.06, 1),
      box(0.94, 0.84, 0.98, 1),
    ],
  },
  {
    id: 'pad',
    words: ['mattress', 'changing pad', 'seat cushion', 'seat pad', 'bench cushion', 'sheepskin', 'hide', 'yoga mat'],
    plan: 'square',
    front: [box(0, 0.1, 1, 1), box(0, 0, 1, 0.16, 8)],
  },
];
