import type { Point } from '../../surface/outline';

/** x' = a·x + c·y + e, y' = b·x + d·y + f. */
export type Matrix = readonly [a: number, b: number, c: number, d: number, e: number, f: number];

export const identity: Matrix = [1, 0, 0, 1, 0, 0];

/** The second matrix is applied first: what stands inside is moved by its own, then by its parent's. */
export function times([a, b, c, d, e, f]: Matrix, [g, h, i, j, k, l]: Matrix): Matrix {
  return [a * g + c * h, b * g + d * h, a * i + c * j, b * i + d * j, a * k + c * l + e, b * k + d * l + f];
}

export const moved = ([a, b, c, d, e, f]: Matrix, [x, y]: Point): Point => [a * x + c * y + e, b * x + d * y + f];

/** How much a matrix stretches lengths at the most. */
export const stretch = ([a, b, c, d]: Matrix): number => Math.max(Math.hypot(a, b), Math.hypot(c, d));

const radians = (degrees: number): number => (degrees * Math.PI) / 180;
const turn = (degrees: number): Matrix => {
  const [cos, sin] = [Math.cos(radians(degrees)), Math.sin(radians(degrees))];
  return [cos, sin, -sin, cos, 0, 0];
};

/** Each function of a transform: how many numbers it takes, and its matrix. */
const functions: Readonly<Record<string, { counts: readonly number[]; matrix(p: readonly number[]): Matrix }>> = {
  matrix: { counts: [6], matrix: ([a = 1, b = 0, c = 0, d = 1, e = 0, f = 0]) => [a, b, c, d, e, f] },
  translate: { counts: [1, 2], matrix: ([x = 0, y = 0]) => [1, 0, 0, 1, x, y] },
  scale: { counts: [1, 2], matrix: ([x = 1, y = x]) => [x, 0, 0, y, 0, 0] },
  rotate: {
    counts: [1, 3],
    matrix: ([degrees = 0, x = 0, y = 0]) => times(times([1, 0, 0, 1, x, y], turn(degrees)), [1, 0, 0, 1, -x, -y]),
  },
  skewX: { counts: [1], matrix: ([degrees = 0]) => [1, 0, Math.tan(radians(degrees)), 1, 0, 0] },
  skewY: { counts: [1], matrix: ([degrees = 0]) => [1, Math.tan(radians(degrees)), 0, 1, 0, 0] },
};

/**
 * A transform as SVG writes it: functions one after the other, the last applied first.
 * @returns null where it cannot be read
 */
export function readTransform(text: string): Matrix | null {
  let matrix = identity;
  const rest = text.replace(/([a-zA-Z]+)\s*\(([^()]*)\)[\s,]*/g, (_all, name: string, inside: string) => {
    const known = functions[name];
    const numbers = inside
      .trim()
      .split(/[\s,]+/)
      .filter((word) => word !== '')
      .map(Number);
    if (!known?.counts.includes(numbers.length) || !numbers.every(Number.isFinite)) return '?';
    matrix = times(matrix, known.matrix(numbers));
    return '';
  });
  return rest.trim() === '' && matrix.every(Number.isFinite) ? matrix : null;
}
