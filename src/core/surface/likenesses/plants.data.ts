import { type Likeness, line, oval, poly, turned, type UnitShape } from './likeness';

/** The pot of a plant: in the color of the piece, its soil on top. */
const pot = (top: number, wide = 0.62): UnitShape[] => [
  turned([
    [top, wide],
    [top + (1 - top) * 0.18, wide],
    [top + (1 - top) * 0.2, wide * 0.92],
    [1, wide * 0.68],
  ]),
  oval(0.5, top, wide / 2, 0.025, 0, 'soil'),
];

/** A leaf from its stalk to its tip. */
function blade(fromX: number, fromY: number, toX: number, toY: number, wide: number, shade = 0): UnitShape {
  const [dx, dy] = [toX - fromX, toY - fromY];
  const long = Math.hypot(dx, dy) || 1;
  const [nx, ny] = [(-dy / long) * wide, (dx / long) * wide];
  return poly(
    [
      [fromX, fromY],
      [fromX + dx * 0.5 + nx, fromY + dy * 0.5 + ny],
      [toX, toY],
      [fromX + dx * 0.5 - nx, fromY + dy * 0.5 - ny],
    ],
    shade,
    'leaf',
  );
}

/** What grows in a pot. */
export const plants: readonly Likeness[] = [
  {
    id: 'pottedPlant',
    words: [
      'plant',
      'houseplant',
      'fern',
      'ivy',
      'pothos',
      'monstera',
      'philodendron',
      'begonia',
      'geranium',
      'peace lily',
      'rubber plant',
      'spider plant',
      'mum',
      'chrysanthemum',
      'herb',
      'basil',
      'rosemary',
      'lavender',
      'mint',
      'thyme',
      'sage',
      'parsley',
      'eucalyptus',
    ],
    instead: ['planter'],
    front: [
      ...(
        [
          [0.02, 0.4],
          [0.12, 0.16],
          [0.3, 0.02],
          [0.52, 0],
          [0.72, 0.04],
          [0.9, 0.18],
          [0.98, 0.42],
          [0.2, 0.34],
          [0.8, 0.34],
          [0.42, 0.16],
          [0.62, 0.18],
        ] as const
      ).map(([x, y], n) => blade(0.5, 0.64, x, y, 0.07, n % 2 === 0 ? 4 : -10)),
      ...pot(0.62),
    ],
  },
  {
    id: 'succulent',
    words: ['succulent', 'aloe', 'jade', 'agave', 'yucca', 'dracaena', 'snake plant', 'houseleek'],
    instead: ['planter'],
    front: [
      ...(
        [
          [0.1, 0.3],
          [0.28, 0.12],
          [0.5, 0.02],
          [0.72, 0.12],
          [0.9, 0.3],
          [0.38, 0.3],
          [0.62, 0.3],
        ] as const
      ).map(([x, y], n) => blade(0.5, 0.66, x, y, 0.08, n % 2 === 0 ? 0 : 10)),
      ...pot(0.6, 0.7),
    ],
  },
  {
    id: 'cactus',
    words: ['cactus'],
    instead: ['planter'],
    front: [
      oval(0.5, 0.34, 0.17, 0.34, 0, 'leaf'),
      oval(0.22, 0.34, 0.09, 0.15, -8, 'leaf'),
      oval(0.78, 0.26, 0.09, 0.17, -8, 'leaf'),
      line(
        [
          [0.5, 0.04],
          [0.5, 0.62],
        ],
        0.02,
        12,
        'leaf',
      ),
      ...pot(0.62),
    ],
  },
  {
    id: 'topiary',
    words: ['topiary', 'tree', 'bonsai', 'olive tree', 'lemon tree', 'boxwood', 'christmas tree'],
    instead: ['planter'],
    front: [
      line(
        [
          [0.5, 0.36],
          [0.5, 0.8],
        ],
        0.05,
        0,
        'stem',
      ),
      oval(0.5, 0.26, 0.42, 0.26, 0, 'leaf'),
      oval(0.34, 0.2, 0.2, 0.12, 10, 'leaf'),
      oval(0.66, 0.32, 0.22, 0.12, -10, 'leaf'),
      ...pot(0.76, 0.5),
    ],
  },
  {
    id: 'palm',
    words: ['palm', 'areca', 'bird of paradise', 'banana plant', 'fiddle leaf fig', 'fig', 'ficus'],
    instead: ['planter'],
    front: [
      ...(
        [
          [0, 0.34],
          [0.1, 0.1],
          [0.34, 0],
          [0.66, 0],
          [0.9, 0.1],
          [1, 0.34],
        ] as const
      ).map(([x, y], n) => blade(0.5, 0.7, x, y, 0.045, n % 2 === 0 ? 2 : -8)),
      line(
        [
          [0.5, 0.42],
          [0.5, 0.76],
        ],
        0.04,
        0,
        'stem',
      ),
      ...pot(0.74, 0.5),
    ],
  },
  {
    id: 'orchid',
    words: ['orchid', 'amaryllis', 'tulip', 'daffodil', 'hyacinth', 'cyclamen', 'poinsettia', 'hydrangea', 'flower'],
    instead: ['planter'],
    front: [
      line(
        [
          [0.46, 0.66],
          [0.4, 0.3],
          [0.6, 0.1],
        ],
        0.03,
        0,
        'stem',
      ),
      ...(
        [
          [0.6, 0.1],
          [0.44, 0.18],
          [0.72, 0.22],
          [0.36, 0.34],
        ] as const
      ).flatMap(([x, y]) => [oval(x, y, 0.12, 0.075, 14), oval(x, y, 0.04, 0.03, 0, 'flame')]),
      blade(0.5, 0.68, 0.1, 0.54, 0.06),
      blade(0.5, 0.68, 0.9, 0.54, 0.06, -8),
      ...pot(0.66),
    ],
  },
];
