/** A plain number as people write it: `12`, `12.5`, `12,5`, `1/2`, `1 1/2`; null when it is none. */
export function parseNumber(text: string): number | null {
  const bare = text.trim();
  const fraction = /^(?:(\d+)\s+)?(\d+)\/(\d+)$/.exec(bare);
  if (fraction && Number(fraction[3]) > 0) return Number(fraction[1] ?? 0) + Number(fraction[2]) / Number(fraction[3]);
  if (!/^[+-]?(?:\d+(?:[.,]\d+)?|[.,]\d+)$/.test(bare)) return null;
  return Number(bare.replace(',', '.'));
}
