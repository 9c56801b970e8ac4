import { uuid } from '@core/fixtures/following';
import { lookRows, thing, verdictsOf } from '@core/fixtures/lookRows';
import { slot } from '@core/fixtures/projectRows';
import { MM_PER_INCH } from '@core/kernel/units';
import type { LookPieceRow, ProjectRows, SpotFeature } from '@core/model/rows';
import { describe, expect, it } from 'vitest';
import { isOpen } from './checkLook';

const inch = (n: number) => n * MM_PER_INCH;
const console48 = { kind: 'console', widthMm: inch(48), depthMm: inch(14), heightMm: inch(72) } as const;
const table = { kind: 'diningTable', widthMm: inch(72), depthMm: inch(38) } as const;
const wall = { kind: 'wall', widthMm: inch(120), heightMm: inch(96) } as const;
const hangs: Partial<LookPieceRow> = { stance: 'hangs' };
const print = (name: string, width: number, height: number, x: number, foot: number) =>
  thing(name, 'pictureFrame', [inch(width), inch(height), 20], [inch(x), inch(foot)], hangs);
const feature = (kind: SpotFeature['kind'], x: number, y: number, width: number, height: number): SpotFeature => ({
  id: uuid(700),
  kind,
  name: '',
  xMm: x,
  yMm: y,
  widthMm: width,
  heightMm: height,
});

/**
 * Where each rule begins and ends, with the figures of figures.md 8 and 10: values at which it holds, and values at which it
 * asks for another look.
 */
const edges: readonly [
  rule: string,
  what: string,
  look: (value: number) => ProjectRows,
  holds: readonly number[],
  asks: readonly number[],
][] = [
  [
    'gapOver',
    'inches over a console: 6 to 10',
    (gap) => lookRows(console48, [print('Print', 30, 20, 9, gap)]),
    [6, 8, 10],
    [5, 11, 20],
  ],
  [
    'gapOver',
    'inches over a mantel: 3 to 6',
    (gap) => lookRows({ kind: 'mantel', widthMm: inch(60), heightMm: inch(44) }, [print('Print', 36, 20, 12, gap)]),
    [3, 4, 6],
    [2, 7],
  ],
  [
    'artWidth',
    'inches of art over 48 in: a half to three quarters',
    (width) => lookRows(console48, [print('Print', width, 20, 24 - width / 2, 8)]),
    [24, 32, 36],
    [18, 22, 40],
  ],
  [
    'artHeight',
    'inches of the middle above the floor: 57, others to 60, seated 4 lower',
    (middle) => lookRows(wall, [print('Print', 20, 20, 50, middle - 10)]),
    [53, 57, 58, 60],
    [50, 63, 70],
  ],
  [
    'galleryGaps',
    'inches between frames: 1 1/2 to 6',
    (gap) =>
      lookRows(
        wall,
        [0, 1, 2].map((n) => print(`Print ${n}`, 12, 16, 30 + n * (12 + gap), 49)),
      ),
    [1.5, 2.5, 3, 6],
    [1, 7],
  ],
  [
    'galleryGaps',
    'inches by which one gap differs: a quarter',
    (more) =>
      lookRows(wall, [print('A', 12, 16, 30, 49), print('B', 12, 16, 44.5, 49), print('C', 12, 16, 59 + more, 49)]),
    [0, 0.25],
    [0.5, 1],
  ],
  [
    'lampAndShade',
    'height of the shade on a base of 400 mm, as wide as that: 0.6 to 0.75',
    (height) =>
      lookRows(console48, [
        thing('Brass lamp', 'lampBase', [150, 400, 150], [300], { id: uuid(1) }),
        thing('Lamp shade', 'lampShade', [400, height, 400], [175, 400], { id: uuid(2), onId: uuid(1) }),
      ]),
    [240, 270, 300],
    [200, 340],
  ],
  [
    'lampHeight',
    'inches of a shade’s edge above the floor: 40 to 44',
    (edge) =>
      lookRows({ ...console48, measures: { surfaceHeightMm: inch(30) } }, [
        thing('Brass lamp', 'lampBase', [150, inch(edge - 30), 150], [300], { id: uuid(1) }),
        thing('Lamp shade', 'lampShade', [300, 200, 300], [225, inch(edge - 30)], { id: uuid(2), onId: uuid(1) }),
      ]),
    [40, 42, 44],
    [37, 48],
  ],
  [
    'stemsInVase',
    'how many times its vase the stems reach over it: 1 to 2.5',
    (times) =>
      lookRows(console48, [
        thing('Blue vase', 'vase', [150, 300, 150], [300], { id: uuid(1) }),
        thing('Birch branches', 'foliage', [150, 300 + 300 * times, 150], [300], { id: uuid(2) }),
      ]),
    [1, 1.5, 2.5],
    [0.5, 3],
  ],
  [
    'sightLine',
    'inches of a centerpiece: up to 14',
    (height) => lookRows(table, [thing('Bowl', 'planter', [inch(8), inch(height), inch(8)], [inch(32), 0, inch(15)])]),
    [8, 12, 14],
    [16, 30],
  ],
  [
    'placeSettings',
    'inches from plate to plate: 20 at least',
    (apart) =>
      lookRows(
        table,
        [0, 1].map((n) => thing('Dinner plate', 'plate', [265, 20, 265], [inch(5 + n * apart), 0, 20])),
      ),
    [20, 24, 30],
    [15, 18],
  ],
  [
    'runnerOverhang',
    'inches over each end: 6 to 12',
    (over) =>
      lookRows(table, [
        thing('Table runner', 'flatCloth', [inch(72 + 2 * over), 2, inch(13)], [inch(-over), 0, inch(12)], {
          stance: 'lies',
        }),
      ]),
    [6, 8, 12],
    [2, 15],
  ],
  [
    'rugBorder',
    'inches of floor around a rug: 8 at least',
    (border) =>
      lookRows({ kind: 'floorArea', widthMm: inch(120), depthMm: inch(96) }, [
        thing('Jute rug', 'rug', [inch(120 - 2 * border), 10, inch(96 - 2 * border)], [inch(border), 0, inch(border)], {
          stance: 'lies',
        }),
      ]),
    [8, 18, 20],
    [2, 6],
  ],
  [
    'curtainRod',
    'inches above the frame: 4 and more',
    (over) =>
      lookRows({ ...wall, features: [feature('window', 1000, 800, 900, 1000)] }, [
        thing('Linen curtain', 'curtain', [400, 1500, 60], [700, 1800 + inch(over) - 1500], hangs),
      ]),
    [4, 6, 10],
    [0, 2],
  ],
  [
    'wreathSize',
    'inches of a wreath on a door of 36 in: about two thirds',
    (across) =>
      lookRows({ kind: 'porch', features: [feature('door', 800, 0, inch(36), 2000)] }, [
        thing('Fir wreath', 'wreath', [inch(across), inch(across), 60], [900, inch(60 - across / 2)], hangs),
      ]),
    [18, 24, 28],
    [12, 34],
  ],
  [
    'ornamentsPerFoot',
    'ornaments on a tree of 7 ft: 8 to 20 a foot',
    (count) =>
      lookRows(wall, [thing('Christmas tree', 'foliage', [1200, inch(84), 1000], [300])], {
        slots: [slot(uuid(300), { name: 'Ornaments', quantity: count })],
      }),
    [56, 84, 140],
    [40, 160],
  ],
  [
    'openFlame',
    'inches from a flame to what burns: 12',
    (apart) =>
      lookRows(console48, [
        thing('Pillar candle', 'candle', [75, 150, 75], [200]),
        thing('Dried stems', 'foliage', [150, 400, 150], [275 + inch(apart)]),
      ]),
    [12, 20],
    [2, 11],
  ],
  [
    'heatNear',
    'inches from a heater to paper: 12',
    (apart) =>
      lookRows({ ...console48, features: [feature('heater', 0, 0, 300, 400)] }, [
        thing('Paper stars', 'freeBox', [200, 200, 60], [300 + inch(apart)]),
      ]),
    [12, 20],
    [2, 10],
  ],
  [
    'anchored',
    'inches of a dresser: from 27 in on it is anchored',
    (height) => lookRows(wall, [thing('Pine dresser', 'dresser', [1000, inch(height), 457], [300])]),
    [20, 26],
    [27, 32],
  ],
  [
    'heightSteps',
    'height beside 300 mm: a step of a third',
    (height) =>
      lookRows(console48, [
        thing('A', 'freeBox', [150, 300, 100], [100]),
        thing('B', 'freeBox', [150, height, 100], [500]),
        thing('C', 'freeBox', [150, 90, 100], [900]),
      ]),
    [200, 150, 460],
    [210, 290, 400],
  ],
  [
    'keptClear',
    'mm from the frame of a door of 762 mm: 2 in beyond it stay free',
    (apart) =>
      lookRows({ ...console48, features: [feature('door', 700, 0, 762, 1400)] }, [
        thing('Vase', 'vase', [150, 300, 150], [700 - 150 - apart]),
      ]),
    [51, 100],
    [0, 40],
  ],
  [
    'cordReach',
    'mm that a cord reaches, over 500: as the brief says',
    (reach) =>
      lookRows(
        { ...console48, features: [feature('socket', 800, 0, 80, 120)] },
        [thing('Brass lamp', 'lampBase', [150, 400, 150], [200])],
        { household: { cordReachMm: reach } },
      ),
    [640, 1000],
    [300, 500],
  ],
  [
    'smallHands',
    'age of the youngest, with glass at hand: under six',
    (years) =>
      lookRows(console48, [thing('Glass jar', 'jar', [110, 180, 110], [300])], {
        household: { youngestChildYears: years },
      }),
    [6, 10],
    [1, 5],
  ],
];

const asks = (rows: ProjectRows, rule: string) =>
  verdictsOf(rows).some((verdict) => verdict.check.id === rule && isOpen(verdict));

describe.each(edges)('%s, %s', (rule, _what, look, holds, wants) => {
  it.each(holds)('holds at %d', (value) => expect(asks(look(value), rule)).toBe(false));
  it.each(wants)('asks for another look at %d', (value) => expect(asks(look(value), rule)).toBe(true));
});

describe('the school in force', () => {
  const pair = (grouping: 'odd' | 'free') =>
    lookRows(
      console48,
      [100, 400].map((x) => thing('Lantern', 'lantern', [100, 300, 100], [x])),
      { brief: { grouping } },
    );
  it('decides whether even groups are remarked on', () => {
    expect(asks(pair('odd'), 'oddGroup')).toBe(true);
    expect(asks(pair('free'), 'oddGroup')).toBe(false);
  });

  it('decides how much air is enough', () => {
    const full = (amount: 'pareBack' | 'layerUp') =>
      lookRows(
        console48,
        [0, 420, 840].map((x) => thing('Box', 'freeBox', [270, 300, 100], [x])),
        { brief: { amount } },
      );
    // 66 % covered: 34 % of air is enough to layer up, and too little to pare back.
    expect(asks(full('layerUp'), 'air')).toBe(false);
    expect(asks(full('pareBack'), 'air')).toBe(true);
  });

  it('decides whether sides shall mirror each other', () => {
    const mirrored = (arranging: 'mirror' | 'uneven') =>
      lookRows(
        console48,
        [
          thing('A', 'freeBox', [150, 300, 100], [100]),
          thing('B', 'freeBox', [150, 300, 100], [970]),
          thing('C', 'freeBox', [150, 80, 100], [535]),
        ],
        { brief: { arranging } },
      );
    expect(asks(mirrored('mirror'), 'balance')).toBe(false);
    // A look that mirrors is remarked on where it shall be uneven, and asks for nothing.
    expect(asks(mirrored('uneven'), 'balance')).toBe(false);
    expect(verdictsOf(mirrored('uneven')).find(({ check }) => check.id === 'balance')?.state).toBe('note');
  });
});
