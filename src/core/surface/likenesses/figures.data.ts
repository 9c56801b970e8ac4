import { box, type Likeness, line, oval, poly, turned } from './likeness';

/** Figures, animals, and what is brought home from a walk or a fair. */
export const figures: readonly Likeness[] = [
  {
    id: 'bird',
    words: ['bird', 'duck', 'rooster', 'hen', 'dove', 'owl', 'swan', 'goose', 'decoy', 'chicken'],
    front: [
      poly([
        [0.02, 0.44],
        [0.3, 0.46],
        [0.52, 0.38],
        [0.6, 0.12],
        [0.74, 0.02],
        [0.88, 0.1],
        [0.9, 0.2],
        [1, 0.26],
        [0.88, 0.3],
        [0.88, 0.6],
        [0.74, 0.82],
        [0.44, 0.86],
        [0.2, 0.72],
      ]),
      poly(
        [
          [0.26, 0.5],
          [0.62, 0.5],
          [0.5, 0.72],
        ],
        -12,
      ),
      oval(0.79, 0.15, 0.02, 0.02, 0, 'dark'),
      line(
        [
          [0.5, 0.84],
          [0.5, 1],
        ],
        0.03,
        0,
        'dark',
      ),
      line(
        [
          [0.62, 0.84],
          [0.62, 1],
        ],
        0.03,
        0,
        'dark',
      ),
    ],
  },
  {
    id: 'rabbit',
    words: ['rabbit', 'bunny', 'hare'],
    front: [
      poly([
        [0.54, 0.3],
        [0.5, 0.02],
        [0.6, 0.02],
        [0.66, 0.28],
      ]),
      poly(
        [
          [0.68, 0.3],
          [0.72, 0.04],
          [0.8, 0.06],
          [0.76, 0.32],
        ],
        -6,
      ),
      oval(0.42, 0.72, 0.34, 0.27),
      oval(0.7, 0.42, 0.18, 0.15, 4),
      oval(0.08, 0.68, 0.08, 0.08, 10),
      box(0.2, 0.92, 0.8, 1, -4),
      oval(0.78, 0.39, 0.02, 0.02, 0, 'dark'),
    ],
  },
  {
    id: 'animal',
    words: [
      'horse',
      'deer',
      'dog',
      'cat',
      'bear',
      'elephant',
      'sheep',
      'lamb',
      'pig',
      'cow',
      'reindeer',
      'stag',
      'fox',
      'lion',
      'animal',
      'rocking horse',
    ],
    front: [
      poly([
        [0.04, 0.36],
        [0.14, 0.3],
        [0.56, 0.32],
        [0.66, 0.12],
        [0.72, 0.02],
        [0.8, 0.1],
        [0.98, 0.2],
        [0.96, 0.3],
        [0.82, 0.32],
        [0.76, 0.5],
        [0.74, 0.98],
        [0.64, 0.98],
        [0.62, 0.64],
        [0.3, 0.64],
        [0.28, 0.98],
        [0.18, 0.98],
        [0.12, 0.6],
        [0.02, 0.7],
      ]),
      oval(0.84, 0.18, 0.02, 0.02, 0, 'dark'),
    ],
  },
  {
    id: 'fish',
    words: ['fish', 'whale', 'dolphin', 'turtle', 'seahorse', 'crab', 'lobster'],
    front: [
      poly([
        [0, 0.1],
        [0.24, 0.44],
        [0.5, 0.02],
        [0.84, 0.16],
        [1, 0.5],
        [0.84, 0.84],
        [0.5, 0.98],
        [0.24, 0.56],
        [0, 0.9],
      ]),
      oval(0.84, 0.44, 0.03, 0.05, 0, 'dark'),
      line(
        [
          [0.68, 0.28],
          [0.62, 0.5],
          [0.68, 0.74],
        ],
        0.02,
      ),
    ],
  },
  {
    id: 'boat',
    words: ['boat', 'boat model', 'ship', 'sailboat', 'model', 'yacht'],
    front: [
      line(
        [
          [0.5, 0.02],
          [0.5, 0.78],
        ],
        0.03,
        0,
        'wood',
      ),
      poly(
        [
          [0.54, 0.06],
          [0.94, 0.68],
          [0.54, 0.68],
        ],
        0,
        'linen',
      ),
      poly(
        [
          [0.46, 0.14],
          [0.46, 0.68],
          [0.1, 0.68],
        ],
        -6,
        'linen',
      ),
      poly([
        [0, 0.76],
        [1, 0.76],
        [0.84, 1],
        [0.16, 1],
      ]),
    ],
  },
  {
    id: 'buoy',
    words: ['buoy', 'float', 'fishing float'],
    front: [
      turned([
        [0.14, 0.3],
        [0.3, 0.9],
        [0.52, 1],
        [0.8, 0.7],
        [1, 0.2],
      ]),
      turned(
        [
          [0.36, 0.94],
          [0.52, 1],
          [0.6, 0.96],
        ],
        0,
        'linen',
      ),
      line(
        [
          [0.5, 0.14],
          [0.5, 0],
        ],
        0.08,
        0,
        'wood',
      ),
    ],
  },
  {
    id: 'pumpkin',
    words: ['pumpkin', 'gourd', 'squash'],
    front: [
      poly(
        [
          [0.44, 0.2],
          [0.42, 0.02],
          [0.56, 0],
          [0.56, 0.2],
        ],
        0,
        'stem',
      ),
      oval(0.22, 0.58, 0.22, 0.38, -8),
      oval(0.78, 0.58, 0.22, 0.38, -8),
      oval(0.36, 0.58, 0.22, 0.42, 0),
      oval(0.64, 0.58, 0.22, 0.42, 0),
      oval(0.5, 0.58, 0.18, 0.42, 8),
    ],
  },
  {
    id: 'ornament',
    words: ['ornament', 'bauble', 'ball', 'christmas ball', 'glass float', 'orb'],
    front: [
      oval(0.5, 0.58, 0.42, 0.42),
      box(0.42, 0.08, 0.58, 0.18, 0, 'metal'),
      oval(0.5, 0.05, 0.05, 0.05, -8, 'metal'),
      oval(0.36, 0.44, 0.08, 0.1, 20),
    ],
  },
  {
    id: 'star',
    words: ['star', 'snowflake', 'starfish', 'sunburst'],
    plan: 'square',
    front: [
      poly([
        [0.5, 0],
        [0.62, 0.36],
        [1, 0.38],
        [0.7, 0.6],
        [0.81, 0.98],
        [0.5, 0.75],
        [0.19, 0.98],
        [0.3, 0.6],
        [0, 0.38],
        [0.38, 0.36],
      ]),
    ],
  },
  {
    id: 'bell',
    words: ['bell', 'wind chime', 'jingle bell'],
    front: [
      oval(0.5, 0.08, 0.08, 0.08),
      turned([
        [0.12, 0.24],
        [0.3, 0.5],
        [0.66, 0.66],
        [0.84, 0.98],
        [0.9, 1],
      ]),
      oval(0.5, 0.94, 0.09, 0.06, 0, 'dark'),
    ],
  },
  {
    id: 'statue',
    words: [
      'statue',
      'bust',
      'figure',
      'figurine',
      'angel',
      'gnome',
      'sculpture',
      'doll',
      'nutcracker',
      'santa',
      'buddha',
      'teddy bear',
      'toy',
    ],
    front: [
      oval(0.5, 0.13, 0.15, 0.13, 6),
      poly([
        [0.42, 0.24],
        [0.58, 0.24],
        [0.84, 0.36],
        [0.8, 0.84],
        [0.2, 0.84],
        [0.16, 0.36],
      ]),
      line(
        [
          [0.34, 0.42],
          [0.34, 0.78],
        ],
        0.02,
      ),
      line(
        [
          [0.66, 0.42],
          [0.66, 0.78],
        ],
        0.02,
      ),
      box(0.1, 0.86, 0.9, 1, -10),
    ],
  },
  {
    id: 'globe',
    words: ['globe', 'world globe', 'armillary'],
    front: [
      line(
        [
          [0.2, 0.06],
          [0.04, 0.34],
          [0.16, 0.66],
          [0.5, 0.78],
        ],
        0.05,
        0,
        'metal',
      ),
      oval(0.52, 0.38, 0.36, 0.36),
      poly(
        [
          [0.36, 0.2],
          [0.58, 0.16],
          [0.62, 0.34],
          [0.46, 0.44],
        ],
        -14,
      ),
      box(0.47, 0.76, 0.55, 0.92, 0, 'wood'),
      box(0.24, 0.92, 0.78, 1, 0, 'wood'),
    ],
  },
  {
    id: 'birdcage',
    words: ['birdcage', 'bird cage'],
    front: [
      turned(
        [
          [0.08, 0.16],
          [0.2, 0.66],
          [0.42, 0.96],
          [0.92, 0.96],
        ],
        4,
        'glass',
      ),
      ...[0.14, 0.3, 0.5, 0.7, 0.86].map((x) =>
        line(
          [
            [0.5 + (x - 0.5) * 0.3, 0.08],
            [x, 0.4],
            [x, 0.92],
          ],
          0.018,
          0,
          'dark',
        ),
      ),
      oval(0.5, 0.05, 0.07, 0.05),
      box(0, 0.92, 1, 1),
    ],
  },
  {
    id: 'dial',
    words: ['scale', 'radio', 'typewriter', 'camera', 'telephone', 'phone', 'barometer'],
    plan: 'square',
    front: [
      poly([
        [0.08, 0.1],
        [0.92, 0.1],
        [1, 1],
        [0, 1],
      ]),
      oval(0.5, 0.5, 0.3, 0.32, 0, 'paper'),
      line(
        [
          [0.5, 0.5],
          [0.5, 0.28],
        ],
        0.03,
        0,
        'dark',
      ),
      line(
        [
          [0.5, 0.5],
          [0.66, 0.58],
        ],
        0.03,
        0,
        'dark',
      ),
      box(0.2, 0, 0.8, 0.1, -8),
    ],
  },
  {
    id: 'shell',
    words: ['shell', 'seashell', 'scallop', 'conch'],
    front: [
      poly([
        [0.42, 1],
        [0.02, 0.44],
        [0.12, 0.16],
        [0.34, 0.02],
        [0.66, 0.02],
        [0.88, 0.16],
        [0.98, 0.44],
        [0.58, 1],
      ]),
      ...[0.14, 0.32, 0.5, 0.68, 0.86].map((x) =>
        line(
          [
            [0.5, 0.94],
            [x, 0.14],
          ],
          0.02,
        ),
      ),
    ],
  },
  {
    id: 'branchPiece',
    words: ['driftwood', 'driftwood piece', 'coral', 'antler', 'branch piece', 'root'],
    front: [
      poly([
        [0, 0.9],
        [0.3, 0.62],
        [0.26, 0.2],
        [0.34, 0.06],
        [0.42, 0.56],
        [0.62, 0.46],
        [0.7, 0.12],
        [0.78, 0.14],
        [0.74, 0.5],
        [1, 0.36],
        [1, 0.48],
        [0.68, 0.74],
        [0.4, 0.98],
        [0, 1],
      ]),
      line(
        [
          [0.08, 0.92],
          [0.4, 0.72],
          [0.66, 0.6],
        ],
        0.02,
      ),
    ],
  },
  {
    id: 'stone',
    words: ['stone', 'pebble', 'rock', 'sea glass', 'crystal', 'geode', 'paperweight', 'trinket', 'egg'],
    front: [
      poly([
        [0.04, 0.74],
        [0.12, 0.36],
        [0.34, 0.08],
        [0.64, 0.04],
        [0.9, 0.3],
        [0.98, 0.68],
        [0.84, 0.96],
        [0.2, 1],
      ]),
      poly(
        [
          [0.34, 0.18],
          [0.6, 0.14],
          [0.7, 0.34],
          [0.42, 0.4],
        ],
        14,
      ),
    ],
  },
  {
    id: 'pinecone',
    words: ['pinecone', 'pine cone', 'cone', 'acorn', 'artichoke'],
    front: [
      turned([
        [0.02, 0.24],
        [0.2, 0.66],
        [0.52, 0.98],
        [0.8, 0.86],
        [1, 0.3],
      ]),
      ...[0.24, 0.42, 0.6, 0.78].map((y, n) =>
        line(
          [
            [0.5 - 0.3 - n * 0.05, y - 0.06],
            [0.36, y + 0.05],
            [0.5, y - 0.06],
            [0.64, y + 0.05],
            [0.5 + 0.3 + n * 0.05, y - 0.06],
          ],
          0.04,
        ),
      ),
    ],
  },
  {
    id: 'beads',
    words: ['bead', 'bead garland', 'beads', 'necklace', 'rosary', 'tassel'],
    plan: 'square',
    depthShare: 0.15,
    front: [
      ...Array.from({ length: 9 }, (_, n) => {
        const angle = Math.PI * (0.06 + (0.88 * n) / 8);
        return oval(0.5 - 0.42 * Math.cos(angle), 0.16 + 0.66 * Math.sin(angle), 0.08, 0.1, n % 2 === 0 ? 6 : -6);
      }),
      poly(
        [
          [0.44, 0.86],
          [0.56, 0.86],
          [0.62, 1],
          [0.38, 1],
        ],
        -12,
      ),
    ],
  },
];
