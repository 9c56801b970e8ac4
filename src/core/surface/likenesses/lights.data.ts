import { box, type Likeness, line, oval, poly, turned } from './likeness';

/** A lamp of which somebody says that it has no shade is only its base. */
const bareLamp = /\b(?:no shade|without (?:a )?shade|bare|base)\b/i;

/** What gives light. */
export const lights: readonly Likeness[] = [
  {
    id: 'lights',
    words: ['light', 'string light', 'fairy light', 'rope light', 'twinkle light'],
    plan: 'square',
    front: [
      line(
        [
          [0, 0.06],
          [0.16, 0.4],
          [0.34, 0.52],
          [0.5, 0.2],
          [0.66, 0.52],
          [0.84, 0.4],
          [1, 0.06],
        ],
        0.03,
        0,
        'dark',
      ),
      ...(
        [
          [0.1, 0.34],
          [0.25, 0.56],
          [0.42, 0.46],
          [0.58, 0.46],
          [0.75, 0.72],
          [0.9, 0.34],
        ] as const
      ).map(([x, y]) => oval(x, y + 0.14, 0.04, 0.14, 0, 'lit')),
    ],
  },
  {
    id: 'candle',
    templateId: 'candle',
    words: ['candle', 'taper', 'tealight', 'tea light', 'votive', 'pillar'],
    front: [
      line(
        [
          [0.5, 0.22],
          [0.5, 0.12],
        ],
        0.03,
        0,
        'dark',
      ),
      poly(
        [
          [0.5, 0],
          [0.58, 0.08],
          [0.5, 0.15],
          [0.42, 0.08],
        ],
        0,
        'flame',
      ),
      box(0.08, 0.22, 0.92, 1),
      oval(0.5, 0.22, 0.42, 0.03, 12),
    ],
  },
  {
    id: 'tableLamp',
    words: ['table lamp', 'desk lamp', 'bedside lamp', 'reading lamp', 'buffet lamp'],
    not: bareLamp,
    instead: ['lampBase'],
    front: [
      turned([
        [0.36, 0.08],
        [0.5, 0.1],
        [0.62, 0.36],
        [0.72, 0.4],
        [0.86, 0.22],
        [0.94, 0.16],
      ]),
      turned(
        [
          [0.94, 0.42],
          [1, 0.42],
        ],
        -12,
      ),
      poly(
        [
          [0.22, 0],
          [0.78, 0],
          [1, 0.4],
          [0, 0.4],
        ],
        0,
        'linen',
      ),
      poly(
        [
          [0.52, 0],
          [0.78, 0],
          [1, 0.4],
          [0.56, 0.4],
        ],
        -6,
        'linen',
      ),
    ],
  },
  {
    id: 'floorLamp',
    words: ['floor lamp', 'standing lamp', 'standard lamp', 'torchiere'],
    not: bareLamp,
    instead: ['lampBase'],
    front: [
      box(0.47, 0.2, 0.53, 0.97),
      turned(
        [
          [0.96, 0.5],
          [1, 0.64],
        ],
        -10,
      ),
      poly(
        [
          [0.2, 0],
          [0.8, 0],
          [1, 0.24],
          [0, 0.24],
        ],
        0,
        'linen',
      ),
      poly(
        [
          [0.52, 0],
          [0.8, 0],
          [1, 0.24],
          [0.56, 0.24],
        ],
        -6,
        'linen',
      ),
    ],
  },
  {
    id: 'chandelier',
    words: ['chandelier', 'candelabrum light'],
    instead: ['lampBase'],
    front: [
      line(
        [
          [0.5, 0],
          [0.5, 0.7],
        ],
        0.02,
      ),
      ...[
        [0.06, 0.5],
        [0.28, 0.42],
        [0.72, 0.42],
        [0.94, 0.5],
      ].flatMap(([x = 0, y = 0]) => [
        line(
          [
            [0.5, 0.72],
            [0.5 + (x - 0.5) * 0.6, 0.8],
            [x, y + 0.12],
          ],
          0.025,
        ),
        box(x - 0.025, y - 0.06, x + 0.025, y + 0.12, 0, 'wax'),
        oval(x, y - 0.1, 0.025, 0.05, 0, 'lit'),
      ]),
      oval(0.5, 0.76, 0.08, 0.08),
      oval(0.5, 0.94, 0.03, 0.05),
    ],
  },
  {
    id: 'pendant',
    words: ['pendant', 'pendant lamp', 'pendant light', 'hanging lamp', 'hanging light', 'swag lamp'],
    instead: ['lampBase'],
    front: [
      line(
        [
          [0.5, 0],
          [0.5, 0.5],
        ],
        0.015,
        0,
        'dark',
      ),
      poly([
        [0.4, 0.5],
        [0.6, 0.5],
        [1, 0.92],
        [0, 0.92],
      ]),
      oval(0.5, 0.93, 0.14, 0.07, 0, 'lit'),
    ],
  },
  {
    id: 'sconce',
    words: ['sconce', 'wall sconce', 'wall lamp', 'wall light', 'swing arm lamp'],
    instead: ['lampBase'],
    front: [
      oval(0.5, 0.72, 0.16, 0.16, -8),
      line(
        [
          [0.5, 0.72],
          [0.5, 0.98],
          [0.5, 0.5],
        ],
        0.06,
      ),
      poly(
        [
          [0.26, 0],
          [0.74, 0],
          [1, 0.52],
          [0, 0.52],
        ],
        0,
        'linen',
      ),
    ],
  },
];
