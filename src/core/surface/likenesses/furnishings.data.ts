import { box, type Likeness, line, oval, poly, turned } from './likeness';

/** The face of a clock within a square: its ring, its hours, its hands at ten past ten. */
const clockFace = (cx: number, cy: number, rx: number, ry: number) => [
  oval(cx, cy, rx, ry, 0, 'paper'),
  ...[0, 1, 2, 3].map((quarter) => {
    const [x, y] = [Math.sin((quarter * Math.PI) / 2), Math.cos((quarter * Math.PI) / 2)];
    return line(
      [
        [cx + x * rx * 0.78, cy + y * ry * 0.78],
        [cx + x * rx * 0.92, cy + y * ry * 0.92],
      ],
      0.02,
      0,
      'dark',
    );
  }),
  line(
    [
      [cx - rx * 0.42, cy - ry * 0.32],
      [cx, cy],
      [cx + rx * 0.55, cy - ry * 0.55],
    ],
    0.028,
    0,
    'dark',
  ),
];

/** The seat of what is sat on: cushions lie there. */
const seatAt = (left: number, top: number, right: number) => [{ left, top, right, bottom: top + 0.06 }];

/** What people sit on, look at, hang coats on, and what else furnishes a room. */
export const furnishings: readonly Likeness[] = [
  {
    id: 'wallClock',
    words: ['clock', 'wall clock', 'kitchen clock', 'station clock', 'sunburst clock'],
    instead: ['door'],
    leans: true,
    front: [oval(0.5, 0.5, 0.5, 0.5), ...clockFace(0.5, 0.5, 0.42, 0.42)],
  },
  {
    id: 'mantelClock',
    words: ['mantel clock', 'table clock', 'alarm clock', 'carriage clock', 'desk clock'],
    instead: ['door'],
    plan: 'square',
    depthShare: 0.4,
    front: [
      box(0, 0.88, 1, 1, -8),
      poly([
        [0.08, 0.88],
        [0.08, 0.34],
        [0.2, 0.12],
        [0.38, 0.01],
        [0.62, 0.01],
        [0.8, 0.12],
        [0.92, 0.34],
        [0.92, 0.88],
      ]),
      ...clockFace(0.5, 0.46, 0.32, 0.34),
    ],
  },
  {
    id: 'caseClock',
    words: ['grandfather clock', 'longcase clock', 'tall clock'],
    instead: ['door'],
    plan: 'square',
    front: [
      box(0.06, 0.06, 0.94, 0.3),
      box(0, 0, 1, 0.06, 8),
      box(0.16, 0.3, 0.84, 0.78),
      box(0.3, 0.36, 0.7, 0.72, 0, 'glass'),
      line(
        [
          [0.5, 0.36],
          [0.5, 0.6],
        ],
        0.03,
        0,
        'metal',
      ),
      oval(0.5, 0.63, 0.1, 0.03, 0, 'metal'),
      box(0.06, 0.78, 0.94, 1),
      ...clockFace(0.5, 0.18, 0.34, 0.1),
    ],
  },
  {
    id: 'pinBoard',
    words: [
      'cork board',
      'corkboard',
      'bulletin board',
      'pin board',
      'memo board',
      'peg board',
      'pegboard',
      'moodboard',
    ],
    instead: ['door', 'tray'],
    leans: true,
    plan: 'square',
    front: [
      box(0, 0, 1, 1),
      box(0.04, 0.05, 0.96, 0.95, 0, 'wood'),
      box(0.12, 0.14, 0.34, 0.46, 0, 'paper'),
      box(0.42, 0.2, 0.6, 0.42, 0, 'print'),
      box(0.66, 0.12, 0.86, 0.5, 0, 'paper'),
      box(0.2, 0.56, 0.5, 0.82, 0, 'print'),
    ],
  },
  {
    id: 'writingBoard',
    words: ['chalkboard', 'blackboard', 'letter board', 'message board', 'menu board', 'slate'],
    instead: ['door', 'tray'],
    leans: true,
    plan: 'square',
    front: [
      box(0, 0, 1, 1),
      box(0.05, 0.06, 0.95, 0.94, 0, 'dark'),
      ...[0.3, 0.5, 0.7].map((y) =>
        line(
          [
            [0.22, y],
            [0.78, y],
          ],
          0.02,
          0,
          'linen',
        ),
      ),
    ],
  },
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
  {
    id: 'map',
    words: ['map', 'chart', 'nautical chart'],
    leans: true,
    plan: 'square',
    front: [
      box(0, 0, 1, 1),
      box(0.03, 0.04, 0.97, 0.96, 0, 'paper'),
      poly(
        [
          [0.1, 0.3],
          [0.28, 0.2],
          [0.4, 0.34],
          [0.32, 0.52],
          [0.36, 0.76],
          [0.24, 0.6],
        ],
        0,
        'print',
      ),
      poly(
        [
          [0.52, 0.22],
          [0.86, 0.18],
          [0.9, 0.4],
          [0.74, 0.46],
          [0.7, 0.78],
          [0.56, 0.56],
        ],
        0,
        'print',
      ),
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
    id: 'stocking',
    words: ['stocking', 'christmas stocking'],
    leans: true,
    front: [
      poly([
        [0.12, 0.16],
        [0.68, 0.16],
        [0.68, 0.62],
        [0.96, 0.78],
        [1, 0.9],
        [0.9, 1],
        [0.5, 1],
        [0.18, 0.84],
      ]),
      box(0.06, 0.02, 0.74, 0.2, 0, 'linen'),
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
