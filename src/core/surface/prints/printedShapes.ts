import type { Lab } from '../../color/lab';
import type { Drawing, DrawnShape } from '../drawing';
import { boxOf, isInside, type Outline, type Point } from '../outline';
import { type Motif, motifOf } from './motifs.data';

/** What lies on a zone beside its color: a printed paper over all of it, and shapes cut from film. */
export interface ZoneFace {
  paper: { design: string; color: Lab } | null;
  /** True millimeters, in a box of their own. */
  letters: readonly { outline: Outline; widthMm: number; heightMm: number; color: Lab }[];
}

/** A shape in a color of its own: a motif, a letter with its counters. What lies in an odd number of its rings belongs to it. */
export interface PrintedShape {
  kind: 'rings';
  rings: Outline;
  color: Lab;
}

/** A drawing with what is printed on it. */
export type FacedShape = DrawnShape | PrintedShape;
export interface FacedDrawing {
  widthMm: number;
  heightMm: number;
  shapes: readonly FacedShape[];
}

/** How many motifs stand on a face at the most: a small repeat on a wardrobe is drawn larger. */
const MOST_MOTIFS = 90;
const LEAST_ACROSS = 3;
/** How much darker a motif is than its paper, or lighter on a dark one, L*. */
const CONTRAST = 26;
const DARK = 45;
/** How much of a face letters may take; larger ones are drawn smaller, as somebody would cut them to fit. */
const LETTERS_SHARE = 0.92;

/** The ring that a drawn shape fills; null for a line. */
function ringOf(shape: DrawnShape): Point[] | null {
  if (shape.kind === 'line') return null;
  if (shape.kind === 'polygon') return shape.points;
  return Array.from({ length: 24 }, (_, n): Point => {
    const angle = (2 * Math.PI * n) / 24;
    return [shape.cx + shape.rx * Math.cos(angle), shape.cy + shape.ry * Math.sin(angle)];
  });
}

const sizeOfRing = (ring: readonly Point[]) => {
  const box = boxOf([ring]);
  return box ? (box.right - box.left) * (box.bottom - box.top) : 0;
};

/** Motifs over a face, each whole within it. */
function motifsOn(ring: readonly Point[], motif: Motif, color: Lab): PrintedShape[] {
  const box = boxOf([ring]);
  if (!box) return [];
  const [wide, high] = [box.right - box.left, box.bottom - box.top];
  if (wide <= 0 || high <= 0) return [];
  // Small fronts get a small print, so that it is still seen what it is; large ones not more than the eye tells apart.
  const fitting = Math.min(motif.repeatMm, Math.min(wide, high) / LEAST_ACROSS);
  const repeat = Math.min(Math.max(fitting, Math.sqrt((wide * high) / MOST_MOTIFS)), wide, high);
  const fits = (long: number) => Math.max(1, Math.floor(long / repeat + 1e-9));
  // A long narrow front has them farther apart rather than more of them.
  const across = Math.min(fits(wide), Math.max(1, Math.floor(MOST_MOTIFS / fits(high))), MOST_MOTIFS);
  const down = Math.min(fits(high), Math.floor(MOST_MOTIFS / across));
  const [stepX, stepY] = [wide / across, high / down];
  const [sizeX, sizeY] = motif.isAllOver ? [stepX, stepY] : [repeat, repeat];
  const shapes: PrintedShape[] = [];
  for (let row = 0; row < down; row += 1)
    for (let column = 0; column < across; column += 1) {
      const left = box.left + (column + (motif.isHalfDrop && row % 2 === 1 ? 0.5 : 0)) * stepX + (stepX - sizeX) / 2;
      const top = box.top + row * stepY + (stepY - sizeY) / 2;
      const rings = motif.outline.map((part) => part.map(([x, y]): Point => [left + x * sizeX, top + y * sizeY]));
      // By the middles of their edges: a motif may touch the edge of its face.
      if (rings.every((part) => isOn(part, ring))) shapes.push({ kind: 'rings', rings, color });
    }
  return shapes;
}

/** Whether a part lies on a face, give or take what rounding makes. */
function isOn(part: readonly Point[], face: readonly Point[]): boolean {
  const box = boxOf([part]);
  if (!box) return false;
  const [middleX, middleY] = [(box.left + box.right) / 2, (box.top + box.bottom) / 2];
  return part.every(([x, y]) => isInside([x + (middleX - x) * 1e-6, y + (middleY - y) * 1e-6], [face]));
}

/** Letters at their true size in the middle of a face, smaller where they would reach beyond it. */
function lettersOn(
  ring: readonly Point[],
  { outline, widthMm, heightMm, color }: ZoneFace['letters'][number],
): PrintedShape {
  const box = boxOf([ring]) ?? { left: 0, top: 0, right: 1, bottom: 1 };
  const scale = Math.min(
    1,
    (LETTERS_SHARE * (box.right - box.left)) / Math.max(1, widthMm),
    (LETTERS_SHARE * (box.bottom - box.top)) / Math.max(1, heightMm),
  );
  const left = (box.left + box.right - widthMm * scale) / 2;
  const top = (box.top + box.bottom - heightMm * scale) / 2;
  const rings = outline.map((part) => part.map(([x, y]): Point => [left + x * scale, top + y * scale]));
  return { kind: 'rings', rings, color };
}

/** The color of what is printed on a paper: darker than it, or lighter where it is dark. */
export const printColor = ({ L, a, b }: Lab): Lab => ({
  L: L < DARK ? L + CONTRAST : L - CONTRAST,
  a: a * 1.2,
  b: b * 1.2,
});

/**
 * A drawing with the paper on its faces and the letters on them. Paper lies on every shape of its zone, letters on the
 * largest one.
 */
export function facedDrawing(drawing: Drawing, faceOf: (zoneId: string) => ZoneFace | null): FacedDrawing {
  const { widthMm, heightMm } = drawing;
  const largest = new Map<string, DrawnShape>();
  for (const shape of drawing.shapes) {
    if (shape.zoneId === null || shape.ink !== undefined) continue;
    const ring = ringOf(shape);
    const before = largest.get(shape.zoneId);
    const known = before && ringOf(before);
    if (ring && sizeOfRing(ring) > (known ? sizeOfRing(known) : 0)) largest.set(shape.zoneId, shape);
  }
  const shapes = drawing.shapes.flatMap((shape): FacedShape[] => {
    const ring = ringOf(shape);
    const face = shape.zoneId === null || shape.ink !== undefined ? null : faceOf(shape.zoneId);
    if (!face || !ring) return [shape];
    const paper = face.paper;
    return [shape, ...(paper ? motifsOn(ring, motifOf(paper.design), printColor(paper.color)) : [])];
  });
  // What is cut from film lies on top of all: on a drawer front over the line of its panel.
  const letters = [...largest].flatMap(([zoneId, shape]) => {
    const ring = ringOf(shape);
    return ring ? (faceOf(zoneId)?.letters ?? []).map((entry) => lettersOn(ring, entry)) : [];
  });
  return { widthMm, heightMm, shapes: [...shapes, ...letters] };
}
