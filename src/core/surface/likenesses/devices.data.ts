import { box, type Likeness, line, oval, poly } from './likeness';

/** What has a plug. */
export const devices: readonly Likeness[] = [
  {
    id: 'speaker',
    words: ['speaker', 'loudspeaker', 'bookshelf speaker', 'subwoofer'],
    plan: 'square',
    front: [
      box(0, 0, 1, 1),
      oval(0.5, 0.66, 0.36, 0.24, 0, 'dark'),
      oval(0.5, 0.66, 0.14, 0.09, 0, 'metal'),
      oval(0.5, 0.24, 0.18, 0.12, 0, 'dark'),
    ],
  },
  {
    id: 'recordPlayer',
    words: ['record player', 'turntable', 'gramophone'],
    plan: 'square',
    depthShare: 0.8,
    front: [
      poly(
        [
          [0.02, 0.5],
          [0.1, 0],
          [0.9, 0],
          [0.98, 0.5],
        ],
        0,
        'glass',
      ),
      box(0, 0.5, 1, 0.92),
      oval(0.42, 0.52, 0.34, 0.06, 0, 'dark'),
      oval(0.86, 0.72, 0.05, 0.1, 0, 'metal'),
      box(0.06, 0.92, 0.14, 1, 0, 'dark'),
      box(0.86, 0.92, 0.94, 1, 0, 'dark'),
    ],
  },
  {
    id: 'laptop',
    words: ['laptop', 'computer', 'notebook computer'],
    plan: 'square',
    depthShare: 0.7,
    front: [box(0.04, 0, 0.96, 0.9), box(0.08, 0.05, 0.92, 0.84, 0, 'dark'), box(0, 0.9, 1, 1, 8)],
  },
  {
    id: 'printer',
    words: ['printer', 'scanner', 'fax'],
    plan: 'square',
    depthShare: 0.8,
    front: [
      poly(
        [
          [0.24, 0],
          [0.76, 0],
          [0.78, 0.3],
          [0.22, 0.3],
        ],
        0,
        'paper',
      ),
      box(0, 0.26, 1, 1),
      box(0.18, 0.66, 0.82, 0.76, 0, 'dark'),
      box(0.22, 0.72, 0.78, 0.84, 0, 'paper'),
    ],
  },
  {
    id: 'fan',
    words: ['fan', 'desk fan', 'table fan', 'floor fan'],
    front: [
      oval(0.5, 0.36, 0.5, 0.36, 0, 'metal'),
      oval(0.5, 0.36, 0.44, 0.32, 0, 'open'),
      ...[0, 1, 2].map((n) => {
        const angle = (n * 2 * Math.PI) / 3;
        return oval(0.5 + Math.sin(angle) * 0.2, 0.36 - Math.cos(angle) * 0.15, 0.14, 0.11);
      }),
      oval(0.5, 0.36, 0.07, 0.05, 0, 'dark'),
      box(0.46, 0.72, 0.54, 0.94),
      poly([
        [0.28, 0.94],
        [0.72, 0.94],
        [0.8, 1],
        [0.2, 1],
      ]),
    ],
  },
  {
    id: 'heater',
    words: ['space heater', 'heater', 'humidifier', 'dehumidifier', 'air purifier', 'diffuser'],
    plan: 'square',
    front: [
      box(0, 0, 1, 0.96),
      ...[0.2, 0.32, 0.44, 0.56, 0.68].map((y) => box(0.14, y, 0.86, y + 0.05, 0, 'dark')),
      box(0.06, 0.96, 0.94, 1, -12),
    ],
  },
  {
    id: 'fishTank',
    words: ['fish tank', 'aquarium'],
    plan: 'square',
    depthShare: 0.5,
    front: [
      box(0, 0, 1, 1, 0, 'glass'),
      box(0, 0.14, 1, 1, 0, 'water'),
      box(0, 0.88, 1, 1, 0, 'wood'),
      poly(
        [
          [0.3, 0.5],
          [0.46, 0.42],
          [0.54, 0.5],
          [0.62, 0.42],
          [0.62, 0.58],
          [0.54, 0.5],
          [0.46, 0.58],
        ],
        0,
        'flame',
      ),
      line(
        [
          [0.8, 0.88],
          [0.76, 0.66],
          [0.82, 0.48],
          [0.78, 0.34],
        ],
        0.04,
        0,
        'leaf',
      ),
      box(0, 0, 1, 0.06),
      box(0, 0.95, 1, 1),
    ],
  },
  {
    id: 'fishBowl',
    words: ['fish bowl', 'fishbowl'],
    front: [
      oval(0.5, 0.54, 0.5, 0.46, 0, 'glass'),
      oval(0.5, 0.6, 0.46, 0.38, 0, 'water'),
      oval(0.46, 0.6, 0.1, 0.06, 0, 'flame'),
      oval(0.5, 0.1, 0.28, 0.05, 0, 'glass'),
      oval(0.5, 0.88, 0.3, 0.07),
    ],
  },
  {
    id: 'toaster',
    words: ['toaster', 'toaster oven', 'microwave', 'bread machine'],
    plan: 'square',
    front: [
      poly([
        [0.04, 0.94],
        [0.04, 0.24],
        [0.14, 0.06],
        [0.86, 0.06],
        [0.96, 0.24],
        [0.96, 0.94],
      ]),
      box(0.2, 0, 0.8, 0.08, 0, 'dark'),
      box(0.92, 0.36, 1, 0.48, 0, 'dark'),
      box(0.08, 0.94, 0.18, 1, 0, 'dark'),
      box(0.82, 0.94, 0.92, 1, 0, 'dark'),
    ],
  },
  {
    id: 'mixer',
    words: ['mixer', 'stand mixer', 'sewing machine', 'blender'],
    plan: 'square',
    front: [
      poly([
        [0, 0.08],
        [0.14, 0],
        [0.9, 0.02],
        [1, 0.12],
        [0.96, 0.3],
        [0.3, 0.32],
        [0.28, 0.86],
        [0.02, 0.86],
      ]),
      box(0.62, 0.3, 0.7, 0.5, 0, 'metal'),
      poly(
        [
          [0.4, 0.5],
          [0.92, 0.5],
          [0.82, 0.84],
          [0.5, 0.84],
        ],
        0,
        'metal',
      ),
      box(0, 0.86, 0.96, 1),
    ],
  },
  {
    id: 'coffeeMaker',
    words: ['coffee maker', 'coffee machine', 'espresso machine', 'percolator'],
    plan: 'square',
    front: [
      box(0, 0, 1, 0.28),
      box(0, 0.28, 0.3, 0.9),
      poly(
        [
          [0.38, 0.4],
          [0.9, 0.4],
          [0.96, 0.86],
          [0.34, 0.86],
        ],
        0,
        'glass',
      ),
      box(0.36, 0.58, 0.94, 0.86, 0, 'stem'),
      box(0, 0.9, 1, 1),
    ],
  },
];
