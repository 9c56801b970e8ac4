import { MM_PER_INCH } from '../../kernel/units';
import { boxOf, type Outline, outlineAreaMm2, type Point, shifted } from '../../surface/outline';
import { grown, perimeterMm } from '../../surface/polygons';
import type { Build } from '../build';
import { anyFabric, cuttingCloth, SEAM_MM, THREAD_PER_METER } from '../cloth';
import { choice, length, part, work } from '../parts';

/** Stuffing by area and thickness: 450 g fill a square of 18 in, and it thickens with its smaller side (from memory). */
const GRAMS_PER_M3 = 450 / (0.4572 * 0.4572 * 0.4572);

const shapes = [
  { value: 0, label: 'round' },
  { value: 1, label: 'heart' },
  { value: 2, label: 'star' },
  { value: 3, label: 'egg' },
] as const;

/** A stuffed shape: two pieces cut by one outline, a seam's width larger all around. */
export const stuffedShape: Build = {
  id: 'stuffedShape',
  name: 'Stuffed shape',
  words: ['stuffed shape', 'heart pillow', 'star pillow', 'round cushion', 'shaped pillow'],
  family: 'cloth',
  remark: 'round, heart, star or egg: two pieces, sewn right sides in, stuffed and closed by hand',
  difficulty: 2,
  skillAsked: 'sewing around a curve',
  templateId: 'cushion',
  parameters: [
    choice('shape', 'Shape', 0, shapes),
    length('widthMm', 'Width, finished', 14 * MM_PER_INCH, 40, 900),
    length('heightMm', 'Height, finished', 14 * MM_PER_INCH, 40, 900),
  ],
  materials: [{ id: 'cloth', label: 'Cloth', kindIds: anyFabric }],
  measures: ({ widthMm = 0, heightMm = 0 }) => ({
    widthMm: Math.max(50, widthMm),
    heightMm: Math.max(50, heightMm),
    depthMm: Math.min(widthMm, heightMm) * 0.3,
  }),
  plan: ({ values: { shape = 0, widthMm = 0, heightMm = 0 } }) => {
    const finished = shapeOutline(shape, widthMm, heightMm);
    const cut = grown(finished, SEAM_MM);
    const box = boxOf(cut) ?? { left: 0, top: 0, right: widthMm, bottom: heightMm };
    const parts = [
      part('cloth', 'Front and back', box.right - box.left, box.bottom - box.top, 2, {
        turn: 'half',
        outline: shifted(cut, -box.left, -box.top),
      }),
    ];
    const seam = perimeterMm(finished) / 1000;
    const areaM2 = outlineAreaMm2(finished) * 1e-6;
    return {
      parts,
      needs: [
        { material: null, kindId: 'thread', amount: THREAD_PER_METER * seam },
        { material: null, kindId: 'fiberfill', amount: (GRAMS_PER_M3 * areaM2 * Math.min(widthMm, heightMm)) / 1000 },
      ],
      works: [
        cuttingCloth(parts, 0, 'fold the cloth right sides in, cut both pieces at once along the printed outline'),
        work({
          id: 'sew',
          kind: 'sew',
          title: 'Sew around, leave a hand’s width open; clip the curves, turn',
          hint: 'small stitches at points and dips',
          rate: 'seamMeter',
          units: seam,
          tools: ['sewingMachine', 'pins', 'scissors'],
        }),
        work({ id: 'stuff', kind: 'sew', title: 'Stuff it, points first; close it by hand', rate: 'stuff', units: 1 }),
      ],
      remarks: [],
    };
  },
};

/** Points of a curve given by its angle, as many as keep a sewn line smooth. */
const around = (at: (angle: number) => Point, count = 96): Point[] =>
  Array.from({ length: count }, (_, n) => at((n / count) * 2 * Math.PI));

/** A shape that fills a box exactly, mm; its corner lies at 0, 0. */
export function shapeOutline(shape: number, widthMm: number, heightMm: number): Outline {
  const ring = rings[shape] ?? rings[0];
  const raw: Outline = [ring?.() ?? []];
  const box = boxOf(raw);
  if (!box) return [];
  const scaleX = widthMm / (box.right - box.left);
  const scaleY = heightMm / (box.bottom - box.top);
  return raw.map((points) => points.map(([x, y]): Point => [(x - box.left) * scaleX, (y - box.top) * scaleY]));
}

/** The rings by shape: a circle, the classic sine heart, a five-pointed star, an egg narrower at its top. */
const rings: readonly (() => Point[])[] = [
  () => around((angle) => [Math.cos(angle), Math.sin(angle)]),
  () =>
    around((angle) => [
      16 * Math.sin(angle) ** 3,
      -(13 * Math.cos(angle) - 5 * Math.cos(2 * angle) - 2 * Math.cos(3 * angle) - Math.cos(4 * angle)),
    ]),
  () =>
    Array.from({ length: 10 }, (_, n): Point => {
      const radius = n % 2 === 0 ? 1 : 0.45;
      const angle = (n * Math.PI) / 5;
      return [radius * Math.sin(angle), -radius * Math.cos(angle)];
    }),
  () => around((angle) => [Math.sin(angle) * (1 - 0.18 * Math.cos(angle)), -1.3 * Math.cos(angle)]),
];
