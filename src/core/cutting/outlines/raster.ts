import type { Outline } from '../../surface/outline';

/** Cells of a grid, a bit each, 32 to a word; the bit of column x of row y stands in word x >> 5 of that row. */
export interface Raster {
  columns: number;
  rows: number;
  words: number;
  bits: Int32Array;
}

function emptyRaster(columns: number, rows: number): Raster {
  const words = (columns + 31) >> 5;
  return { columns, rows, words, bits: new Int32Array(words * rows) };
}

const set = ({ bits, words }: Raster, x: number, y: number): void => {
  const at = y * words + (x >> 5);
  bits[at] = (bits[at] ?? 0) | (1 << (x & 31));
};

const isSet = ({ bits, words }: Raster, x: number, y: number): boolean =>
  ((bits[y * words + (x >> 5)] ?? 0) & (1 << (x & 31))) !== 0;

/** Every cell that a line passes through. */
function markLine(raster: Raster, cell: number, from: readonly [number, number], to: readonly [number, number]): void {
  const [x1, y1] = [from[0] / cell, from[1] / cell];
  const [x2, y2] = [to[0] / cell, to[1] / cell];
  const clampX = (x: number) => Math.min(raster.columns - 1, Math.max(0, Math.floor(x)));
  const clampY = (y: number) => Math.min(raster.rows - 1, Math.max(0, Math.floor(y)));
  const [top, bottom] = [Math.min(y1, y2), Math.max(y1, y2)];
  for (let row = clampY(top); row <= clampY(bottom); row += 1) {
    // The stretch of the line within this row of cells.
    const [begin, end] = [Math.max(top, row), Math.min(bottom, row + 1)];
    const at = (y: number) => (y2 === y1 ? x1 : x1 + ((x2 - x1) * (y - y1)) / (y2 - y1));
    const [one, other] = y2 === y1 ? [x1, x2] : [at(begin), at(end)];
    for (let x = clampX(Math.min(one, other)); x <= clampX(Math.max(one, other)); x += 1) set(raster, x, row);
  }
}

/**
 * The cells that an outline touches, its inside with them, so that whatever keeps clear of the cells keeps clear of it.
 * @param outline in its box, whose corner is at 0, 0
 * @param cell the side of a cell, mm
 */
export function rasterOf(outline: Outline, widthMm: number, lengthMm: number, cell: number): Raster {
  const raster = emptyRaster(
    Math.max(1, Math.ceil(widthMm / cell - 1e-9)),
    Math.max(1, Math.ceil(lengthMm / cell - 1e-9)),
  );
  for (let row = 0; row < raster.rows; row += 1) {
    const y = (row + 0.5) * cell;
    const crossings: number[] = [];
    for (const ring of outline)
      for (let n = 0, before = ring.length - 1; n < ring.length; before = n, n += 1) {
        const [x1, y1] = ring[n] ?? [0, 0];
        const [x2, y2] = ring[before] ?? [0, 0];
        if (y1 > y !== y2 > y) crossings.push(((x2 - x1) * (y - y1)) / (y2 - y1) + x1);
      }
    crossings.sort((a, b) => a - b);
    for (let n = 0; n + 1 < crossings.length; n += 2) {
      const first = Math.max(0, Math.ceil((crossings[n] ?? 0) / cell - 0.5));
      const last = Math.min(raster.columns - 1, Math.floor((crossings[n + 1] ?? 0) / cell - 0.5));
      for (let x = first; x <= last; x += 1) set(raster, x, row);
    }
  }
  for (const ring of outline)
    ring.forEach((point, n) => {
      const next = ring[(n + 1) % ring.length];
      if (next) markLine(raster, cell, point, next);
    });
  return raster;
}

/** A raster with everything that comes closer to it than so many cells; it grows by as many on every side. */
export function grown(raster: Raster, cells: number): Raster {
  const wide = emptyRaster(raster.columns + 2 * cells, raster.rows + 2 * cells);
  // Two cells whose centers are d apart hold points as close as d less the diagonal of a cell.
  const reach: number[] = [];
  for (let dy = -cells; dy <= cells; dy += 1) {
    const gap = Math.max(0, Math.abs(dy) - 1);
    let dx = 0;
    while (dx < cells && Math.hypot(dx, gap) < cells) dx += 1;
    reach.push(dx);
  }
  for (let y = 0; y < raster.rows; y += 1)
    for (let x = 0; x < raster.columns; x += 1) {
      if (!isSet(raster, x, y)) continue;
      reach.forEach((dx, n) => {
        for (let column = x + cells - dx; column <= x + cells + dx; column += 1) set(wide, column, y + n);
      });
    }
  return wide;
}

/** Cells of one row of a shape that follow each other, from a column to a column. */
export interface Stretch {
  row: number;
  from: number;
  to: number;
}

/** The longest unbroken stretch of each row, the longest first: they meet something soonest. */
export function longestStretches(raster: Raster): Stretch[] {
  const stretches: Stretch[] = [];
  for (let row = 0; row < raster.rows; row += 1) {
    let best: Stretch | null = null;
    let begun = -1;
    for (let x = 0; x <= raster.columns; x += 1) {
      const here = x < raster.columns && isSet(raster, x, row);
      if (here && begun < 0) begun = x;
      if (!here && begun >= 0) {
        if (best === null || x - 1 - begun > best.to - best.from) best = { row, from: begun, to: x - 1 };
        begun = -1;
      }
    }
    if (best) stretches.push(best);
  }
  return stretches.sort((a, b) => b.to - b.from - (a.to - a.from) || a.row - b.row);
}
