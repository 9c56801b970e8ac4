import type { Board } from '../surface/board';
import type { DrawnShape } from '../surface/drawing';
import type { MarkedFeature } from './spotFeatures.data';

/** One measurement that a kind of spot asks for beyond width, depth and height. */
export interface SpotMeasure {
  id: string;
  label: string;
  kind: 'length' | 'count';
  /** What is assumed while nobody has measured: millimeters or a number. */
  standard: number;
  minimum: number;
  maximum: number;
  /** Whether it is how high the spot's base is above the floor. */
  isBase?: true;
}

/** The room a sketch has, in mm: x to the right, y upward from the base (elevation) or away from the front edge (plan). */
export interface SketchRoom {
  widthMm: number;
  heightMm: number;
}

/** A spot's own measures as they are known. */
export interface SpotSize {
  widthMm: number | null;
  depthMm: number | null;
  heightMm: number | null;
  measures: Readonly<Record<string, number>>;
}

/**
 * A kind of spot: how it is seen (from the front or from above), which measures it asks for, in which words, and how
 * its surroundings are drawn behind the slots. To add one: an entry in `spotKinds.data.ts`.
 */
export interface SpotKind {
  id: string;
  name: string;
  /** Words in the name of a spot that tell its kind, each in the singular. */
  words: readonly string[];
  view: 'elevation' | 'plan';
  /** What width, depth and height mean here; null when the kind does not ask for it. */
  asks: { width: string; depth: string | null; height: string | null };
  /** Usual sizes in mm, taken while nothing is measured. */
  usual: { widthMm: number; depthMm: number; heightMm: number };
  measures: readonly SpotMeasure[];
  /** What always reaches into it, as its measures say: the screw of a drawer's knob. Placed as in the sketch. */
  intrusions?(size: SpotSize): { name: string; xMm: number; yMm: number; widthMm: number; heightMm: number }[];
  /** Boards above its base on which things stand as well, the lowest first; as it usually has them where nobody marked any. */
  boards?(room: SketchRoom, measures: Readonly<Record<string, number>>): Board[];
  /** What it always has that must stay free, beside what is marked: the door of a porch. */
  ownFeatures?(room: SketchRoom, measures: Readonly<Record<string, number>>): Omit<MarkedFeature, 'id'>[];
  /** Whether nothing hangs in it: on shelves a frame leans, since there is no wall. */
  isShelved?: true;
  /** What hangs here may reach so far beyond its sides and its top, mm; within them where nothing is said. */
  beyondMm?: number;
  /** The furniture whose top it is, as a kind of piece, where what stands on the floor beside it belongs to the look as well. */
  furniture?: string;
  /** What carries it, where it is no table on legs: the wall that goes on below, a body as wide as it, a counter. */
  carriedBy?: 'wall' | 'body' | 'counter';
  /** One sentence: what to measure, and what is forgotten most. */
  hint: string;
  /** The height of the surface above the floor, where the sketch begins; for eye heights and reach. */
  baseHeightMm: number;
  /** Shapes behind the slots in mm, y downward, in a drawing of the room's size. */
  scenery(room: SketchRoom, measures: Readonly<Record<string, number>>): DrawnShape[];
}

/** The room that the sketch of a spot has: from its measures, else from the kind's usual sizes. */
export function sketchRoom(kind: SpotKind, size: SpotSize): SketchRoom {
  const widthMm = size.widthMm ?? kind.usual.widthMm;
  const heightMm = kind.view === 'plan' ? (size.depthMm ?? kind.usual.depthMm) : (size.heightMm ?? kind.usual.heightMm);
  return { widthMm, heightMm };
}

/** A measure of a spot as known, else as usual for its kind; 0 for a measure that the kind does not have. */
export function spotMeasure(kind: SpotKind, measures: Readonly<Record<string, number>>, id: string): number {
  return measures[id] ?? kind.measures.find((measure) => measure.id === id)?.standard ?? 0;
}
