import type { StockFacts } from '../catalog/stockFacts';
import type { Turn } from '../cutting/part';
import { SAME_MM } from '../cutting/question';
import { type Outline, type Ring, rectangleOutline, roundRing, shifted } from '../surface/outline';
import { common, grown } from '../surface/polygons';
import type { Face } from '../surface/unroll';
import type { SheetPiece, SheetQuestion } from './sheetWork';

/** How a face is covered: what goes beyond its edges, and by how much two pieces lie over each other. */
export interface CoverEdges {
  /** Beyond an open edge, to be filed off; mm. */
  bleedMm: number;
  /** Beyond the thickness of an edge, turned over to the back; mm. */
  wrapMm: number;
  overlapMm: number;
}

/** How a piece may lie on its stock: a print with a way up stays upright, all else turns. */
export const turnFor = ({ stock, isUpright }: Pick<SheetQuestion, 'stock' | 'isUpright'>): Turn =>
  stock.isDirectional && isUpright ? 'fixed' : 'free';

/** What a face asks for with its margins: over an edge with a thickness it is wrapped, at a bare one it bleeds. */
export function faceWithEdges(
  face: Face,
  { bleedMm, wrapMm }: CoverEdges,
): { marginMm: number; widthMm: number; lengthMm: number } {
  const marginMm = face.edgeMm > 0 ? face.edgeMm + wrapMm : bleedMm;
  return { marginMm, widthMm: face.widthMm + 2 * marginMm, lengthMm: face.lengthMm + 2 * marginMm };
}

/** The largest piece that a unit of stock gives, mm; a roll is as long as anyone wants. */
export function largestPiece({ widthMm, lengthMm, marginMm }: StockFacts): { widthMm: number; lengthMm: number } {
  return {
    widthMm: widthMm - 2 * marginMm,
    lengthMm: lengthMm === null ? Number.POSITIVE_INFINITY : lengthMm - 2 * marginMm,
  };
}

/**
 * Cuts of a length that fit between seams: n pieces of at most a size, one over the other by the overlap; the last
 * takes the rest.
 * @returns where each begins and how long it is
 */
export function seams(lengthMm: number, mostMm: number, overlapMm: number): { at: number; length: number }[] {
  if (lengthMm <= mostMm + 1e-6) return [{ at: 0, length: lengthMm }];
  const step = mostMm - overlapMm;
  if (step <= 0) return [];
  const count = Math.ceil((lengthMm - overlapMm) / step - 1e-9);
  return Array.from({ length: count }, (_, n) => ({
    at: n * step,
    length: n === count - 1 ? lengthMm - n * step : mostMm,
  }));
}

/**
 * The pieces that cover a face. Where a unit of stock is large enough it is one piece, turned over the edge as far as the
 * stock reaches: behind it, over its thickness, or not at all, with strips for the edge then. What is larger is parted
 * into equal pieces that lie over each other at the seams. What is cut along a true shape is one piece only; larger than
 * the stock it goes over in boxes.
 */
export function coverFace(face: Face, question: SheetQuestion, edges: CoverEdges): SheetPiece[] {
  const { bleedMm, wrapMm } = edges;
  const whole = wholePiece(face, question, edges, face.edgeMm > 0 ? face.edgeMm + wrapMm : bleedMm);
  if (whole) return [whole];
  if (face.edgeMm > 0) {
    const overEdge = wholePiece(face, question, edges, face.edgeMm);
    if (overEdge) return [overEdge];
    const bare = wholePiece(face, question, edges, bleedMm);
    if (bare) return [bare, ...edgeStrips(face, question, edges)];
  }
  return partedPieces(face, question, edges);
}

/** A face in one piece with a margin, where the stock holds it. A mantle meets itself: it is wider by one overlap. */
function wholePiece(
  face: Face,
  question: SheetQuestion,
  { overlapMm }: CoverEdges,
  marginMm: number,
): SheetPiece | null {
  const turn = turnFor(question);
  const room = largestPiece(question.stock);
  const isMantle = face.curve === 'single' && face.outline === null;
  const widthMm = face.widthMm + (isMantle ? overlapMm : 2 * marginMm);
  const lengthMm = face.lengthMm + 2 * marginMm;
  const straight = widthMm <= room.widthMm + SAME_MM && lengthMm <= room.lengthMm + SAME_MM;
  const turned = turn === 'free' && lengthMm <= room.widthMm + SAME_MM && widthMm <= room.lengthMm + SAME_MM;
  if (!straight && !turned) return null;
  return {
    name: face.name,
    faceId: face.id,
    widthMm,
    lengthMm,
    outline: face.outline ? grownAround(face, marginMm) : null,
    turn,
    count: question.times * face.count,
    onFace: { xMm: isMantle ? 0 : -marginMm, yMm: -marginMm },
  };
}

/** Strips for the edge around a face: over the face by an overlap, over the edge, and behind it. */
function edgeStrips(face: Face, question: SheetQuestion, { wrapMm, overlapMm }: CoverEdges): SheetPiece[] {
  const across = overlapMm + face.edgeMm + wrapMm;
  const room = largestPiece(question.stock);
  const most = Math.max(room.widthMm, Number.isFinite(room.lengthMm) ? room.lengthMm : 0);
  return (['widthMm', 'lengthMm'] as const).flatMap((side) =>
    evenly(face[side], most, overlapMm).map(({ length }, n) => ({
      name: `${face.name}, edge ${side === 'widthMm' ? 'above and below' : 'left and right'}${n > 0 ? `, part ${n + 1}` : ''}`,
      faceId: face.id,
      widthMm: across,
      lengthMm: length,
      outline: null,
      turn: 'free' as const,
      count: 2 * question.times * face.count,
      onFace: null,
    })),
  );
}

/**
 * A face in parts that lie over each other at the seams. Off a roll with a repeat the parts beside each other are cut to
 * whole repeats, as strips of wallpaper are, so that the pattern meets.
 */
function partedPieces(face: Face, question: SheetQuestion, edges: CoverEdges): SheetPiece[] {
  const { stock } = question;
  const { marginMm, widthMm, lengthMm } = faceWithEdges(face, edges);
  const room = largestPiece(stock);
  const columns = evenly(widthMm, room.widthMm, edges.overlapMm);
  const rows = evenly(lengthMm, room.lengthMm, edges.overlapMm);
  const meets = stock.repeatMm !== null && stock.lengthMm === null && columns.length > 1;
  return rows.flatMap((row, r) =>
    columns.map((column, c) => ({
      name: rows.length * columns.length > 1 ? `${face.name}, ${r * columns.length + c + 1}` : face.name,
      faceId: face.id,
      widthMm: column.length,
      lengthMm: meets ? wholeRepeats(row.length, stock, c) : row.length,
      outline: null,
      turn: meets ? ('fixed' as const) : turnFor(question),
      count: question.times * face.count,
      onFace: { xMm: column.at - marginMm, yMm: row.at - marginMm },
    })),
  );
}

/** As few equal parts of a length as there must be: no sliver is left for the last one. */
function evenly(lengthMm: number, mostMm: number, overlapMm: number): { at: number; length: number }[] {
  const count = seams(lengthMm, mostMm, overlapMm).length;
  const length = (lengthMm + (count - 1) * overlapMm) / Math.max(1, count);
  return Array.from({ length: count }, (_, n) => ({ at: n * (length - overlapMm), length }));
}

/** A true shape with a margin all around it, its corners rounded, in the larger box. */
function grownAround({ outline }: Face, marginMm: number): SheetPiece['outline'] {
  if (outline === null || marginMm === 0) return outline;
  return shifted(grown(outline, marginMm), marginMm, marginMm);
}

/**
 * Openings of a face, on the face: round ones in a row across its middle, each in the middle of its share of the width:
 * one knob in the middle, two at a quarter and three quarters (common practice, no source).
 */
export function openingsOn({ widthMm, lengthMm }: Face, { holes, holeMm }: Openings): Outline {
  return Array.from(
    { length: holes },
    (_, n): Ring => roundRing((widthMm * (2 * n + 1)) / (2 * holes), lengthMm / 2, holeMm / 2),
  );
}

/** Openings in each face: knob holes, perches, cut-outs. */
export interface Openings {
  holes: number;
  /** Across each of them, mm. */
  holeMm: number;
}

/** The pieces that cover faces, each with the openings that lie on it among the lines to cut. */
export function withOpenings(
  pieces: readonly SheetPiece[],
  faces: readonly Face[],
  openings: Openings,
): readonly SheetPiece[] {
  if (openings.holes <= 0 || openings.holeMm <= 0) return pieces;
  return pieces.map((piece) => {
    const face = faces.find(({ id }) => id === piece.faceId);
    if (!face || piece.onFace === null) return piece;
    const { xMm, yMm } = piece.onFace;
    const shape = piece.outline ?? rectangleOutline(0, 0, piece.widthMm, piece.lengthMm);
    const here = common(shifted(openingsOn(face, openings), -xMm, -yMm), shape);
    return here.length === 0 ? piece : { ...piece, lines: [...(piece.lines ?? shape), ...here] };
  });
}

/**
 * The length of the nth strip beside others, so that the pattern meets: up to the next whole repeat, drop =
 * ⌈length/R⌉·R; half a repeat more for every other strip of a half drop (common practice, from memory).
 */
function wholeRepeats(lengthMm: number, { repeatMm, isHalfDrop }: StockFacts, n: number): number {
  if (repeatMm === null || repeatMm <= 0) return lengthMm;
  const more = isHalfDrop && n % 2 === 1 ? repeatMm / 2 : 0;
  return Math.ceil((lengthMm + more) / repeatMm - 1e-9) * repeatMm;
}

/** Strips of a roll across a face, each as long as the face and its trim, to whole repeats where the pattern has to meet. */
export function dropsOf(face: Face, question: SheetQuestion, trimMm: number, overlapMm: number): SheetPiece[] {
  const { stock, times } = question;
  const room = largestPiece(stock);
  return seams(face.widthMm, room.widthMm, overlapMm).map((column, n) => ({
    name: `${face.name}, strip ${n + 1}`,
    faceId: face.id,
    widthMm: column.length,
    lengthMm: wholeRepeats(face.lengthMm + trimMm, stock, n),
    outline: null,
    turn: 'fixed',
    count: times * face.count,
    onFace: { xMm: column.at, yMm: -trimMm / 2 },
  }));
}
