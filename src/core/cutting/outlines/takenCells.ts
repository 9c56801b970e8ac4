import type { Raster, Stretch } from './raster';

/** The cells of a room that are taken; it grows along its length as far as anything is laid. */
export class TakenCells {
  private readonly words: number;
  private rows: Int32Array[] = [];

  constructor(columns: number) {
    // One word more than the room is wide, so that a shifted word always has a neighbor.
    this.words = ((columns + 31) >> 5) + 2;
  }

  private row(y: number): Int32Array {
    for (let n = this.rows.length; n <= y; n += 1) this.rows.push(new Int32Array(this.words));
    return this.rows[y] ?? new Int32Array(this.words);
  }

  /** The last taken cell of a row between two columns; −1 where none is. */
  private lastTaken(row: Int32Array, from: number, to: number): number {
    const first = from >> 5;
    for (let n = Math.min(to >> 5, this.words - 1); n >= first; n -= 1) {
      let word = row[n] ?? 0;
      if (word === 0) continue;
      // The columns of the first and the last word that lie between the two.
      if (n === to >> 5 && (to & 31) !== 31) word &= (1 << ((to & 31) + 1)) - 1;
      if (n === first) word &= -1 << (from & 31);
      if (word !== 0) return n * 32 + 31 - Math.clz32(word);
    }
    return -1;
  }

  /**
   * The next column where a shape may lie beside what one of its unbroken stretches meets at this one; the column itself
   * where none meets anything. Every column between has that stretch over the same taken cell.
   */
  nextFree(stretches: readonly Stretch[], x: number, y: number): number {
    for (const { row: line, from, to } of stretches) {
      const row = this.rows[y + line];
      if (!row) continue;
      const met = this.lastTaken(row, x + from, x + to);
      if (met >= 0) return met - from + 1;
    }
    return x;
  }

  /** Whether a shape with its corner at a cell meets anything. */
  meets(shape: Raster, order: readonly number[], x: number, y: number): boolean {
    const { words, bits } = shape;
    const at = x >> 5;
    const shift = x & 31;
    for (const line of order) {
      const row = this.rows[y + line];
      if (!row) continue;
      for (let n = 0; n < words; n += 1) {
        const word = bits[line * words + n] ?? 0;
        if (word === 0) continue;
        if (((row[at + n] ?? 0) & (word << shift)) !== 0) return true;
        if (shift > 0 && ((row[at + n + 1] ?? 0) & (word >>> (32 - shift))) !== 0) return true;
      }
    }
    return false;
  }

  /** Takes the cells of a shape with its corner at a cell, which may lie outside; what lies outside is left out. */
  take(shape: Raster, x: number, y: number): void {
    for (let line = 0; line < shape.rows; line += 1) {
      if (y + line < 0) continue;
      const row = this.row(y + line);
      for (let n = 0; n < shape.words; n += 1) {
        const word = shape.bits[line * shape.words + n] ?? 0;
        if (word === 0) continue;
        const first = x + n * 32;
        const at = first >> 5;
        const shift = first & 31;
        if (at >= 0 && at < this.words) row[at] = (row[at] ?? 0) | (word << shift);
        if (shift > 0 && at + 1 >= 0 && at + 1 < this.words) row[at + 1] = (row[at + 1] ?? 0) | (word >>> (32 - shift));
      }
    }
  }
}
