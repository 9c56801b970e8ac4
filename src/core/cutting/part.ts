import type { Outline } from '../surface/outline';

/** How a part may be turned on its stock: not at all, by half a turn, or by any quarter. */
export const turns = ['fixed', 'half', 'free'] as const;
export type Turn = (typeof turns)[number];

/** Something to cut: its size with bleed or overlap in it, mm. */
export interface Part {
  /** Which part of a plan it is; two parts of one key are the same part, cut several times. */
  key: string;
  name: string;
  /** Across the stock. A part of a board is as wide as its board, whatever stands here. */
  widthMm: number;
  /** Along the stock. */
  lengthMm: number;
  turn: Turn;
  /** Its true shape inside that box, from the box's corner; null where it is the box. */
  outline: Outline | null;
  /** What the blade follows inside the box, where that is more than the shape: a border, a window. */
  lines?: Outline | null;
}

/**
 * A part with how often it is cut. Of what goes on some of several like pieces only, one piece has a share; over all
 * pieces shares add up to whole parts.
 */
export interface CountedPart {
  part: Part;
  count: number;
}

/** Parts to cut from one stock; each key stands once. Sorted by key, so that equal bags read the same. */
export type PartBag = readonly CountedPart[];

/** What shares leave behind that came to nothing. */
const SHARE_DUST = 1e-9;

export const noParts: PartBag = Object.freeze([]);

/**
 * Two bags together, or one less the other: counts of equal keys add up.
 * @param sign 1 to add, -1 to take out; what falls to zero leaves the bag
 */
export function partsTogether(a: PartBag, b: PartBag, sign: 1 | -1 = 1): PartBag {
  if (b.length === 0) return a;
  if (a.length === 0 && sign === 1) return b;
  const counts = new Map<string, CountedPart>(a.map((entry) => [entry.part.key, entry]));
  for (const { part, count } of b) {
    const known = counts.get(part.key);
    const total = (known?.count ?? 0) + sign * count;
    if (total > SHARE_DUST) counts.set(part.key, { part: known?.part ?? part, count: total });
    else counts.delete(part.key);
  }
  return sorted([...counts.values()]);
}

/** A bag of parts, each so many times. */
export function bagOf(parts: readonly Part[], times = 1): PartBag {
  const counts = new Map<string, CountedPart>();
  for (const part of parts) {
    const known = counts.get(part.key);
    counts.set(part.key, { part, count: (known?.count ?? 0) + times });
  }
  return sorted([...counts.values()]);
}

/** Every part of a bag so many times; none of it at zero. */
export function partsTimes(bag: PartBag, times: number): PartBag {
  if (times === 1 || bag.length === 0) return bag;
  return times <= 0 ? noParts : bag.map(({ part, count }) => ({ part, count: count * times }));
}

function sorted(list: CountedPart[]): PartBag {
  if (list.length === 0) return noParts;
  return list.sort((a, b) => (a.part.key < b.part.key ? -1 : 1));
}

const outlineKeys = new WeakMap<Outline, string>();

/** A short text for an outline; equal outlines have equal ones (32 bits of FNV-1a over hundredths of a millimeter). */
function outlineKey(outline: Outline): string {
  let key = outlineKeys.get(outline);
  if (key === undefined) {
    let hash = 0x811c9dc5;
    let points = 0;
    for (const ring of outline)
      for (const [x, y] of ring)
        for (const value of [x, y]) {
          hash = Math.imul(hash ^ Math.round(value * 100), 0x01000193);
          points += 1;
        }
    key = `${(hash >>> 0).toString(36)}.${points}`;
    outlineKeys.set(outline, key);
  }
  return key;
}

/** A text that is equal for bags of equal parts: their names, sizes, turns, shapes and counts. */
export function partsKey(bag: PartBag): string {
  return bag
    .map(
      ({ part, count }) =>
        `${part.key}*${count}:${part.widthMm}x${part.lengthMm}${part.turn}${part.outline ? outlineKey(part.outline) : ''}${part.lines ? outlineKey(part.lines) : ''}`,
    )
    .join(';');
}

/** How many parts a bag holds. */
export const partCount = (bag: PartBag): number => bag.reduce((sum, { count }) => sum + count, 0);

/** A bag as it is cut: whole parts; where shares of some pieces are left over, one more. */
export function wholeParts(bag: PartBag): PartBag {
  const isWhole = bag.every(({ count }) => Number.isInteger(count));
  return isWhole ? bag : bag.map(({ part, count }) => ({ part, count: Math.ceil(count - 1e-6) }));
}
