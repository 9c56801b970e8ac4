import { box, type Likeness, line, oval, poly, turned } from './likeness';

/** What else furnishes a room, a porch, a season. */
export const furnishings: readonly Likeness[] = [
  {
    id: 'coatTree',
    words: ['coat tree', 'coat stand', 'hat stand', 'hall tree', 'jewelry stand', 'jewelry tree', 'mug tree'],
    front: [
      turned([
        [0, 0.06],
        [0.02, 0.1],
        [0.04, 0.06],
        [0.92, 0.06],
      ]),
      ...[
        [0.5, 0.12, 0.04, 0.04],
        [0.5, 0.12, 0.96, 0.04],
        [0.5, 0.26, 0.12, 0.18],
        [0.5, 0.26, 0.88, 0.18],
      ].map(([x = 0, y = 0, toX = 0, toY = 0]) =>
        line(
          [
            [x, y],
            [toX, toY + 0.02],
            [toX, toY],
          ],
          0.07,
        ),
      ),
      poly([
        [0.44, 0.9],
        [0.56, 0.9],
        [0.9, 1],
        [0.1, 1],
      ]),
    ],
  },
  {
    id: 'umbrellaStand',
    words: ['umbrella stand', 'cane stand', 'umbrella holder'],
    front: [
      line(
        [
          [0.3, 0.5],
          [0.22, 0.06],
          [0.1, 0.02],
          [0.06, 0.1],
        ],
        0.06,
        0,
        'wood',
      ),
      line(
        [
          [0.66, 0.5],
          [0.74, 0],
        ],
        0.08,
        0,
        'dark',
      ),
      turned([
        [0.34, 0.8],
        [0.38, 0.74],
        [0.94, 0.66],
        [1, 0.76],
      ]),
    ],
  },
  {
    id: 'plantStand',
    words: ['plant stand', 'flower stand', 'pedestal table', 'candle stand'],
    instead: ['table', 'stool'],
    front: [
      box(0, 0, 1, 0.07),
      turned([
        [0.07, 0.4],
        [0.14, 0.12],
        [0.4, 0.1],
        [0.5, 0.18],
        [0.6, 0.1],
        [0.8, 0.14],
      ]),
      poly([
        [0.43, 0.78],
        [0.57, 0.78],
        [0.92, 1],
        [0.8, 1],
        [0.5, 0.88],
        [0.2, 1],
        [0.08, 1],
      ]),
    ],
  },
  {
    id: 'wasteBin',
    words: ['waste bin', 'waste basket', 'wastebasket', 'trash can', 'trash bin', 'recycling bin', 'dustbin'],
    instead: ['basket', 'roundBasket', 'planter'],
    front: [
      turned([
        [0.04, 1],
        [1, 0.76],
      ]),
      oval(0.5, 0.04, 0.5, 0.04, -18),
    ],
  },
  {
    id: 'piano',
    words: ['piano', 'upright piano', 'organ', 'pianino'],
    plan: 'square',
    depthShare: 0.42,
    front: [
      box(0, 0, 1, 0.94),
      box(0, 0, 1, 0.05, 8),
      box(0, 0.5, 1, 0.56, -10),
      box(0.05, 0.52, 0.95, 0.58, 0, 'paper'),
      ...Array.from({ length: 16 }, (_, n) => box(0.08 + n * 0.054, 0.52, 0.1 + n * 0.054, 0.555, 0, 'dark')),
      box(0, 0.94, 0.06, 1, -12),
      box(0.94, 0.94, 1, 1, -12),
    ],
  },
  {
    id: 'guitar',
    words: ['guitar', 'banjo', 'violin', 'ukulele', 'mandolin'],
    leans: true,
    front: [
      box(0.44, 0.04, 0.56, 0.56, 0, 'wood'),
      box(0.4, 0, 0.6, 0.08),
      oval(0.5, 0.58, 0.36, 0.14),
      oval(0.5, 0.8, 0.5, 0.2),
      oval(0.5, 0.66, 0.13, 0.05, 0, 'dark'),
      box(0.36, 0.83, 0.64, 0.86, 0, 'dark'),
    ],
  },
  {
    id: 'paddle',
    words: ['oar', 'paddle', 'ski', 'surfboard', 'snowboard', 'fishing rod', 'hockey stick'],
    leans: true,
    front: [box(0.4, 0, 0.6, 0.7), oval(0.5, 0.82, 0.5, 0.18)],
  },
  {
    id: 'sled',
    words: ['sled', 'sleigh', 'toboggan', 'luge'],
    plan: 'square',
    depthShare: 0.4,
    front: [
      line(
        [
          [0, 0.98],
          [0.86, 0.98],
          [0.98, 0.7],
          [0.94, 0.1],
        ],
        0.09,
        0,
        'metal',
      ),
      ...[0.14, 0.42, 0.7].map((x) => box(x, 0.2, x + 0.04, 0.96, -8)),
      box(0.04, 0.02, 0.9, 0.24),
    ],
  },
  {
    id: 'bale',
    words: ['hay bale', 'straw bale', 'bale', 'hay', 'corn stalk'],
    plan: 'square',
    depthShare: 0.5,
    front: [
      box(0, 0, 1, 1),
      ...[0.2, 0.42, 0.64, 0.84].map((y, n) =>
        line(
          [
            [0.03, y],
            [0.4, y - 0.04],
            [0.97, y + (n % 2 ? 0.03 : -0.02)],
          ],
          0.02,
          0,
          'stem',
        ),
      ),
      box(0.26, 0, 0.29, 1, 0, 'stem'),
      box(0.71, 0, 0.74, 1, 0, 'stem'),
    ],
  },
  {
    id: 'cauldron',
    words: ['cauldron', 'witch pot', 'dutch oven', 'stock pot'],
    instead: ['planter'],
    front: [
      ...[0.2, 0.74].map((x) => box(x, 0.86, x + 0.06, 1)),
      turned([
        [0.1, 0.84],
        [0.16, 0.8],
        [0.36, 0.98],
        [0.6, 1],
        [0.8, 0.8],
        [0.92, 0.44],
      ]),
      oval(0.5, 0.1, 0.46, 0.08, 10),
    ],
  },
  {
    id: 'skull',
    words: ['skull', 'skeleton'],
    front: [
      oval(0.5, 0.38, 0.5, 0.38),
      box(0.26, 0.66, 0.74, 1),
      oval(0.32, 0.46, 0.12, 0.12, 0, 'dark'),
      oval(0.68, 0.46, 0.12, 0.12, 0, 'dark'),
      poly(
        [
          [0.5, 0.56],
          [0.56, 0.7],
          [0.44, 0.7],
        ],
        0,
        'dark',
      ),
      ...[0.38, 0.5, 0.62].map((x) =>
        line(
          [
            [x, 0.82],
            [x, 1],
          ],
          0.02,
          0,
          'dark',
        ),
      ),
    ],
  },
  {
    id: 'fireTools',
    words: ['fireplace tool', 'fire tool', 'poker set', 'poker', 'companion set', 'fireplace set', 'andiron'],
    front: [
      box(0.46, 0, 0.54, 0.94),
      box(0.1, 0.12, 0.9, 0.15),
      ...[0.18, 0.34, 0.66, 0.82].map((x) => box(x - 0.025, 0.06, x + 0.025, 0.72)),
      poly([
        [0.24, 0.64],
        [0.44, 0.64],
        [0.42, 0.84],
        [0.26, 0.84],
      ]),
      box(0.58, 0.66, 0.74, 0.84, 0, 'stem'),
      poly([
        [0.3, 0.92],
        [0.7, 0.92],
        [0.84, 1],
        [0.16, 1],
      ]),
    ],
  },
  {
    id: 'mailbox',
    words: ['mailbox', 'mail box', 'post box', 'letterbox'],
    plan: 'square',
    front: [
      poly([
        [0, 1],
        [0, 0.3],
        [0.14, 0.08],
        [0.34, 0],
        [0.66, 0],
        [0.86, 0.08],
        [1, 0.3],
        [1, 1],
      ]),
      box(0.2, 0.34, 0.8, 0.42, 0, 'dark'),
      box(0.86, 0.1, 0.92, 0.5, 0, 'flame'),
    ],
  },
];
