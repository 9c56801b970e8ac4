import { type Outline, type Point, roundRing } from '../outline';

/**
 * What is printed on a paper or cloth, told by the words of its design: a motif in a square of one by one, y down, and
 * how large it usually is. Choices for the eye: they tell papers apart, they do not copy any.
 */
export interface Motif {
  id: string;
  words: readonly string[];
  /** From one motif to the next, mm. */
  repeatMm: number;
  /** Goes on from one to the next without a gap: a stripe, a check. */
  isAllOver?: boolean;
  /** Every second row is moved by half a repeat. */
  isHalfDrop: boolean;
  outline: Outline;
}

const leaf = (cx: number, cy: number, long: number, wide: number, degrees: number): Point[] => {
  const angle = (degrees * Math.PI) / 180;
  return Array.from({ length: 12 }, (_, n): Point => {
    const t = (2 * Math.PI * n) / 12;
    // Pointed at both ends.
    const along = (Math.cos(t) * long) / 2;
    const across = (Math.sin(t) * Math.abs(Math.sin(t)) * wide) / 2;
    return [
      cx + along * Math.cos(angle) - across * Math.sin(angle),
      cy + along * Math.sin(angle) + across * Math.cos(angle),
    ];
  });
};

const bar = (left: number, top: number, right: number, bottom: number): Point[] => [
  [left, top],
  [right, top],
  [right, bottom],
  [left, bottom],
];

const star = (points: number, outer: number, inner: number): Point[] =>
  Array.from({ length: points * 2 }, (_, n): Point => {
    const angle = (Math.PI * n) / points - Math.PI / 2;
    const radius = n % 2 === 0 ? outer : inner;
    return [0.5 + radius * Math.cos(angle), 0.5 + radius * Math.sin(angle)];
  });

const flower = (cx: number, cy: number, radius: number): Point[][] =>
  [0, 72, 144, 216, 288].map((degrees) => {
    const angle = (degrees * Math.PI) / 180;
    return roundRing(cx + radius * 0.55 * Math.cos(angle), cy + radius * 0.55 * Math.sin(angle), radius * 0.4).map(
      ([x, y]): Point => [x, y],
    );
  });

/** The first whose word a design names; the last where none does. */
export const motifs: readonly Motif[] = [
  {
    id: 'stripe',
    isAllOver: true,
    words: ['stripe', 'stripes', 'striped', 'ticking'],
    repeatMm: 30,
    isHalfDrop: false,
    outline: [bar(0.3, 0, 0.7, 1)],
  },
  {
    id: 'check',
    isAllOver: true,
    words: ['check', 'checks', 'checked', 'gingham', 'plaid', 'tartan', 'buffalo'],
    repeatMm: 36,
    isHalfDrop: false,
    outline: [bar(0, 0, 0.5, 0.5), bar(0.5, 0.5, 1, 1)],
  },
  {
    id: 'dot',
    words: ['dot', 'dots', 'dotted', 'polka', 'spot', 'spotted', 'speckle', 'speckled'],
    repeatMm: 28,
    isHalfDrop: true,
    outline: [roundRing(0.5, 0.5, 0.24)],
  },
  {
    id: 'script',
    words: [
      'script',
      'writing',
      'music',
      'sheet music',
      'book',
      'page',
      'pages',
      'newspaper',
      'letter',
      'map',
      'atlas',
    ],
    repeatMm: 26,
    isHalfDrop: false,
    outline: [bar(0.05, 0.18, 0.92, 0.26), bar(0.05, 0.48, 0.8, 0.56), bar(0.05, 0.78, 0.95, 0.86)],
  },
  {
    id: 'star',
    words: ['star', 'stars', 'starry', 'snow', 'snowflake', 'snowflakes', 'christmas'],
    repeatMm: 48,
    isHalfDrop: true,
    outline: [star(5, 0.3, 0.12)],
  },
  {
    id: 'brick',
    isAllOver: true,
    words: ['brick', 'tile', 'tiles', 'tiled', 'subway', 'azulejo', 'mosaic'],
    repeatMm: 60,
    isHalfDrop: true,
    outline: [bar(0.02, 0.06, 0.98, 0.12), bar(0.02, 0.12, 0.06, 1)],
  },
  {
    id: 'flower',
    words: [
      'flower',
      'flowers',
      'floral',
      'rose',
      'roses',
      'peony',
      'poppy',
      'blossom',
      'bloom',
      'blooms',
      'daisy',
      'toile',
      'chintz',
      'hydrangea',
      'lavender',
    ],
    repeatMm: 60,
    isHalfDrop: true,
    outline: [...flower(0.42, 0.4, 0.26), leaf(0.74, 0.68, 0.36, 0.26, 35), leaf(0.3, 0.78, 0.3, 0.22, 130)],
  },
  {
    id: 'leaf',
    words: [
      'leaf',
      'leaves',
      'botanical',
      'fern',
      'palm',
      'jungle',
      'willow',
      'ivy',
      'olive',
      'eucalyptus',
      'branch',
      'branches',
      'tree',
      'forest',
      'herb',
      'herbs',
    ],
    repeatMm: 54,
    isHalfDrop: true,
    outline: [leaf(0.34, 0.34, 0.5, 0.3, 60), leaf(0.66, 0.4, 0.46, 0.28, -55), leaf(0.5, 0.74, 0.42, 0.26, 90)],
  },
  {
    id: 'sprig',
    words: [],
    repeatMm: 46,
    isHalfDrop: true,
    outline: [leaf(0.5, 0.46, 0.5, 0.16, -72), leaf(0.36, 0.52, 0.3, 0.18, 28), leaf(0.66, 0.5, 0.3, 0.18, -30)],
  },
];

/** The motif of a design, by its words. */
export function motifOf(design: string): Motif {
  const said = ` ${design.toLowerCase().replace(/[^a-z]+/g, ' ')} `;
  return motifs.find(({ words }) => words.some((word) => said.includes(` ${word} `))) ?? (motifs.at(-1) as Motif);
}
