import { boxOf, doubleArea, type Outline, type Point, rectangleOutline, shifted } from '../surface/outline';
import { grown, welded, without } from '../surface/polygons';
import { isScript } from './fonts.data';
import { outlineOfPath, PathError } from './pathOutline';

/** A shape or a lettering as it is kept: its outlines by color, in true millimeters. */
export interface Artwork {
  id: string;
  name: string;
  widthMm: number;
  heightMm: number;
  layers: readonly { name: string; colorCardId: string | null; path: string }[];
  text: { words: string; fontId: string; letterHeightMm: number } | null;
}

/** A shape ready to be cut: in its box, from the box's corner. */
export interface CutShape {
  widthMm: number;
  heightMm: number;
  /** What of the film it takes: its own outline. */
  outline: Outline;
  /** What the blade follows: the outline, and the marks or the border with it. */
  lines: Outline;
  /** Letters that are weeded one by one; 0 for a drawing. */
  letters: number;
  letterHeightMm: number;
  /** Whether the letters are joined. */
  isScript: boolean;
}

/** How a shape is cut. */
export interface CutAs {
  /** Which of its colors, from 1; 0 for all of them in one film. */
  color: number;
  /** Of the size that it was drawn in, as a factor. */
  scale: number;
  /** Whether it is cut mirrored, to be pressed on from its back. */
  isMirrored: boolean;
  /** A frame cut around it, so far from it, mm; 0 for none. */
  borderMm: number;
}

/** Marks by which colors are laid over each other: squares beside the shape, cut in every color. */
export const MARK = { sideMm: 5, awayMm: 3 } as const;

const weldedLayers = new WeakMap<object, Outline>();

/** One color of an artwork, welded: nothing of it overlaps. A path that cannot be read is nothing. */
export function layerOutline(layer: Artwork['layers'][number]): Outline {
  let outline = weldedLayers.get(layer);
  if (outline === undefined) {
    outline = readable(layer.path);
    weldedLayers.set(layer, outline);
  }
  return outline;
}

function readable(path: string): Outline {
  try {
    // Kept paths are welded: what lies inside an odd number of their rings belongs to them.
    return welded(outlineOfPath(path), 'evenOdd');
  } catch (error) {
    if (error instanceof PathError) return [];
    throw error;
  }
}

const shapes = new WeakMap<readonly object[], Map<string, CutShape | null>>();

/**
 * A shape as it is cut from one film.
 * @returns null where there is nothing to cut: no such color, or no outline
 */
export function shapeToCut(artwork: Artwork, as: CutAs): CutShape | null {
  let known = shapes.get(artwork.layers);
  if (!known) {
    known = new Map();
    shapes.set(artwork.layers, known);
  }
  const key = `${as.color} ${as.scale} ${as.isMirrored} ${as.borderMm} ${artwork.text?.words ?? ''}`;
  let shape = known.get(key);
  if (shape === undefined) {
    shape = cutShape(artwork, as);
    known.set(key, shape);
  }
  return shape;
}

function cutShape(artwork: Artwork, { color, scale, isMirrored, borderMm }: CutAs): CutShape | null {
  const taken = color === 0 ? artwork.layers : artwork.layers.slice(color - 1, color);
  const drawn = color === 0 ? welded(taken.flatMap(layerOutline), 'nonZero') : taken.flatMap(layerOutline);
  if (drawn.length === 0) return null;
  // Colors cut apart keep the box of all of them, and marks beside it, so that they meet again.
  const isApart = color > 0 && artwork.layers.length > 1;
  const whole = boxOf(isApart ? artwork.layers.flatMap(layerOutline) : drawn);
  if (!whole) return null;
  const height = whole.bottom - whole.top;
  const marks = isApart
    ? [whole.left - (MARK.awayMm + MARK.sideMm) / scale, whole.right + MARK.awayMm / scale].flatMap((x) =>
        rectangleOutline(x, whole.top + height / 2 - MARK.sideMm / 2 / scale, MARK.sideMm / scale, MARK.sideMm / scale),
      )
    : [];
  const outline = sized([...drawn, ...marks], scale, isMirrored);
  const box = boxOf(outline);
  if (!box) return null;
  const widthMm = box.right - box.left + 2 * borderMm;
  const heightMm = box.bottom - box.top + 2 * borderMm;
  const placed = shifted(outline, borderMm - box.left, borderMm - box.top);
  const frame = borderMm > 0 ? rectangleOutline(0, 0, widthMm, heightMm) : [];
  const letters = artwork.text ? [...artwork.text.words.replace(/\s/g, '')].length : 0;
  return {
    widthMm,
    heightMm,
    outline: borderMm > 0 ? frame : placed,
    lines: [...frame, ...placed],
    letters,
    letterHeightMm: (artwork.text?.letterHeightMm ?? 0) * scale,
    isScript: artwork.text !== null && isScript(artwork.text.fontId),
  };
}

function sized(outline: Outline, scale: number, isMirrored: boolean): Outline {
  const move = ([x, y]: Point): Point => [(isMirrored ? -x : x) * scale, y * scale];
  return outline.map((ring) => ring.map(move));
}

/** A place where a shape is narrower than its film holds, mm from the shape's corner. */
export interface ThinPlace {
  xMm: number;
  yMm: number;
  widthMm: number;
  heightMm: number;
}

/** A tip is thin at its end whatever its size: what an opening takes off it stays below this share of the stroke's square. */
const TIP_SHARE = 0.6;

/**
 * Where a shape is narrower than the least stroke of its film: what is lost when it is shrunk by half of that stroke
 * and grown back (an opening, as image processing has it). Points of letters are lost too, and do not count.
 */
export function thinPlaces(outline: Outline, leastStrokeMm: number): readonly ThinPlace[] {
  const known = thin.get(outline)?.get(leastStrokeMm);
  if (known) return known;
  const found = findThinPlaces(outline, leastStrokeMm);
  thin.set(outline, new Map(thin.get(outline)).set(leastStrokeMm, found));
  return found;
}

const thin = new WeakMap<Outline, ReadonlyMap<number, readonly ThinPlace[]>>();

function findThinPlaces(outline: Outline, leastStrokeMm: number): ThinPlace[] {
  const half = leastStrokeMm / 2;
  // Sharp corners come back as they were, and curves in as many points as they had.
  const back = grown(grown(outline, -half, 'sharp'), half + 0.02, 'sharp');
  const lost = without(outline, back);
  return lost.flatMap((ring) => {
    const box = boxOf([ring]);
    if (!box || Math.abs(doubleArea(ring)) / 2 < TIP_SHARE * leastStrokeMm * leastStrokeMm) return [];
    return [{ xMm: box.left, yMm: box.top, widthMm: box.right - box.left, heightMm: box.bottom - box.top }];
  });
}
