/** So many pieces of one size, color or form: "2 of 8 in". */
export interface PackContent {
  what: string;
  count: number;
}

/** How a number of mixed packs answers what a slot needs. */
export interface PackAnswer {
  packs: number;
  /** What is still missing of each thing needed; what the packs do not hold at all is missing whole. */
  short: PackContent[];
  /** What is over: more than needed, or of a kind that nobody asked for. */
  surplus: PackContent[];
  /** Pieces of the packs that serve. */
  usable: number;
}

const counted = (contents: readonly PackContent[]): Map<string, PackContent> => {
  const all = new Map<string, PackContent>();
  for (const { what, count } of contents) {
    const key = what.trim().toLowerCase();
    all.set(key, { what: all.get(key)?.what ?? what.trim(), count: (all.get(key)?.count ?? 0) + count });
  }
  return all;
};

/**
 * How many packs with mixed contents it takes, and what is short or over then. What no pack holds makes no more packs.
 * @param pack what one pack holds
 * @param needs what is needed; the same thing named twice is needed twice
 * @param packs so many packs, or null for as many as it takes
 * @example six candles in the pack, two of them tall, and four tall ones needed → 2 packs, 8 small ones over
 */
export function mixedPack(
  pack: readonly PackContent[],
  needs: readonly PackContent[],
  packs: number | null = null,
): PackAnswer {
  const held = counted(pack);
  const needed = counted(needs);
  const enough = [...needed].map(([key, { count }]) => {
    const each = held.get(key)?.count ?? 0;
    return each > 0 ? Math.ceil(count / each) : 0;
  });
  const bought = packs ?? Math.max(0, ...enough);
  const short: PackContent[] = [];
  const surplus: PackContent[] = [];
  let usable = 0;
  for (const [key, { what, count }] of needed) {
    const there = (held.get(key)?.count ?? 0) * bought;
    usable += Math.min(there, count);
    if (there < count) short.push({ what, count: count - there });
  }
  for (const [key, { what, count }] of held) {
    const over = count * bought - (needed.get(key)?.count ?? 0);
    if (over > 0) surplus.push({ what, count: over });
  }
  return { packs: bought, short, surplus, usable };
}

/**
 * Sorts of pieces as one writes them: "2 tall, 4 short", "tall × 2; short × 4", "tall".
 * @returns null where a part says no sort
 */
export function parseContents(text: string): PackContent[] | null {
  const contents: PackContent[] = [];
  for (const part of text.split(/[,;\n]/)) {
    const said = part.trim();
    if (said === '') continue;
    const match = /^(\d+)\s*(?:×|x\b)?\s*(.+)$/i.exec(said) ?? /^(.+?)\s*(?:×|x)\s*(\d+)$/i.exec(said);
    const [what, count] = match ? (/^\d/.test(said) ? [match[2], match[1]] : [match[1], match[2]]) : [said, '1'];
    const name = (what ?? '').trim();
    if (name === '' || /^\d+$/.test(name) || Number(count) < 1) return null;
    contents.push({ what: name.slice(0, 60), count: Math.min(1000, Number(count)) });
  }
  return contents;
}

/** Sorts in words that are read again: "2 tall, 4 short". */
export const contentsWords = (contents: readonly PackContent[]): string =>
  contents.map(({ what, count }) => `${count} ${what}`).join(', ');
