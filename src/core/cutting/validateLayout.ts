import { boxOf, isInside, type Outline, type Point, rectangleOutline, shifted, turned } from '../surface/outline';
import type { CutLayout, LaidUnit, Placement } from './layout';
import type { Part } from './part';
import type { CutQuestion } from './question';

/** What is wrong with a layout. */
export type LayoutFault =
  | { kind: 'outside'; unitKey: string; partKey: string }
  | { kind: 'tooClose'; unitKey: string; partKey: string; otherKey: string; distanceMm: number }
  | { kind: 'turnedWrongly'; unitKey: string; partKey: string }
  | { kind: 'wrongSize'; unitKey: string; partKey: string }
  | { kind: 'wrongCount'; partKey: string; wanted: number; laid: number }
  | { kind: 'unknownUnit'; unitKey: string }
  | { kind: 'leftoverTaken'; unitKey: string };

/** Lengths that differ by less are equal: a hundredth of a millimeter is finer than any blade. */
const TOLERANCE_MM = 0.01;

/**
 * Checks a layout against its question by plain geometry of its own, whoever laid it: every part is there as often as
 * wanted and as large, lies inside its unit's margins, is turned only as its grain allows, and keeps the width of a cut from
 * every other, by true outline where it has one; every unit is there to be used; no leftover covers a part.
 * @returns what is wrong; nothing when it can be cut
 */
export function validateLayout(question: CutQuestion, layout: CutLayout): LayoutFault[] {
  const faults: LayoutFault[] = [];
  const parts = new Map(question.parts.map(({ part }) => [part.key, part]));
  const laid = new Map<string, number>();
  for (const unit of layout.units) {
    if (!isThere(question, layout, unit)) faults.push({ kind: 'unknownUnit', unitKey: unit.key });
    for (const place of unit.placed) {
      laid.set(place.partKey, (laid.get(place.partKey) ?? 0) + 1);
      const part = parts.get(place.partKey);
      if (part) faults.push(...faultsOfPlace(question, unit, place, part));
    }
    faults.push(...tooClose(question, unit, parts));
    for (const rest of unit.leftovers)
      if (unit.placed.some((place) => boxDistance(place, rest) < -TOLERANCE_MM) || leavesUnit(unit, rest, 0))
        faults.push({ kind: 'leftoverTaken', unitKey: unit.key });
  }
  for (const { part, count } of question.parts) {
    const wanted = layout.tooLarge.includes(part.key) ? Math.min(count, laid.get(part.key) ?? 0) : count;
    const found = laid.get(part.key) ?? 0;
    if (found !== wanted) faults.push({ kind: 'wrongCount', partKey: part.key, wanted, laid: found });
  }
  for (const [partKey, count] of laid)
    if (!parts.has(partKey)) faults.push({ kind: 'wrongCount', partKey, wanted: 0, laid: count });
  return faults;
}

function faultsOfPlace({ stock }: CutQuestion, unit: LaidUnit, place: Placement, part: Part): LayoutFault[] {
  const faults: LayoutFault[] = [];
  const named = { unitKey: unit.key, partKey: part.key };
  const { turnedDeg } = place;
  const mayTurn = part.turn === 'free' || turnedDeg === 0 || (part.turn === 'half' && turnedDeg === 180);
  if (!mayTurn) faults.push({ kind: 'turnedWrongly', ...named });
  const isTurned = turnedDeg % 180 !== 0;
  const wantedWidth = stock.form === 'board' ? stock.widthMm : isTurned ? part.lengthMm : part.widthMm;
  const wantedLength = isTurned ? part.widthMm : part.lengthMm;
  if (Math.abs(place.widthMm - wantedWidth) > TOLERANCE_MM || Math.abs(place.lengthMm - wantedLength) > TOLERANCE_MM)
    faults.push({ kind: 'wrongSize', ...named });
  if (leavesUnit(unit, place, stock.marginMm, stock.form === 'board')) faults.push({ kind: 'outside', ...named });
  return faults;
}

function leavesUnit(
  unit: LaidUnit,
  box: { xMm: number; yMm: number; widthMm: number; lengthMm: number },
  marginMm: number,
  isBoard = false,
): boolean {
  const across = isBoard ? 0 : marginMm;
  return (
    box.xMm < across - TOLERANCE_MM ||
    box.yMm < marginMm - TOLERANCE_MM ||
    box.xMm + box.widthMm > unit.widthMm - across + TOLERANCE_MM ||
    box.yMm + box.lengthMm > unit.lengthMm - marginMm + TOLERANCE_MM
  );
}

/** Whether a unit is one of the house's or one of those that are bought, and no more of them than there are. */
function isThere(question: CutQuestion, layout: CutLayout, unit: LaidUnit): boolean {
  const { origin } = unit;
  const same = layout.units.filter((other) => JSON.stringify(other.origin) === JSON.stringify(origin)).length;
  const keys = layout.units.filter((other) => other.key === unit.key).length;
  if (keys > 1) return false;
  switch (origin.kind) {
    case 'offcut': {
      const offcut = question.offcuts.find(({ id }) => id === origin.id);
      return offcut !== undefined && same <= offcut.count && Math.abs(offcut.lengthMm - unit.lengthMm) < TOLERANCE_MM;
    }
    case 'house':
      return question.stock.form === 'sheet' ? same <= question.owned + 1e-9 : question.owned > 0;
    case 'bought': {
      if (question.stock.form === 'sheet' || origin.packId === '') return true;
      const pack = layout.purchase.packs.find(({ id }) => id === origin.packId);
      return pack !== undefined && same <= pack.count;
    }
    default:
      return origin satisfies never;
  }
}

/** The clear distance between two boxes; below 0 where they overlap. */
function boxDistance(
  a: { xMm: number; yMm: number; widthMm: number; lengthMm: number },
  b: { xMm: number; yMm: number; widthMm: number; lengthMm: number },
): number {
  const dx = Math.max(a.xMm - (b.xMm + b.widthMm), b.xMm - (a.xMm + a.widthMm));
  const dy = Math.max(a.yMm - (b.yMm + b.lengthMm), b.yMm - (a.yMm + a.lengthMm));
  return dx > 0 && dy > 0 ? Math.hypot(dx, dy) : Math.max(dx, dy);
}

function tooClose({ stock }: CutQuestion, unit: LaidUnit, parts: ReadonlyMap<string, Part>): LayoutFault[] {
  const faults: LayoutFault[] = [];
  const shapes = unit.placed.map((place) => {
    const part = parts.get(place.partKey);
    return part?.outline
      ? shifted(turned(part.outline, part.widthMm, part.lengthMm, place.turnedDeg), place.xMm, place.yMm)
      : null;
  });
  unit.placed.forEach((one, n) => {
    for (let m = n + 1; m < unit.placed.length; m += 1) {
      const other = unit.placed[m];
      if (!other) continue;
      const boxes = boxDistance(one, other);
      // Boxes that stand side by side at a distance on one axis keep the gap on that axis.
      const axis = axisDistance(one, other);
      if (boxes >= stock.gapMm - TOLERANCE_MM || axis >= stock.gapMm - TOLERANCE_MM) continue;
      const [shape, otherShape] = [shapes[n] ?? null, shapes[m] ?? null];
      const distanceMm =
        shape === null && otherShape === null
          ? axis
          : outlineDistance(shape ?? boxOutline(one), otherShape ?? boxOutline(other));
      if (distanceMm < stock.gapMm - TOLERANCE_MM)
        faults.push({
          kind: 'tooClose',
          unitKey: unit.key,
          partKey: one.partKey,
          otherKey: other.partKey,
          distanceMm,
        });
    }
  });
  return faults;
}

function axisDistance(a: Placement, b: Placement): number {
  return Math.max(
    a.xMm - (b.xMm + b.widthMm),
    b.xMm - (a.xMm + a.widthMm),
    a.yMm - (b.yMm + b.lengthMm),
    b.yMm - (a.yMm + a.lengthMm),
  );
}

const boxOutline = ({ xMm, yMm, widthMm, lengthMm }: Placement): Outline =>
  rectangleOutline(xMm, yMm, widthMm, lengthMm);

/** The least distance between two outlines; below 0 where one lies in the solid of the other. */
export function outlineDistance(a: Outline, b: Outline): number {
  const [pointA, pointB] = [a[0]?.[0], b[0]?.[0]];
  if (pointA && pointB && (isInside(pointA, b) || isInside(pointB, a))) return -1;
  const box = boxOf(b);
  let least = Number.POSITIVE_INFINITY;
  for (const [from, to] of edges(a)) {
    if (box && edgeFarFrom(from, to, box, least)) continue;
    for (const [start, end] of edges(b)) {
      if (cross(from, to, start, end)) return -1;
      least = Math.min(
        least,
        pointToEdge(from, start, end),
        pointToEdge(to, start, end),
        pointToEdge(start, from, to),
        pointToEdge(end, from, to),
      );
    }
  }
  return least;
}

function edgeFarFrom(
  [x1, y1]: Point,
  [x2, y2]: Point,
  box: { left: number; top: number; right: number; bottom: number },
  least: number,
): boolean {
  const dx = Math.max(Math.min(x1, x2) - box.right, box.left - Math.max(x1, x2), 0);
  const dy = Math.max(Math.min(y1, y2) - box.bottom, box.top - Math.max(y1, y2), 0);
  return Math.hypot(dx, dy) > least;
}

function edges(outline: Outline): [Point, Point][] {
  return outline.flatMap((ring) =>
    ring.flatMap((point, n): [Point, Point][] => {
      const next = ring[(n + 1) % ring.length];
      return next ? [[point, next]] : [];
    }),
  );
}

function pointToEdge([x, y]: Point, [x1, y1]: Point, [x2, y2]: Point): number {
  const length = (x2 - x1) ** 2 + (y2 - y1) ** 2;
  const t = length === 0 ? 0 : Math.max(0, Math.min(1, ((x - x1) * (x2 - x1) + (y - y1) * (y2 - y1)) / length));
  return Math.hypot(x - x1 - t * (x2 - x1), y - y1 - t * (y2 - y1));
}

function cross(a: Point, b: Point, c: Point, d: Point): boolean {
  const side = ([x1, y1]: Point, [x2, y2]: Point, [x, y]: Point) => (x2 - x1) * (y - y1) - (y2 - y1) * (x - x1);
  return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
}
