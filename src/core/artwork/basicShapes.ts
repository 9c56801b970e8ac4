import type { Outline, Point } from '../surface/outline';
import { outlineOfSvgPath } from './svgOutline';

/** One shape that is drawn by its size. */
interface BasicShape {
  id: string;
  name: string;
  /** Its path in a box of 100 by 100; it is stretched to its size. */
  path: string;
}

/** A point on a circle about the middle of that box. */
const at = (angle: number, radius: number): string =>
  `${50 + radius * Math.sin(angle)} ${50 - radius * Math.cos(angle)}`;
const polygon = (corners: number, inner: number | null = null): string => {
  const count = inner === null ? corners : 2 * corners;
  return `M${Array.from({ length: count }, (_, n) => at((2 * Math.PI * n) / count, inner !== null && n % 2 === 1 ? inner : 50)).join('L')}Z`;
};

/** Shapes to cut without a drawing. */
export const basicShapes: readonly BasicShape[] = [
  { id: 'rectangle', name: 'Rectangle', path: 'M0 0H100V100H0Z' },
  {
    id: 'rounded',
    name: 'Rounded label',
    path: 'M15 0H85A15 15 0 0 1 100 15V85A15 15 0 0 1 85 100H15A15 15 0 0 1 0 85V15A15 15 0 0 1 15 0Z',
  },
  { id: 'circle', name: 'Circle or oval', path: 'M50 0A50 50 0 0 1 50 100A50 50 0 0 1 50 0Z' },
  {
    id: 'ring',
    name: 'Ring',
    path: 'M50 0A50 50 0 0 1 50 100A50 50 0 0 1 50 0ZM50 12A38 38 0 0 0 50 88A38 38 0 0 0 50 12Z',
  },
  { id: 'tag', name: 'Tag with a hole', path: 'M25 0H75L100 30V100H0V30ZM50 12A7 7 0 0 0 50 26A7 7 0 0 0 50 12Z' },
  {
    id: 'heart',
    name: 'Heart',
    path: 'M50 100C20 72 0 52 0 28C0 11 12 0 26 0C37 0 46 7 50 17C54 7 63 0 74 0C88 0 100 11 100 28C100 52 80 72 50 100Z',
  },
  { id: 'star', name: 'Star', path: polygon(5, 20) },
  { id: 'hexagon', name: 'Hexagon', path: polygon(6) },
  { id: 'leaf', name: 'Leaf', path: 'M50 0C85 25 95 65 50 100C5 65 15 25 50 0Z' },
  { id: 'arch', name: 'Arch', path: 'M0 100V50A50 50 0 0 1 100 50V100Z' },
];

/**
 * A basic shape at a size, mm; it fills its box.
 * @returns an outline without rings for a shape that is not known
 */
export function basicOutline(id: string, widthMm: number, heightMm: number): Outline {
  const shape = basicShapes.find((entry) => entry.id === id);
  if (!shape) return [];
  // Fine enough for what it is stretched to.
  const raw = outlineOfSvgPath(shape.path, 5 / Math.max(100, widthMm, heightMm));
  const points = raw.flat();
  const [left, right] = [Math.min(...points.map(([x]) => x)), Math.max(...points.map(([x]) => x))];
  const [top, bottom] = [Math.min(...points.map(([, y]) => y)), Math.max(...points.map(([, y]) => y))];
  const move = ([x, y]: Point): Point => [
    ((x - left) / (right - left)) * widthMm,
    ((y - top) / (bottom - top)) * heightMm,
  ];
  return raw.map((ring) => ring.map(move));
}
