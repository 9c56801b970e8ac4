import { box, type Likeness, line, oval, poly, turned } from './likeness';

/** What stands beside a sink or a stove, and what stood there once. */
export const utensils: readonly Likeness[] = [
  {
    id: 'pumpBottle',
    words: [
      'soap dispenser',
      'soap pump',
      'soap bottle',
      'lotion bottle',
      'lotion',
      'pump bottle',
      'spray bottle',
      'cocktail shaker',
    ],
    instead: ['vase', 'jar'],
    front: [
      turned([
        [0.3, 0.5],
        [0.36, 0.9],
        [0.44, 1],
        [1, 1],
      ]),
      box(0.4, 0.2, 0.6, 0.32, 0, 'metal'),
      line(
        [
          [0.5, 0.24],
          [0.5, 0.05],
          [0.04, 0.05],
          [0.04, 0.12],
        ],
        0.08,
        0,
        'metal',
      ),
    ],
  },
  {
    id: 'paperRoll',
    words: ['toilet paper holder', 'paper towel holder', 'toilet paper', 'paper towel', 'kitchen roll'],
    front: [
      box(0.14, 0.06, 0.86, 0.92, 0, 'paper'),
      oval(0.5, 0.06, 0.36, 0.05, 0, 'linen'),
      box(0.46, 0, 0.54, 0.08, 0, 'metal'),
      box(0, 0.92, 1, 1),
    ],
  },
  {
    id: 'toothbrushCup',
    words: [
      'toothbrush holder',
      'toothbrush cup',
      'makeup brush holder',
      'pencil cup',
      'pencil holder',
      'pen holder',
      'pen cup',
      'brush jar',
    ],
    front: [
      ...[
        [0.3, 0.24, 0],
        [0.5, 0.52, 0.04],
        [0.68, 0.78, 0.02],
      ].map(([from = 0, to = 0, top = 0], n) =>
        line(
          [
            [from, 0.6],
            [to, top],
          ],
          0.08,
          0,
          (['wood', 'dark', 'flame'] as const)[n] ?? 'wood',
        ),
      ),
      turned([
        [0.4, 1],
        [1, 0.86],
      ]),
    ],
  },
  {
    id: 'glassDome',
    words: ['cloche', 'bell jar', 'glass dome', 'dome', 'terrarium'],
    instead: ['vase', 'jar', 'hurricane'],
    front: [
      poly(
        [
          [0.08, 0.9],
          [0.08, 0.34],
          [0.2, 0.14],
          [0.38, 0.06],
          [0.62, 0.06],
          [0.8, 0.14],
          [0.92, 0.34],
          [0.92, 0.9],
        ],
        0,
        'glass',
      ),
      oval(0.5, 0.03, 0.06, 0.03, 0, 'metal'),
      oval(0.42, 0.76, 0.2, 0.1, 0, 'leaf'),
      oval(0.62, 0.72, 0.14, 0.14, 0, 'leaf'),
      box(0, 0.88, 1, 1),
    ],
  },
  {
    id: 'milkCan',
    words: ['milk can', 'milk churn', 'butter churn'],
    instead: ['planter', 'vase'],
    front: [
      turned([
        [0, 0.5],
        [0.05, 0.62],
        [0.1, 0.5],
        [0.26, 0.5],
        [0.42, 0.9],
        [1, 0.9],
      ]),
      line(
        [
          [0.08, 0.36],
          [0, 0.44],
          [0.06, 0.54],
        ],
        0.05,
        0,
        'metal',
      ),
      line(
        [
          [0.92, 0.36],
          [1, 0.44],
          [0.94, 0.54],
        ],
        0.05,
        0,
        'metal',
      ),
    ],
  },
  {
    id: 'washBoard',
    words: ['washboard', 'scrub board'],
    instead: ['tray', 'door'],
    leans: true,
    plan: 'square',
    front: [
      box(0, 0, 1, 0.9),
      box(0.12, 0.3, 0.88, 0.86, 0, 'metal'),
      ...[0.4, 0.5, 0.6, 0.7, 0.8].map((y) =>
        line(
          [
            [0.14, y],
            [0.86, y],
          ],
          0.02,
          -14,
        ),
      ),
      box(0, 0.9, 0.14, 1),
      box(0.86, 0.9, 1, 1),
    ],
  },
];
