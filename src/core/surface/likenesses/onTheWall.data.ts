import { box, type Likeness, line, oval, poly } from './likeness';

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

/** What is looked at on a wall or a mantel. */
export const onTheWall: readonly Likeness[] = [
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
];
