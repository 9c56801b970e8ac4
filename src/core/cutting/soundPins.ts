import { type Outline, rectangleOutline, shifted, turned } from '../surface/outline';
import type { Part } from './part';
import { type CutQuestion, MM_PER_M, type Pin, SAME_MM } from './question';
import { outlineDistance } from './validateLayout';

interface Pinned {
  pin: Pin;
  outline: Outline;
  widthMm: number;
  lengthMm: number;
}

/** The size of the unit that a key names; null where there is none of it. */
function unitSize(
  { stock, offcuts, owned, packs }: CutQuestion,
  key: string,
): { widthMm: number; lengthMm: number } | null {
  const [kind, id, number] = key.split(':');
  if (kind === 'offcut') {
    const offcut = offcuts.find((entry) => entry.id === id);
    return offcut && Number(number) < offcut.count ? offcut : null;
  }
  const n = Number(id);
  if (stock.form === 'sheet') {
    if (kind === 'house' && n >= owned) return null;
    return { widthMm: stock.widthMm, lengthMm: stock.lengthMm ?? 0 };
  }
  if (kind === 'house') return owned > 0 ? { widthMm: stock.widthMm, lengthMm: owned * MM_PER_M } : null;
  const longest =
    stock.byTheStep || packs.length === 0 ? Number.POSITIVE_INFINITY : Math.max(...packs.map(({ size }) => size));
  return { widthMm: stock.widthMm, lengthMm: longest * MM_PER_M };
}

/**
 * What the stylist laid by hand, as far as it can still lie there: the part and the unit are there, it lies inside, is
 * turned as it may be, and keeps its distance from what was laid before it. The rest is laid anew.
 */
export function soundPins(question: CutQuestion): Pin[] {
  const { stock } = question;
  const parts = new Map(question.parts.map(({ part, count }) => [part.key, { part, count }]));
  const kept: Pinned[] = [];
  const seen = new Set<string>();
  for (const pin of question.pins) {
    const known = parts.get(pin.partKey);
    const size = unitSize(question, pin.unitKey);
    const name = `${pin.partKey} ${pin.nth}`;
    if (!known || !size || pin.nth > known.count || seen.has(name) || !mayTurn(known.part, pin)) continue;
    const isTurned = pin.turnedDeg % 180 !== 0;
    const widthMm = isTurned ? known.part.lengthMm : known.part.widthMm;
    const lengthMm = isTurned ? known.part.widthMm : known.part.lengthMm;
    const inside =
      pin.xMm >= stock.marginMm - SAME_MM &&
      pin.yMm >= stock.marginMm - SAME_MM &&
      pin.xMm + widthMm <= size.widthMm - stock.marginMm + SAME_MM &&
      pin.yMm + lengthMm <= size.lengthMm - stock.marginMm + SAME_MM;
    if (!inside) continue;
    const outline = outlineOf(known.part, pin, widthMm, lengthMm);
    const own = { pin, outline, widthMm, lengthMm };
    if (kept.some((other) => other.pin.unitKey === pin.unitKey && areTooClose(own, other, stock.gapMm))) continue;
    seen.add(name);
    kept.push(own);
  }
  return kept.map(({ pin }) => pin);
}

function mayTurn({ turn }: Part, { turnedDeg }: Pin): boolean {
  return turn === 'free' || turnedDeg === 0 || (turn === 'half' && turnedDeg === 180);
}

function outlineOf(part: Part, pin: Pin, widthMm: number, lengthMm: number): Outline {
  return part.outline
    ? shifted(turned(part.outline, part.widthMm, part.lengthMm, pin.turnedDeg), pin.xMm, pin.yMm)
    : rectangleOutline(pin.xMm, pin.yMm, widthMm, lengthMm);
}

function areTooClose(a: Pinned, b: Pinned, gapMm: number): boolean {
  const axis = Math.max(
    a.pin.xMm - (b.pin.xMm + b.widthMm),
    b.pin.xMm - (a.pin.xMm + a.widthMm),
    a.pin.yMm - (b.pin.yMm + b.lengthMm),
    b.pin.yMm - (a.pin.yMm + a.lengthMm),
  );
  if (axis >= gapMm - SAME_MM) return false;
  return axis < -SAME_MM && isBox(a) && isBox(b) ? true : outlineDistance(a.outline, b.outline) < gapMm - SAME_MM;
}

const isBox = ({ outline }: Pinned): boolean => outline.length === 1 && outline[0]?.length === 4;
