import { box, type Likeness, line, oval, poly, turned } from './likeness';

/** The two boards of a cart, the lower first. */
const cartBoards = [
  { left: 0.02, top: 0.66, right: 0.98, bottom: 0.72 },
  { left: 0.02, top: 0.14, right: 0.98, bottom: 0.2 },
];

/** Books beside each other, their backs to the front: how wide each is and how high, as shares of the row. */
const bookSpines = (
  [
    [0, 0.13, 0.06],
    [0.13, 0.25, 0.16],
    [0.25, 0.42, 0],
    [0.42, 0.52, 0.22],
    [0.52, 0.68, 0.1],
    [0.68, 0.78, 0.04],
    [0.78, 0.9, 0.18],
    [0.9, 1, 0.12],
  ] as const
).flatMap(([left, right, top], n) => [
  box(left + 0.004, top, right - 0.004, 1, [0, -12, 8, -6, 12, -16, 4, -9][n] ?? 0),
  box(left + 0.018, top + 0.12, right - 0.018, top + 0.16, 0, 'linen'),
]);

/** What holds and carries in a house. */
export const household: readonly Likeness[] = [
  {
    id: 'suitcase',
    words: ['suitcase', 'trunk', 'chest', 'toy chest', 'case', 'footlocker', 'steamer trunk', 'blanket chest'],
    plan: 'square',
    front: [
      box(0, 0.06, 1, 1),
      box(0, 0.06, 1, 0.34, 8),
      box(0.14, 0.06, 0.2, 1, -16),
      box(0.8, 0.06, 0.86, 1, -16),
      box(0.45, 0.28, 0.55, 0.42, 0, 'metal'),
      line(
        [
          [0.42, 0.06],
          [0.44, 0],
          [0.56, 0],
          [0.58, 0.06],
        ],
        0.05,
        0,
        'dark',
      ),
    ],
  },
  {
    id: 'hatBox',
    words: ['hat box', 'tin', 'canister', 'drum', 'powder box', 'round box'],
    front: [
      box(0.03, 0.26, 0.97, 1),
      box(0, 0.02, 1, 0.28, 8),
      line(
        [
          [0.5, 0.28],
          [0.5, 1],
        ],
        0.05,
        -6,
      ),
      oval(0.5, 0.03, 0.1, 0.05, -12),
    ],
  },
  {
    id: 'lidBox',
    words: ['box', 'jewelry box', 'keepsake box', 'bin', 'drawer', 'letter box', 'cigar box'],
    plan: 'square',
    front: [box(0.02, 0.26, 0.98, 1), box(0, 0, 1, 0.28, 10), oval(0.5, 0.4, 0.03, 0.05, 0, 'metal')],
  },
  {
    id: 'caddy',
    words: ['caddy', 'toolbox', 'tool box', 'trug', 'tote', 'garden trug'],
    plan: 'square',
    front: [
      line(
        [
          [0.06, 0.5],
          [0.18, 0.06],
          [0.82, 0.06],
          [0.94, 0.5],
        ],
        0.06,
        0,
      ),
      poly([
        [0, 0.46],
        [1, 0.46],
        [0.94, 1],
        [0.06, 1],
      ]),
      line(
        [
          [0.03, 0.72],
          [0.97, 0.72],
        ],
        0.02,
      ),
    ],
  },
  {
    id: 'hat',
    words: ['hat', 'straw hat', 'sun hat', 'woven hat', 'felt hat'],
    front: [
      oval(0.5, 0.82, 0.5, 0.18),
      poly([
        [0.24, 0.8],
        [0.28, 0.3],
        [0.36, 0.04],
        [0.5, 0],
        [0.64, 0.04],
        [0.72, 0.3],
        [0.76, 0.8],
      ]),
      poly(
        [
          [0.245, 0.78],
          [0.26, 0.6],
          [0.74, 0.6],
          [0.755, 0.78],
        ],
        -14,
      ),
    ],
  },
  {
    id: 'logs',
    words: ['log', 'logs', 'firewood', 'birch log', 'kindling'],
    plan: 'square',
    front: [
      box(0, 0.7, 1, 1, -6),
      ...[
        [0.16, 0.84],
        [0.5, 0.84],
        [0.84, 0.84],
        [0.33, 0.5],
        [0.67, 0.5],
        [0.5, 0.16],
      ].flatMap(([x = 0, y = 0]) => [oval(x, y, 0.16, 0.16), oval(x, y, 0.1, 0.1, 0, 'wood')]),
    ],
  },
  {
    id: 'television',
    words: ['television', 'tv', 'tv set', 'flat screen', 'smart tv', 'computer monitor', 'monitor'],
    plan: 'square',
    // A flat one on its feet.
    depthShare: 0.18,
    front: [
      box(0, 0, 1, 0.93),
      box(0.015, 0.025, 0.985, 0.9, 0, 'dark'),
      box(0.2, 0.93, 0.26, 1, 0, 'dark'),
      box(0.74, 0.93, 0.8, 1, 0, 'dark'),
    ],
  },
  {
    id: 'bookend',
    words: ['bookend', 'book end'],
    plan: 'square',
    front: [
      poly([
        [0.06, 0.04],
        [0.34, 0.04],
        [0.4, 0.86],
        [1, 0.86],
        [1, 1],
        [0, 1],
      ]),
    ],
  },
  {
    id: 'bookRow',
    words: ['book row', 'encyclopedia', 'cookbook'],
    said: /\b(?:row|shelf|set) of (?:\S+ ){0,3}books\b|\b(?:standing|upright) (?:\S+ ){0,2}books?\b/i,
    instead: ['books'],
    plan: 'square',
    usual: { widthMm: 300, heightMm: 240 },
    front: bookSpines,
  },
  {
    id: 'cuttingBoard',
    words: ['cutting board', 'bread board', 'breadboard', 'chopping board', 'cheese board', 'serving board'],
    instead: ['tray'],
    plan: 'square',
    leans: true,
    front: [
      poly([
        [0.06, 0.26],
        [0.36, 0.2],
        [0.4, 0.04],
        [0.5, 0],
        [0.6, 0.04],
        [0.64, 0.2],
        [0.94, 0.26],
        [1, 0.34],
        [1, 0.96],
        [0.94, 1],
        [0.06, 1],
        [0, 0.96],
        [0, 0.34],
      ]),
      oval(0.5, 0.1, 0.05, 0.03, 0, 'open'),
      line(
        [
          [0.3, 0.3],
          [0.3, 0.96],
        ],
        0.01,
        -8,
      ),
      line(
        [
          [0.68, 0.3],
          [0.68, 0.96],
        ],
        0.01,
        -8,
      ),
    ],
  },
  {
    id: 'bookPile',
    templateId: 'books',
    words: ['book', 'atlas', 'ledger', 'magazine', 'dictionary', 'novel', 'album'],
    plan: 'square',
    front: [
      box(0, 0.68, 1, 1),
      box(0.02, 0.74, 0.97, 0.94, 0, 'paper'),
      box(0.05, 0.36, 0.96, 0.66, 10),
      box(0.08, 0.42, 0.93, 0.6, 0, 'paper'),
      box(0.02, 0.04, 0.9, 0.34, -8),
      box(0.04, 0.1, 0.87, 0.28, 0, 'paper'),
    ],
  },
  {
    id: 'crateBox',
    templateId: 'crate',
    words: ['crate', 'milk crate', 'fruit crate', 'wine box'],
    plan: 'square',
    front: [
      box(0, 0, 1, 1, -20),
      ...[0, 0.35, 0.7].map((y) => box(0, y, 1, y + 0.29, 4)),
      box(0, 0, 0.07, 1, 8),
      box(0.93, 0, 1, 1, 8),
    ],
  },
  {
    id: 'dollhouse',
    words: ['dollhouse', 'doll house', 'bird house', 'birdhouse', 'house', 'gingerbread house', 'village house'],
    plan: 'square',
    front: [
      box(0.08, 0.42, 0.92, 1),
      poly(
        [
          [0, 0.44],
          [0.5, 0],
          [1, 0.44],
        ],
        -16,
      ),
      box(0.42, 0.7, 0.58, 1, 0, 'wood'),
      box(0.16, 0.54, 0.34, 0.7, 0, 'lit'),
      box(0.66, 0.54, 0.84, 0.7, 0, 'lit'),
    ],
  },
  {
    id: 'rack',
    words: [
      'rack',
      'coat rack',
      'towel rack',
      'peg rail',
      'peg rack',
      'hook',
      'row of hooks',
      'key rack',
      'hooks',
      'wall hook',
    ],
    plan: 'square',
    front: [
      box(0, 0.14, 1, 0.5),
      ...[0.12, 0.37, 0.63, 0.88].map((x) =>
        line(
          [
            [x, 0.32],
            [x, 0.84],
            [x + 0.05, 0.98],
          ],
          0.05,
          0,
          'metal',
        ),
      ),
    ],
  },
  {
    id: 'easel',
    words: ['easel', 'plate stand', 'book stand', 'magazine rack', 'wine rack'],
    front: [
      line(
        [
          [0.48, 0],
          [0.12, 1],
        ],
        0.07,
        0,
      ),
      line(
        [
          [0.52, 0],
          [0.88, 1],
        ],
        0.07,
        0,
      ),
      box(0.12, 0.66, 0.88, 0.73),
      line(
        [
          [0.5, 0],
          [0.5, 0.96],
        ],
        0.04,
        -8,
      ),
    ],
  },
  {
    id: 'ladder',
    words: ['ladder', 'step ladder', 'blanket ladder', 'towel ladder'],
    plan: 'square',
    front: [
      poly([
        [0.1, 0],
        [0.22, 0],
        [0.14, 1],
        [0, 1],
      ]),
      poly([
        [0.78, 0],
        [0.9, 0],
        [1, 1],
        [0.86, 1],
      ]),
      ...[0.1, 0.28, 0.46, 0.64, 0.82].map((y) => box(0.14, y, 0.88, y + 0.04, 6)),
    ],
  },
  {
    id: 'cart',
    words: ['cart', 'bar cart', 'trolley', 'wagon', 'tea cart'],
    plan: 'square',
    boards: cartBoards,
    front: [
      line(
        [
          [0.06, 0.9],
          [0.06, 0.02],
        ],
        0.05,
        -8,
      ),
      line(
        [
          [0.94, 0.9],
          [0.94, 0.02],
        ],
        0.05,
        -8,
      ),
      ...cartBoards.map(({ left, top, right, bottom }) => box(left, top, right, bottom)),
      oval(0.12, 0.92, 0.07, 0.08, 0, 'dark'),
      oval(0.88, 0.92, 0.07, 0.08, 0, 'dark'),
    ],
  },
  {
    id: 'birdBath',
    words: ['bird bath', 'birdbath', 'fountain', 'sundial', 'column', 'plinth'],
    front: [
      turned([
        [0.06, 1],
        [0.18, 0.8],
        [0.24, 0.3],
        [0.4, 0.24],
        [0.8, 0.3],
        [0.9, 0.56],
        [1, 0.62],
      ]),
      oval(0.5, 0.06, 0.5, 0.06, 0, 'water'),
    ],
  },
  {
    id: 'rod',
    words: ['rod', 'curtain rod', 'curtain pole', 'dowel', 'pole'],
    plan: 'square',
    front: [box(0.04, 0.38, 0.96, 0.62), oval(0.03, 0.5, 0.03, 0.5), oval(0.97, 0.5, 0.03, 0.5)],
  },
  {
    id: 'hardware',
    words: ['knob', 'handle', 'hinge', 'caster', 'pull', 'bracket', 'escutcheon', 'hardware'],
    front: [oval(0.5, 0.5, 0.48, 0.48), oval(0.5, 0.5, 0.3, 0.3, 12), oval(0.5, 0.5, 0.06, 0.06, 0, 'dark')],
  },
];
