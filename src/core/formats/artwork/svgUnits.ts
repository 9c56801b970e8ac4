import type { Matrix } from './transform';

/** Millimeters of a pixel: SVG counts 96 of them to the inch. */
export const PX_MM = 25.4 / 96;

/** Millimeters of a unit. */
const units: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  in: 25.4,
  pt: 25.4 / 72,
  pc: 25.4 / 6,
  px: PX_MM,
  '': PX_MM,
  Q: 0.25,
};

/** A length in millimeters; null for one that depends on something else, or that cannot be read. */
export function lengthMm(text: string | undefined): number | null {
  const found = /^\s*([+-]?(?:\d+\.?\d*|\.\d+)(?:[eE][+-]?\d+)?)\s*(mm|cm|in|pt|pc|px|Q|)\s*$/.exec(text ?? '');
  const mm = found ? Number(found[1]) * (units[found[2] ?? ''] ?? Number.NaN) : Number.NaN;
  return Number.isFinite(mm) ? mm : null;
}

export interface ViewBox {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** A view box; null for one that cannot be read. */
export function viewBox(text: string | undefined): ViewBox | null {
  const [x, y, width, height, ...more] = (text ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  if (x === undefined || y === undefined || width === undefined || height === undefined || more.length > 0) return null;
  return [x, y, width, height].every(Number.isFinite) && width > 0 && height > 0 ? { x, y, width, height } : null;
}

/** A view box in its size: in the middle and in proportion, unless the file wants it stretched or at an edge. */
export function fitted(box: ViewBox, size: { widthMm: number; heightMm: number }, aspect = ''): Matrix {
  const across = size.widthMm / box.width;
  const down = size.heightMm / box.height;
  if (aspect.includes('none')) return [across, 0, 0, down, -box.x * across, -box.y * down];
  const scale = aspect.includes('slice') ? Math.max(across, down) : Math.min(across, down);
  const share = (least: RegExp, most: RegExp) => (least.test(aspect) ? 0 : most.test(aspect) ? 1 : 0.5);
  const left = (size.widthMm - box.width * scale) * share(/xMin/, /xMax/);
  const top = (size.heightMm - box.height * scale) * share(/YMin/, /YMax/);
  return [scale, 0, 0, scale, left - box.x * scale, top - box.y * scale];
}
