import type { Placement } from './layout';
import type { CountedPart, Part } from './part';

/** One of the parts to cut. */
export interface Piece {
  part: Part;
  /** Which of the parts of its key it is, from 1. */
  nth: number;
}

/** Every part of a bag by itself, in the order of the bag. */
export function piecesOf(bag: readonly CountedPart[]): Piece[] {
  return bag.flatMap(({ part, count }) => Array.from({ length: count }, (_, n) => ({ part, nth: n + 1 })));
}

/** The room that a unit gives, margins taken off; `lengthMm` may be Infinity. */
export interface Room {
  widthMm: number;
  lengthMm: number;
}

/** A piece as it was laid in a room, mm from the room's corner. */
export interface Laid extends Pick<Placement, 'xMm' | 'yMm' | 'widthMm' | 'lengthMm' | 'turnedDeg'> {
  /** Its place in the list of pieces. */
  piece: number;
}

/** What was laid in a room, and how far along it that reaches, mm. */
export interface Filled {
  laid: Laid[];
  usedMm: number;
}

/** Lays pieces into one room after the other: boxes, or true outlines. */
export interface Filler {
  /**
   * @param pinned what lies in the room already
   * @param order pieces that may be laid, in the order in which they are tried; what is laid is taken out of it
   */
  fill(room: Room, pinned: readonly Laid[], order: number[]): Filled;
  /** Whether a piece fits into an empty room at all. */
  fits(piece: number, room: Room): boolean;
  /** Orders worth beginning with. */
  firstOrders(): number[][];
}
